import { WhenAt } from '../ui/When'
import { number } from '../ui/read'
import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, errorAt, ProblemError, refusedBy, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { nowIso } from '../ui/clock'
import { Findings } from '../ui/Findings'
import { Empty, Loaded, Page, ProblemNotice, RangeBar, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { PART } from '../ui/dictionary'
import { date, figure, hours, range } from '../ui/words'
import { useRacks, useRuns, useWaiting, useWays } from './queries'
import { only, useMay } from '../ui/may'
import { KeptHere } from '../ui/KeptHere'
import { StrikeOut } from '../ui/StrikeOut'
import { useCarry } from '../ui/useCarry'
import { weight } from '../field/commands'
import { useUnweighed } from '../field/queries'

type RunView = Schemas['RunView']
type HarvestView = Schemas['HarvestView']

type Method = Schemas['AdviceView']['method']

const METHODS: { value: Method; label: string; hint: string }[] = [
  { value: 'SCREEN', label: 'on a screen', hint: 'one layer, turned daily' },
  { value: 'HANG', label: 'hung in bundles', hint: 'thinner than 3 cm at the tie' },
  { value: 'DEHYDRATOR', label: 'in a dehydrator', hint: 'hours instead of days' },
  {
    value: 'OVEN',
    label: 'in the oven, door ajar',
    hint: 'at its lowest, watched; a thermometer beside the herb',
  },
]
export function Rack() {
  const runs = useRuns()
  const waiting = useWaiting()
  const unweighed = useUnweighed()
  return (
    <Page title="Rack">
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <Section title="Drying now">
          <Loaded query={runs}>
            {(all) => {
              return all.length === 0 ? (
                <Empty>Nothing on the rack. Put a harvest on it from the list beside this.</Empty>
              ) : (
                <ul>
                  {all.map((r) => (
                    <RunRow key={r.id} run={r} />
                  ))}
                </ul>
              )
            }}
          </Loaded>
        </Section>
        <Section title="Picked, waiting for the rack">
          <ul>
            {(unweighed.data ?? []).map((h) => (
              <UnweighedRow key={h.id} harvest={h} />
            ))}
          </ul>
          <Loaded query={waiting}>
            {(all) =>
              all.length === 0 ? (
                <Empty>Every harvest that was weighed is on a rack or in its jar.</Empty>
              ) : (
                <ul>
                  {all.map((h) => (
                    <WaitingRow key={h.id} harvest={h} />
                  ))}
                </ul>
              )
            }
          </Loaded>
        </Section>
      </div>
      <Past
        title="Dried before"
        name="runs"
        load={(page) => ask(api.GET('/api/drying/runs/past', { params: { query: { page } } }))}
        to={(id) => `/drying/${id}`}
      />
    </Page>
  )
}

function RunRow({ run }: { run: RunView }) {
  const stalled = run.findings.some((f) => f.code === 'HUMID_STALL')
  return (
    <li className="border-line border-b py-2">
      <div className="flex items-baseline justify-between gap-3">
        <Link to={`/drying/${run.id}`} className="text-lg font-medium underline">
          {run.commonName}, {PART[run.part]}
        </Link>
        <span className="text-soft text-sm">
          {run.rack} · {run.code}
        </span>
      </div>
      {run.moistureNow && (
        <>
          <RangeBar
            low={run.moistureNow.low}
            high={run.moistureNow.high}
            min={0}
            max={0.9}
            marks={[{ at: run.targetMoisture, label: 'target' }]}
          />
          <p>
            <strong>{range(run.moistureNow, 100)} %</strong> water now;{' '}
            {run.done
              ? 'dry: test a stem and jar it'
              : stalled
                ? 'stalled in humid air'
                : run.remainingHours
                  ? `done in about ${hours(run.remainingHours.likely)} (${hours(run.remainingHours.low)} to ${hours(run.remainingHours.high)})`
                  : `before it is weighed: dry after ${hours(run.advice.dryAfterHours.low)} to ${hours(run.advice.dryAfterHours.high)}${run.advice.rackLots > 0 ? ', as this rack has shown' : ' or so'}`}
          </p>
        </>
      )}
    </li>
  )
}

/** Came home in a bag: weighed here, it goes on to the rack. */
const UnweighedRow = only('record', function UnweighedRow({ harvest }: { harvest: HarvestView }) {
  const [mass, setMass] = useState('')
  const [kept, setKept] = useState(false)
  const weigh = useCarry(weight, { onKept: () => setKept(true) })
  return (
    <li className="border-amber bg-amber-pale mb-2 border-l-8 px-3 py-2">
      <p className="font-medium">
        {harvest.measuredAs}: {harvest.commonName}, {PART[harvest.part]}
      </p>
      <p className="text-soft text-sm">
        {harvest.code} · {date(harvest.on)} · {harvest.standName}
      </p>
      <form
        className="mt-1 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          weigh.mutate({
            variables: { harvestId: harvest.id, massG: number(mass) },
            words: `${mass} g, ${harvest.commonName} from ${harvest.standName}`,
          })
        }}
      >
        <NumberInput
          label={`Weight of ${harvest.code}`}
          unit="g"
          value={mass}
          onChange={setMass}
          error={errorAt(weigh.error, 'massG')}
        />
        <Button type="submit" disabled={weigh.isPending || !(number(mass) > 0)}>
          Weighed
        </Button>
      </form>
      {kept && <KeptHere />}
      <Findings findings={refusedBy(weigh.error)} label={`Findings on ${harvest.code}`} />
      <ProblemNotice error={weigh.error} />
      <StrikeOut
        what={`the harvest ${harvest.code}`}
        word="it was thrown away, or not picked"
        onStrike={(because) =>
          ask(
            api.POST('/api/field/harvests/{id}/strike', {
              params: { path: { id: harvest.id } },
              body: because,
            }),
          )
        }
      />
    </li>
  )
})

