import type { Schemas } from '../api/client'
import { Button, Choose, Input, type Choice } from '../ui/controls'
import { Acknowledge, type useAcknowledged } from '../ui/Acknowledge'
import { Findings } from '../ui/Findings'
import { Because, Page, ProblemNotice, Section } from '../ui/page'
import { date, figure } from '../ui/words'

type LotView = Schemas['LotView']
type Finding = Schemas['Finding']
type Step = Schemas['Step']

export const usable = (l: LotView) => l.remaining > 0 && l.state === 'USABLE' && !l.expired

export const lotChoices = (lots: LotView[], kinds: LotView['kind'][]): Choice<string>[] =>
  lots
    .filter((l) => kinds.includes(l.kind) && l.remaining > 0)
    .map((l) => ({
      value: l.id,
      label: `${l.name} ${l.code}`,
      hint: `${figure(l.remaining)} ${l.unit} left${l.bestBefore ? `, best before ${date(l.bestBefore)}` : ''}${
        usable(l) ? '' : ', not usable'
      }`,
    }))

export function LotChoice({
  label,
  lots,
  kinds,
  value,
  onChange,
}: {
  label: string
  lots: LotView[]
  kinds: LotView['kind'][]
  value: string
  onChange: (id: string) => void
}) {
  return <Choose label={label} value={value} choices={lotChoices(lots, kinds)} onChange={onChange} />
}

/** Name, findings, acknowledgement and the button that starts a batch: the same for every kind. */
export function StartPanel({
  name,
  onName,
  findings,
  because,
  reasons,
  error,
  pending,
  ready,
  onStart,
}: {
  name: string
  onName: (name: string) => void
  findings: Finding[]
  because: string[]
  reasons: ReturnType<typeof useAcknowledged>
  error: unknown
  pending: boolean
  ready: boolean
  onStart: () => void
}) {
  const stopped = findings.some((f) => f.severity === 'STOP')
  return (
    <div className="space-y-3">
      <Findings findings={findings.filter((f) => f.severity !== 'NOTE')} label="Bench findings" />
      <Acknowledge findings={findings} reasons={reasons} />
      <Section>
        <Input label="Name on the label" value={name} onChange={(e) => onName(e.target.value)} />
        <div className="mt-2 space-y-2">
          <ProblemNotice error={error} />
          <Button kind="main" className="w-full" disabled={pending || stopped || !ready} onClick={onStart}>
            Start the batch
          </Button>
          {stopped && <p className="text-madder font-medium">Refused until the STOP is resolved.</p>}
        </div>
      </Section>
      <Because lines={because} />
      <Findings findings={findings.filter((f) => f.severity === 'NOTE')} label="Bench notes" />
    </div>
  )
}

/** What I have, the vessel, what follows: the same three places on every bench. */
export function BenchPage({
  title,
  have,
  vessel,
  follows,
  panel,
}: {
  title: string
  have: React.ReactNode
  vessel: React.ReactNode
  follows: React.ReactNode
  panel: React.ComponentProps<typeof StartPanel>
}) {
  return (
    <Page title={title}>
      <div className="grid gap-4 lg:grid-cols-[18rem_minmax(0,1fr)_21rem]">
        <Section title="What I have">
          <div className="space-y-2">{have}</div>
        </Section>
        {vessel}
        <div className="space-y-3">
          <Section title="What follows">{follows}</Section>
          <StartPanel {...panel} />
        </div>
      </div>
    </Page>
  )
}

/** Steps readable from two metres; a hazard stands before its step. */
export function Steps({ steps, at, onAt }: { steps: Step[]; at: number; onAt: (i: number) => void }) {
  const step = steps[Math.min(at, steps.length - 1)]
  if (!step) return null
  return (
    <section aria-label="Steps" className="bg-sheet border-water border-t-4 p-4">
      <p className="text-soft">
        Step {at + 1} of {steps.length}
      </p>
      {step.hazard && (
        <Findings
          label="Hazard"
          findings={[
            { code: 'HAZARD', severity: 'WARN', message: step.hazard, action: 'Before you begin this step.' },
          ]}
        />
      )}
      <p className="my-3 min-h-24 text-3xl leading-snug font-semibold" aria-live="polite">
        {step.text}
      </p>
      {step.timerMinutes != null && (
        <p className="text-xl">Wait {figure(step.timerMinutes)} minutes first.</p>
      )}
      <div className="mt-3 flex gap-3">
        <Button className="min-h-16! flex-1 text-xl" disabled={at === 0} onClick={() => onAt(at - 1)}>
          Back
        </Button>
        <Button
          kind="main"
          className="min-h-16! flex-1 text-xl"
          disabled={at >= steps.length - 1}
          onClick={() => onAt(at + 1)}
        >
          Next step
        </Button>
      </div>
    </section>
  )
}
