import { Notes } from '../notes/Notes'
import { Link, useParams } from 'react-router'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { Findings } from '../ui/Findings'
import { State } from '../ui/State'
import { OnPaper } from '../ui/Sheet'
import { StrikeOut } from '../ui/StrikeOut'
import { ButtonLink } from '../ui/controls'
import { Because, Figure, Loaded, Page, Section } from '../ui/page'
import { date, figure, range } from '../ui/words'
import { Fill } from './Fill'
import { Press } from './Press'
import { Shake } from './Shake'
import { DONE } from './follows'
import { Steps } from './parts'
import { useBatch } from './queries'
import { useKitchen } from './useKitchen'

type BatchView = Schemas['BatchView']

export function Batch() {
  const { id = '' } = useParams()
  const batch = useBatch(id)
  return <Loaded query={batch}>{(b) => <BatchPage batch={b} />}</Loaded>
}

function BatchPage({ batch }: { batch: BatchView }) {
  const kitchen = useKitchen(batch.id)
  return (
    <Page
      title={`${batch.name} ${batch.code}`}
      actions={
        <>
          <OnPaper href={`/api/making/batches/${batch.id}/sheet.pdf`}>On paper</OnPaper>
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
              k.done.length === 0 && batch.day > 0 && batch.status !== 'STEEPING' ? (
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
          {batch.follows.includes('SHAKE') && <Shake batch={batch} />}
          <Notes of={{ about: 'LOT', id: batch.id, name: batch.name }} />
        </div>
        <div className="space-y-4">
          <Day batch={batch} />
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
          {batch.outcome && <Shown outcome={batch.outcome} />}
          {batch.status === 'STEEPING' && <Press batch={batch} />}
          {batch.follows.map((follow) => {
            const Done = DONE[follow]
            return follow !== 'SHAKE' && <Done key={follow} batch={batch} />
          })}
          {batch.status === 'PRESSED' && <Fill batch={batch} />}
          {batch.containers.length > 0 && <Filled batch={batch} />}
          <Findings findings={batch.plan.findings} label="Findings of the plan" />
          <Because lines={batch.plan.because} />
          <p className="text-soft text-sm">By the rules of version {batch.coreVersion}.</p>
        </div>
      </div>
    </Page>
  )
}

/** When it was begun, and what came of it. */
function Day({ batch }: { batch: BatchView }) {
  return (
    <Section
      title={`Day ${batch.day}`}
      aside={<State state={batch.state} steeping={batch.status === 'STEEPING'} />}
    >
      <dl className="grid grid-cols-2 gap-3">
        <Figure label="Started" value={date(batch.startedOn)} />
        {batch.pressOn && (
          <Figure label={batch.status === 'STEEPING' ? 'Press on' : 'Pressed'} value={date(batch.pressOn)} />
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
  )
}

function Shown({ outcome }: { outcome: NonNullable<BatchView['outcome']> }) {
  return (
    <Section title="What the pressing showed">
      <dl className="grid grid-cols-2 gap-3">
        <Figure
          label="The marc kept"
          value={range(outcome.retentionMlPerG)}
          unit="mL per g dry"
          note="the next tincture is planned by it"
        />
      </dl>
      <Findings findings={outcome.findings} label="Findings of the pressing" />
      <Because lines={outcome.because} />
    </Section>
  )
}

function Filled({ batch }: { batch: BatchView }) {
  return (
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
  )
}
