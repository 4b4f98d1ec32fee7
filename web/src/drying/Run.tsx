import { number } from '../ui/read'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, refusedBy, type Schemas } from '../api/client'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { nowIso, isoToday } from '../ui/clock'
import { Findings } from '../ui/Findings'
import { StrikeOut } from '../ui/StrikeOut'
import { WhenAt, WhenOn } from '../ui/When'
import { Mould } from '../ui/Mould'
import { Because, Figure, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { PART } from '../ui/dictionary'
import { figure, hours, moment, range } from '../ui/words'
import { KeptHere } from '../ui/KeptHere'
import { useCarry } from '../ui/useCarry'
import { weighing } from './commands'
import { DryingCurve } from './DryingCurve'
import { useRun } from './queries'
import { ScaleReader } from './ScaleReader'
import { Only, only } from '../ui/may'

type RunView = Schemas['RunView']
type Test = RunView['tests'][number]['test']

export function Run() {
  const { id = '' } = useParams()
  const run = useRun(id)
  return <Loaded query={run}>{(r) => <RunPage run={r} />}</Loaded>
}

function RunPage({ run }: { run: RunView }) {
  const drying = run.status === 'DRYING'
  return (
    <Page title={`${run.commonName}, ${PART[run.part]} on ${run.rack}`}>
      <div className="grid gap-4 lg:grid-cols-[17rem_minmax(0,1fr)_19rem]">
        <div className="space-y-4">
          {drying && <Weigh run={run} />}
          {drying && <Tests run={run} />}
          {drying && <Condition key={run.version} run={run} />}
        </div>
        <div className="space-y-3">
          <DryingCurve run={run} />
          <Because lines={run.because} />
          <details className="text-sm">
            <summary className="text-note min-h-6 cursor-pointer underline">
              {run.weighings.length === 1 ? 'One weighing' : `${run.weighings.length} weighings`}
            </summary>
            <ul>
              {run.weighings.toReversed().map((w) => (
                <li key={w.id} className="border-line flex flex-wrap justify-between gap-x-3 border-b">
                  <span>
                    {moment(w.at)}, rack hour {figure(w.rackHours)}: {figure(w.massG)} g, {w.weighedBy}
                  </span>
                  {drying && (
                    <StrikeOut
                      what={`the weighing of ${figure(w.massG)} g`}
                      onStrike={(because) =>
                        ask(
                          api.POST('/api/drying/runs/{id}/weighings/{weighing}/strike', {
                            params: { path: { id: run.id, weighing: w.id } },
                            body: because,
                          }),
                        )
                      }
                    />
                  )}
                </li>
              ))}
            </ul>
          </details>
        </div>
        <div className="space-y-4">
          <Section title="Where it stands">
            <dl className="space-y-3">
              <Figure
                label="Water now, wet basis"
                value={range(run.moistureNow, 100)}
                unit="%"
                note={`it may go to the jar at ${figure(run.targetMoisture * 100)} %`}
              />
              <Figure label="Weight to reach" value={range(run.targetG)} unit="g" />
              <Figure
                label="Done in"
                value={
                  run.done ? 'dry now' : run.remainingHours ? hours(run.remainingHours.likely) : 'not known'
                }
                note={
                  run.remainingHours && !run.done
                    ? `90 % band: ${hours(run.remainingHours.low)} to ${hours(run.remainingHours.high)}, on the rack`
                    : run.done
                      ? undefined
                      : `before any weighing: ${hours(run.advice.dryAfterHours.low)} to ${hours(run.advice.dryAfterHours.high)} at work, ${
                          run.advice.rackLots > 0
                            ? `learned from ${run.advice.rackLots} lots on this rack`
                            : 'a wide guess; this rack will teach it'
                        }`
                }
              />
              <Figure
                label="Hold it at"
                value={range(run.advice.nominalC)}
                unit="°C"
                note={`${figure(run.advice.mostC)} °C at most, while it is still wet`}
              />
              <Figure
                label="Fresh to one dried"
                value={range(run.advice.freshToDry)}
                note={
                  run.advice.lots > 0
                    ? `learned from ${run.advice.lots} of your own lots`
                    : 'by its moisture; your own lots will narrow it'
                }
              />
            </dl>
          </Section>
          {drying && (
            <Section title="As this household dries">
              <ul className="list-disc space-y-1 pl-5 text-sm">
                {run.advice.howTo.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </Section>
          )}
          <Findings findings={run.findings} label="Drying findings" />
          {drying && <ToJar run={run} />}
          {drying && <MouldOfRun run={run} />}
          {!drying && (
            <p className="font-medium">
              {run.status === 'JARRED' ? 'This lot is in its jar.' : 'This lot was thrown away for mould.'}
            </p>
          )}
        </div>
      </div>
    </Page>
  )
}

const Weigh = only('record', function Weigh({ run }: { run: RunView }) {
  const [id, setId] = useState(() => v7())
  const [mass, setMass] = useState('')
  const [fromScale, setFromScale] = useState(false)
  const [at, setAt] = useState<string>()
  const reasons = useAcknowledged()
  const [kept, setKept] = useState(false)
  const emptied = () => {
    setId(v7())
    setMass('')
    setAt(undefined)
  }
  const weigh = useCarry(weighing, {
    onSent: emptied,
    onKept: () => {
      emptied()
      setKept(true)
    },
  })
  return (
    <Section title="Weigh">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          weigh.mutate({
            variables: {
              runId: run.id,
              body: {
                id,
                at: at ?? nowIso(),
                massG: number(mass),
                source: fromScale ? 'SCALE' : 'HAND',
                acknowledged: reasons.list,
              },
            },
            words: `${mass} g, ${run.commonName} on ${run.rack}`,
          })
        }}
      >
        <ScaleReader
          load={{ dryingRunId: run.id }}
          onStable={(g) => {
            setMass(String(g))
            setFromScale(true)
          }}
        />
        <NumberInput
          label="Weight now"
          unit="g"
          value={mass}
          onChange={(v) => {
            setMass(v)
            setFromScale(false)
          }}
        />
        <WhenAt at={at} onChange={setAt} />
        {kept && <KeptHere />}
        <ProblemNotice error={weigh.error} />
        <Acknowledge findings={refusedBy(weigh.error)} reasons={reasons} />
        <Button kind="main" type="submit" disabled={weigh.isPending || !(number(mass) > 0)}>
          Record the weight
        </Button>
      </form>
    </Section>
  )
})