/** How a harvest goes on the rack. */
function useRacking({ harvest }: { harvest: HarvestView }) {
  const navigate = useNavigate()
  const [search] = useSearchParams()
  const may = useMay('record')
  const [open, setOpen] = useState(search.get('harvest') === harvest.id)
  const [id] = useState(() => v7())
  const [ownRack, setRack] = useState<string>()
  const [fresh, setFresh] = useState(figure(harvest.massG ?? NaN))
  const [low, setLow] = useState('')
  const [high, setHigh] = useState('')
  const [temperature, setTemperature] = useState('')
  const [humidity, setHumidity] = useState('')
  const racks = useRacks()
  // The one that was used last; whoever has none yet says what theirs is called.
  const rack = ownRack ?? racks.data?.[0] ?? ''
  const [ownMethod, setMethod] = useState<Method>()
  const [ownWashed, setWashed] = useState<boolean>()
  const [ownStripped, setStripped] = useState<boolean>()
  const ways = useWays(harvest.part, open)
  const strips = ways.data?.strips ?? false
  const stripped = strips && (ownStripped ?? ways.data?.usual.strippedBefore ?? false)
  const methods = (ways.data?.methods ?? ['SCREEN']).filter((m) => m !== 'HANG' || !stripped)
  const wanted = ownMethod ?? ways.data?.usual.method ?? 'SCREEN'
  const method = methods.includes(wanted) ? wanted : 'SCREEN'
  const washed = ownWashed ?? ways.data?.usual.washed ?? false
  const [since, setSince] = useState<string>()
  const start = useCommand('field', {
    mutationFn: () =>
      ask(
        api.POST('/api/drying/runs', {
          body: {
            id,
            harvestId: harvest.id,
            rack,
            at: since ?? nowIso(),
            freshG: number(fresh),
            moisture: low || high ? { low: number(low) / 100, high: number(high) / 100 } : undefined,
            temperatureC: temperature ? number(temperature) : undefined,
            relativeHumidity: humidity ? number(humidity) / 100 : undefined,
            method,
            washed,
            strippedBefore: stripped,
          },
        }),
      ),
    after: async (run) => {
      await navigate(`/drying/${run.id}`)
    },
  })
  const problem = start.error instanceof ProblemError ? start.error.problem : undefined
  const at = (field: string) => problem?.errors?.find((e) => e.field === field)?.message
  return {
    start,
    rack,
    id,
    setRack,
    at,
    racks,
    fresh,
    setFresh,
    method,
    methods,
    setMethod,
    washed,
    setWashed,
    strips,
    stripped,
    setStripped,
    low,
    setLow,
    high,
    setHigh,
    temperature,
    setTemperature,
    humidity,
    setHumidity,
    since,
    setSince,
    harvest,
    open,
    may,
    setOpen,
  }
}
type Racking = ReturnType<typeof useRacking>

