import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { vesselName, type VesselView } from '../shelf/vessels'
import { Choose } from '../ui/Choose'
import { Button, Input } from '../ui/controls'
import { Acknowledge, type useAcknowledged } from '../ui/Acknowledge'
import { Announce } from '../ui/Announce'
import { Findings } from '../ui/Findings'
import { Because, ProblemNotice, Section } from '../ui/page'
import { lasting } from '../ui/words'
import { useSteps, type KitchenView } from './useKitchen'
import { Only } from '../ui/may'

type Finding = Schemas['Finding']

/** Name, findings, acknowledgement and the button that starts a batch: the same for every kind. */
export function StartPanel({
  says,
  name,
  onName,
  findings,
  because,
  reasons,
  fits,
  vessel,
  onVessel,
  error,
  pending,
  ready,
  onStart,
}: {
  /** What follows now, in a sentence. */
  says: string
  name: string
  onName: (name: string) => void
  findings: Finding[]
  because: string[]
  reasons: ReturnType<typeof useAcknowledged>
  /** The household's own vessels that are free and large enough. */
  fits: VesselView[]
  vessel: string
  onVessel: (id: string) => void
  error: unknown
  pending: boolean
  ready: boolean
  onStart: () => void
}) {
  const stopped = findings.some((f) => f.severity === 'STOP')
  return (
    <div className="space-y-3">
      <Announce text={says} />
      <Findings findings={findings.filter((f) => f.severity !== 'NOTE')} label="Bench findings" />
      <Acknowledge findings={findings} reasons={reasons} />
      <Section>
        <Input label="Name on the label" value={name} onChange={(e) => onName(e.target.value)} />
        <div className="mt-2 space-y-2">
          {fits.length > 0 && (
            <Choose
              label="It stands in"
              value={fits.some((v) => v.id === vessel) ? vessel : 'other'}
              choices={[
                ...fits.map((v) => ({ value: v.id, label: vesselName(v), hint: `${v.free} free` })),
                { value: 'other', label: 'another, not counted' },
              ]}
              onChange={(v) => onVessel(v === 'other' ? '' : v)}
            />
          )}
          <ProblemNotice error={error} />
          <Only deed="record">
            <Button kind="main" className="w-full" disabled={pending || stopped || !ready} onClick={onStart}>
              Start the batch
            </Button>
          </Only>
          {stopped && <p className="text-madder font-medium">Refused until the STOP is resolved.</p>}
        </div>
      </Section>
      <Because lines={because} />
      <Findings findings={findings.filter((f) => f.severity === 'NOTE')} label="Bench notes" />
    </div>
  )
}

/** The step that is next, with its hazard before it; where the steps stand is kept with the batch. */
export function Steps({ kitchen: k }: { kitchen: KitchenView }) {
  const { done, back } = useSteps(k)
  const step = k.steps[k.at]
  return (
    <section aria-label="Steps" className="bg-sheet border-water border-t-4 p-4">
      <div className="flex items-baseline justify-between gap-3">
        <p className="text-soft">
          {step ? `Step ${k.at + 1} of ${k.steps.length}` : `All ${k.steps.length} steps are done`}
        </p>
        <Link className="underline" to={`/making/batches/${k.batchId}/kitchen`}>
          {step ? 'At the stove, in large letters' : 'What was done'}
        </Link>
      </div>
      {step?.hazard && (
        <Findings
          label="Hazard"
          findings={[
            { code: 'HAZARD', severity: 'WARN', message: step.hazard, action: 'Before you begin this step.' },
          ]}
        />
      )}
      {step && (
        <p className="my-3 min-h-20 text-3xl leading-snug font-semibold" aria-live="polite">
          {step.text}
        </p>
      )}
      {step?.timerMinutes != null && <p className="text-xl">Wait {lasting(step.timerMinutes)} first.</p>}
      <ProblemNotice error={done.error ?? back.error} />
      <Only deed="record">
        <div className="mt-3 flex gap-3">
          <Button
            className="min-h-14! flex-1 text-xl"
            disabled={k.done.length === 0 || back.isPending}
            onClick={() => back.mutate()}
          >
            Back
          </Button>
          {step && (
            <Button
              kind="main"
              className="min-h-14! flex-1 text-xl"
              disabled={done.isPending}
              onClick={() => done.mutate('')}
            >
              Next step
            </Button>
          )}
        </div>
      </Only>
    </section>
  )
}
