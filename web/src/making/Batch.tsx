import { number } from '../ui/read'
import { isoToday } from '../ui/clock'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, refusedBy, type Schemas } from '../api/client'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, NumberInput } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { Because, Figure, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { State } from '../ui/State'
import { StrikeOut } from '../ui/StrikeOut'
import { WhenOn } from '../ui/When'
import { date, figure, range } from '../ui/words'
import { Fill } from './Fill'
import { Pan } from './Pan'
import { Steps } from './parts'
import { useBatch } from './queries'
import { useKitchen } from './useKitchen'
import { Only, only } from '../ui/may'

type BatchView = Schemas['BatchView']
type Water = NonNullable<BatchView['water']>

export function Batch() {
  const { id = '' } = useParams()
  const batch = useBatch(id)
  return <Loaded query={batch}>{(b) => <BatchPage batch={b} />}</Loaded>
}

/** As the server has it: before, too little is in the spirit. */
const FIRST_POUR_DAY = 14

function BatchPage({ batch }: { batch: BatchView }) {
  const kitchen = useKitchen(batch.id)
  return (
    <Page
      title={`${batch.name} ${batch.code}`}
      actions={
        <>
          <ButtonLink to={`/shelf/${batch.id}`}>Its lot and label</ButtonLink>
          <ButtonLink to={`/tracing/${batch.id}`}>Trace</ButtonLink>
        </>
      }
    >
      <div className="grid gap-4 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
        <div className="space-y-4">
          <Loaded query={kitchen}>
            {(k) =>
              // Made long ago and never ticked off: its steps are no longer what comes next.
              k.at === 0 && batch.day > 0 && batch.status !== 'STEEPING' ? (
                <Section title="Made">
                  <ol className="list-decimal pl-5">
                    {k.steps.map((s) => (
                      <li key={s.text}>{s.text}</li>
                    ))}
                  </ol>
                </Section>
              ) : (
                <Steps kitchen={k} />
              )
            }
          </Loaded>
          {batch.status === 'STEEPING' && <Shake batch={batch} />}
        </div>
        <div className="space-y-4">
          <Section
            title={`Day ${batch.day}`}
            aside={<State state={batch.state} steeping={batch.status === 'STEEPING'} />}
          >
            <dl className="grid grid-cols-2 gap-3">
              <Figure label="Started" value={date(batch.startedOn)} />
              {batch.pressOn && (
                <Figure
                  label={batch.status === 'STEEPING' ? 'Press on' : 'Pressed'}
                  value={date(batch.pressOn)}
                />
              )}
              <Figure label="Expected" value={range(batch.plan.yield)} unit={batch.plan.unit} />
              {batch.yieldAmount != null && (
                <Figure label="Came out" value={figure(batch.yieldAmount)} unit={batch.plan.unit} />
              )}
              {batch.plan.finalPercent && (
                <Figure label="Final strength" value={range(batch.plan.finalPercent)} unit="% vol" />
              )}
            </dl>
            {batch.mayUnpress && batch.yieldAmount != null && (
              <StrikeOut
                what={`the pressing of ${figure(batch.yieldAmount)} ${batch.plan.unit}`}
                word="the pressing was wrong"
                onStrike={(because) =>
                  ask(
                    api.POST('/api/making/batches/{id}/press/strike', {
                      params: { path: { id: batch.id }, header: ifMatch(batch.version) },
                      body: because,
                    }),
                  )
                }
              />
            )}
          </Section>
          {batch.state !== 'USABLE' && (
            <Findings
              findings={[
                {
                  code: batch.state,
                  severity: batch.state === 'HOLD' ? 'HOLD' : 'STOP',
                  message: batch.stateReason ?? 'Not usable.',
                  action: batch.state === 'HOLD' ? 'Resolve it below, or on its lot page.' : 'Set it aside.',
                },
              ]}
            />
          )}
          {batch.outcome && (
            <Section title="What the pressing showed">
              <dl className="grid grid-cols-2 gap-3">
                <Figure
                  label="The marc kept"
                  value={range(batch.outcome.retentionMlPerG)}
                  unit="mL per g dry"
                  note="the next tincture is planned by it"
                />
              </dl>
              <Findings findings={batch.outcome.findings} label="Findings of the pressing" />
              <Because lines={batch.outcome.because} />
            </Section>
          )}
          {batch.asksSpoon && <Spoon batch={batch} />}
          {batch.asksPan && batch.status === 'PRESSED' && <Pan batch={batch} />}
          {batch.status === 'STEEPING' && <Press batch={batch} />}
          {batch.status === 'STEEPING' && batch.kind === 'TINCTURE' && batch.day >= FIRST_POUR_DAY && (
            <PourOff batch={batch} />
          )}
          {batch.status === 'PRESSED' && batch.water && <Settle batch={batch} />}
          {batch.status === 'PRESSED' && <Fill batch={batch} />}
          {batch.containers.length > 0 && (
            <Section title="Filled from it">
              <ul>
                {batch.containers.map((c) => (
                  <li key={c.id} className="border-line flex flex-wrap justify-between gap-x-3 border-b py-1">
                    <Link className="underline" to={`/shelf/${c.id}`}>
                      {c.name} {c.code}
                    </Link>
                    <a
                      className="underline"
                      href={`/api/shelf/lots/${c.id}/label.pdf`}
                      target="_blank"
                      rel="noreferrer"
                      aria-label={`label of ${c.code}`}
                    >
                      label
                    </a>
                    <StrikeOut
                      what={`the filling of ${c.code}`}
                      word="was not filled"
                      onStrike={(because) =>
                        ask(
                          api.POST('/api/making/batches/{id}/containers/{bottle}/strike', {
                            params: {
                              path: { id: batch.id, bottle: c.id },
                              header: ifMatch(batch.version),
                            },
                            body: because,
                          }),
                        )
                      }
                    />
                  </li>
                ))}
              </ul>
            </Section>
          )}
          <Findings findings={batch.plan.findings} label="Findings of the plan" />
          <Because lines={batch.plan.because} />
          <p className="text-soft text-sm">Reckoned by core {batch.coreVersion}.</p>
        </div>
      </div>
    </Page>
  )
}

/** Some of it now, the rest stays: asked for, not in the way of the pressing. */
function PourOff({ batch }: { batch: BatchView }) {
  const [open, setOpen] = useState(false)
  return open ? (
    <Fill batch={batch} pouringOff />
  ) : (
    <Button onClick={() => setOpen(true)}>Pour some off, the rest stays on the herb</Button>
  )
}

function Shake({ batch }: { batch: BatchView }) {
  const queries = useQueryClient()
  const [id, setId] = useState(() => v7())
  const [on, setOn] = useState(isoToday)
  const last = batch.shakes.at(-1)
  const shake = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/making/batches/{id}/shakes', {
          params: { path: { id: batch.id } },
          body: { id, on },
        }),
      ),
    onSettled: async () => {
      setId(v7())
      await queries.invalidateQueries()
    },
  })
  return (
    <Section title="Shaking">
      <ol className="mb-2 flex flex-wrap gap-1" aria-label={`Shaken on ${batch.shakes.length} days`}>
        {batch.shakes.map((s) => (
          <li key={s.id} className="bg-water size-4">
            <span className="sr-only">{date(s.on)}</span>
          </li>
        ))}
      </ol>
      {last && (
        <p className="mb-2 flex flex-wrap items-center justify-between gap-2">
          <span className="text-soft">
            Last on {date(last.on)}, {last.by}
          </span>
          <StrikeOut
            what={`the shaking of ${date(last.on)}`}
            onStrike={(because) =>
              ask(
                api.POST('/api/making/batches/{id}/shakes/{shake}/strike', {
                  params: { path: { id: batch.id, shake: last.id } },
                  body: because,
                }),
              )
            }
          />
        </p>
      )}
      <Only deed="record">
        {' '}
        <WhenOn on={on} onChange={setOn} />
        <Button
          kind={batch.shakeDue ? 'main' : 'quiet'}
          disabled={shake.isPending}
          onClick={() => shake.mutate()}
        >
          {on === isoToday() ? 'Shaken today' : `Shaken on ${date(on)}`}
        </Button>
      </Only>{' '}
      <ProblemNotice error={shake.error} />
    </Section>
  )
}