function WaitingRow({ harvest }: { harvest: HarvestView }) {
  const f = useRacking({ harvest })
  const { open, may, setOpen } = f
  return (
    <li className="border-line border-b py-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <div>
          <p className="font-medium">
            {figure(harvest.massG ?? NaN)} g {harvest.commonName}, {PART[harvest.part]}
          </p>
          <p className="text-soft text-sm">
            {harvest.code} · {date(harvest.on)} · {harvest.standName}
          </p>
        </div>
        {!open && may && <Button onClick={() => setOpen(true)}>Put on the rack</Button>}
      </div>
      {open && may && <HowItDries f={f} />}
    </li>
  )
}

/** Weight, way and air. */
function HowItDries({ f }: { f: Racking }) {
  const {
    start,
    rack,
    id,
    setRack,
    at,
    racks,
    fresh,
    setFresh,
    method,
    methods,
    setMethod,
    washed,
    setWashed,
    strips,
    stripped,
    setStripped,
    low,
    setLow,
    high,
    setHigh,
    temperature,
    setTemperature,
    humidity,
    setHumidity,
    since,
    setSince,
  } = f
  return (
    <form
      className="mt-2 grid grid-cols-2 gap-2"
      onSubmit={(e) => {
        e.preventDefault()
        start.mutate()
      }}
    >
      <Input
        label="Which rack"
        value={rack}
        list={`racks-${id}`}
        onChange={(e) => setRack(e.target.value)}
        error={at('rack')}
      />
      <datalist id={`racks-${id}`}>
        {(racks.data ?? []).map((r) => (
          <option key={r} value={r} />
        ))}
      </datalist>
      <NumberInput label="Weight on it" unit="g" value={fresh} onChange={setFresh} error={at('freshG')} />
      <Choose
        label="How it dries"
        value={method}
        choices={METHODS.filter((m) => methods.includes(m.value))}
        onChange={setMethod}
        error={at('method')}
      />
      <div>
        <Toggle label="Washed" checked={washed} onChange={setWashed} />
        {strips && <Toggle label="Stripped from the stem" checked={stripped} onChange={setStripped} />}
      </div>
      <NumberInput
        label="Water at the start, from"
        unit="%"
        hint="empty: a wide general range"
        value={low}
        onChange={setLow}
        error={at('moisture.low')}
      />
      <NumberInput label="to" unit="%" value={high} onChange={setHigh} error={at('moisture.high')} />
      <NumberInput
        label="Air"
        unit="°C"
        value={temperature}
        onChange={setTemperature}
        error={at('air.temperatureC')}
      />
      <NumberInput
        label="Humidity"
        unit="%"
        value={humidity}
        onChange={setHumidity}
        error={at('relativeHumidity') ?? at('air.relativeHumidity')}
      />
      <Outside at={number(temperature)} onUse={setHumidity} />
      <div className="col-span-2 space-y-2">
        <WhenAt at={since} onChange={setSince} />
        <ProblemNotice error={start.error} />
        <Button kind="main" type="submit" disabled={start.isPending}>
          Start drying
        </Button>
      </div>
    </form>
  )
}

/** What today's air outside would be at the rack, warmed and no more. */
function Outside({ at, onUse }: { at: number; onUse: (humidity: string) => void }) {
  const air = useQuery({
    queryKey: ['air', at],
    enabled: at >= 0 && at <= 60,
    queryFn: () => ask(api.GET('/api/drying/air', { params: { query: { temperatureC: at } } })),
  })
  const now = air.data?.[0]
  if (!now) return null
  const inside = figure(now.humidity * 100)
  return (
    <p className="text-soft col-span-2 text-sm">
      Outside {figure(now.outsideC)} °C and {figure(now.outsideHumidity * 100)} %; warmed to {figure(at)} °C
      that is about {inside} %.{' '}
      <button
        type="button"
        className="text-note min-h-8 underline"
        onClick={() => onUse(String(Math.round(now.humidity * 100)))}
      >
        take that
      </button>
    </p>
  )
}