const TESTS: { value: Test; label: string }[] = [
  { value: 'BENDS', label: 'bends' },
  { value: 'CRUMBLES', label: 'leaf crumbles' },
  { value: 'SNAPS', label: 'stem snaps' },
  { value: 'HARD', label: 'hard through' },
]

/** Each try with its time; two that are dry, half a day apart, end a drying without a scale. */
function Tests({ run }: { run: RunView }) {
  const [id, setId] = useState(() => v7())
  const tried = useCommand('drying', {
    mutationFn: (test: Test) =>
      ask(
        api.POST('/api/drying/runs/{id}/tests', {
          params: { path: { id: run.id } },
          body: { id, test, at: nowIso() },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
    },
  })
  return (
    <Section title="Try a stem or leaf">
      <Only deed="record">
        {' '}
        <div className="grid grid-cols-2 gap-2">
          {TESTS.map((t) => (
            <Button key={t.value} disabled={tried.isPending} onClick={() => tried.mutate(t.value)}>
              {t.label}
            </Button>
          ))}
        </div>
      </Only>
      <ProblemNotice error={tried.error} />
      <ul className="mt-2 text-sm">
        {run.tests.map((t) => (
          <li key={t.id} className="flex flex-wrap justify-between gap-2">
            <span>
              {moment(t.at)}: {TESTS.find((x) => x.value === t.test)?.label}
            </span>
            <StrikeOut
              what={`the test of ${moment(t.at)}`}
              onStrike={(because) =>
                ask(
                  api.POST('/api/drying/runs/{id}/tests/{test}/strike', {
                    params: { path: { id: run.id, test: t.id } },
                    body: because,
                  }),
                )
              }
            />
          </li>
        ))}
      </ul>
      <p className="text-soft text-sm">
        Dry twice, twelve hours apart, is as good as a scale that stands still.
      </p>
    </Section>
  )
}

const Condition = only('record', function Condition({ run }: { run: RunView }) {
  const [temperature, setTemperature] = useState(run.temperatureC?.toString() ?? '')
  const [humidity, setHumidity] = useState(
    run.relativeHumidity == null ? '' : figure(run.relativeHumidity * 100),
  )
  const [working, setWorking] = useState(run.working)
  const save = useCommand('drying', {
    mutationFn: () =>
      ask(
        api.PUT('/api/drying/runs/{id}/condition', {
          params: { path: { id: run.id }, header: ifMatch(run.version) },
          body: {
            temperatureC: temperature ? number(temperature) : undefined,
            relativeHumidity: humidity ? number(humidity) / 100 : undefined,
            working,
            at: nowIso(),
          },
        }),
      ),
  })
  return (
    <Section title="At the rack">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate()
        }}
      >
        <div className="grid grid-cols-2 gap-2">
          <NumberInput label="Air" unit="°C" value={temperature} onChange={setTemperature} />
          <NumberInput label="Humidity" unit="%" value={humidity} onChange={setHumidity} />
        </div>
        <Toggle label="Rack is at work" checked={working} onChange={setWorking} />
        <ProblemNotice error={save.error} />
        <Button type="submit" disabled={save.isPending}>
          Note it
        </Button>
      </form>
    </Section>
  )
})

const ToJar = only('record', function ToJar({ run }: { run: RunView }) {
  const navigate = useNavigate()
  const [id] = useState(() => v7())
  const last = run.weighings.at(-1)?.massG ?? run.freshG
  const [mass, setMass] = useState(run.byTestAlone ? '' : String(last))
  const [place, setPlace] = useState('')
  const [on, setOn] = useState(isoToday)
  const jar = useCommand('drying', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/jars', {
          body: {
            id,
            fromRun: run.id,
            on,
            massG: mass.trim() === '' ? undefined : number(mass),
            place,
          },
        }),
      ),
    after: async () => {
      await navigate(`/shelf/${id}`)
    },
  })
  return (
    <Section title="Into a jar">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          jar.mutate()
        }}
      >
        <NumberInput
          label="Weight into the jar"
          unit="g"
          value={mass}
          onChange={setMass}
          {...(run.byTestAlone
            ? {
                hint: `empty: not weighed; ${figure(run.advice.leastDriedG)} g counts, the least it may be`,
              }
            : {})}
        />
        <Input label="Where it will stand" value={place} onChange={(e) => setPlace(e.target.value)} />
        <WhenOn on={on} onChange={setOn} />
        <ProblemNotice error={jar.error} />
        <Button kind={run.done ? 'main' : 'quiet'} type="submit" disabled={jar.isPending}>
          Put it into a jar
        </Button>
      </form>
    </Section>
  )
})

const MouldOfRun = only('record', function MouldOfRun({ run }: { run: RunView }) {
  const mould = useCommand('drying', {
    mutationFn: () => ask(api.POST('/api/drying/runs/{id}/mould', { params: { path: { id: run.id } } })),
  })
  return <Mould onMould={() => mould.mutate()} busy={mould.isPending} error={mould.error} />
})