const SPOONS: { verdict: BatchView['spoons'][number]; words: string }[] = [
  { verdict: 'TOO_SOFT', words: 'too soft' },
  { verdict: 'RIGHT', words: 'right' },
  { verdict: 'TOO_HARD', words: 'too hard' },
]

/** How a drop set on a cold spoon; the next salve with this wax is planned by it. */
function Spoon({ batch }: { batch: BatchView }) {
  const queries = useQueryClient()
  const [id] = useState(() => v7())
  const note = useMutation({
    mutationFn: (verdict: BatchView['spoons'][number]) =>
      ask(
        api.POST('/api/making/batches/{id}/spoons', {
          params: { path: { id: batch.id } },
          body: { id, verdict, abovePlan: 0 },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <Section title="Cold spoon">
      {batch.spoons.length > 0 ? (
        <p>
          Noted: {batch.spoons.map((s) => SPOONS.find((x) => x.verdict === s)?.words).join(', ')}. The next
          salve with this wax is planned by it.
        </p>
      ) : (
        <p className="text-soft">How did it set, poured as planned?</p>
      )}
      <Only deed="record">
        {' '}
        {batch.spoons.length === 0 && (
          <div className="mt-2 flex flex-wrap gap-2">
            {SPOONS.map((s) => (
              <Button key={s.verdict} disabled={note.isPending} onClick={() => note.mutate(s.verdict)}>
                {s.words}
              </Button>
            ))}
          </div>
        )}
      </Only>{' '}
      <ProblemNotice error={note.error} />
    </Section>
  )
}

const WATERS: { value: Water; label: string; hint: string }[] = [
  { value: 'NONE_SEEN', label: 'no water seen', hint: 'after it settled overnight' },
  { value: 'SEEN', label: 'water lies under it', hint: 'a layer, drops or a cloud' },
  { value: 'PARTED', label: 'water was there; the oil is poured off', hint: 'two weeks, cold, for the skin' },
]

const Press = only('record', function Press({ batch }: { batch: BatchView }) {
  const queries = useQueryClient()
  const [amount, setAmount] = useState('')
  const [water, setWater] = useState<Water>('NONE_SEEN')
  const [on, setOn] = useState(isoToday)
  const reasons = useAcknowledged()
  const oil = batch.kind === 'INFUSED_OIL'
  const press = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/making/batches/{id}/press', {
          params: { path: { id: batch.id }, header: ifMatch(batch.version) },
          body: {
            yieldAmount: number(amount),
            on,
            ...(oil ? { water } : {}),
            acknowledged: reasons.list,
          },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <Section title="Press">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          press.mutate()
        }}
      >
        <NumberInput
          label="What came out"
          unit={batch.plan.unit}
          value={amount}
          onChange={setAmount}
          hint={`expected ${range(batch.plan.yield)} ${batch.plan.unit}`}
        />
        {oil && <Choose label="Under the oil" value={water} choices={WATERS} onChange={setWater} />}
        <WhenOn on={on} onChange={setOn} />
        <ProblemNotice error={press.error} />
        <Acknowledge findings={refusedBy(press.error)} reasons={reasons} />
        <Button type="submit" disabled={press.isPending}>
          Record the pressing
        </Button>
      </form>
    </Section>
  )
})

/** Water under a pressed oil: it is held until the oil is poured off. */
const Settle = only('record', function Settle({ batch }: { batch: BatchView }) {
  const queries = useQueryClient()
  const settle = useMutation({
    mutationFn: (water: Water) =>
      ask(
        api.POST('/api/making/batches/{id}/settle', {
          params: { path: { id: batch.id }, header: ifMatch(batch.version) },
          body: { water },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  })
  if (batch.water === 'PARTED') {
    return (
      <p className="text-amber font-medium">It was poured off water: two weeks, cold, for the skin only.</p>
    )
  }
  return (
    <Section title="Under the oil">
      <p className="mb-2">
        {batch.water === 'SEEN'
          ? 'Pour the oil off the water; throw the cloudy rest away.'
          : 'No water was seen. Look again before you fill it.'}
      </p>
      <ProblemNotice error={settle.error} />
      <Button
        kind={batch.water === 'SEEN' ? 'main' : 'quiet'}
        disabled={settle.isPending}
        onClick={() => settle.mutate(batch.water === 'SEEN' ? 'PARTED' : 'SEEN')}
      >
        {batch.water === 'SEEN' ? 'The oil is poured off' : 'There is water under it after all'}
      </Button>
    </Section>
  )
})
