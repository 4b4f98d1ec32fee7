import type { Schemas } from '../api/client'
import { LastTime } from '../notes/LastTime'
import { Unsaved } from '../ui/Unsaved'
import { Figure, Page, RangeBar, Section } from '../ui/page'
import { date, figure, range } from '../ui/words'
import { Missing } from './Missing'
import { StartPanel } from './parts'
import { useBench, type BatchBody } from './useBench'
import { VesselDrawing } from './VesselDrawing'

type Planned = Schemas['Planned']

/** What I have, the vessel, what follows: the same three places for every preparation. */
export function BenchOf({
  title,
  called,
  body,
  onBody,
  children,
}: {
  title: string
  /** The name that is proposed for the label. */
  called: string
  body: BatchBody
  /** Sets a field such as `herbs[0].lotId`, when what was missing has been put on the shelf. */
  onBody: (field: string, lotId: string) => void
  children: React.ReactNode
}) {
  const { plan, view, panel, here } = useBench(called, body)
  return (
    <Page title={title}>
      <Unsaved form={here} />
      <div className="grid gap-4 lg:grid-cols-[19rem_minmax(0,1fr)_22rem]">
        <Section title="What I have">
          <div className="space-y-2">{children}</div>
        </Section>
        <div className="flex flex-col gap-3">
          {plan ? (
            <VesselDrawing vessel={plan.vessel} />
          ) : (
            <p className="text-soft p-6">
              {view ? 'It cannot be made like this; see why beside it.' : 'Reckoning.'}
            </p>
          )}
          {plan && <GoesIn plan={plan} />}
        </div>
        <div className="space-y-3">
          {plan && <LastTime form={plan.form} called={called} />}
          <Section title="What follows">{plan && <Follows plan={plan} />}</Section>
          {view && view.missing.length > 0 && <Missing missing={view.missing} onPut={onBody} />}
          <StartPanel {...panel} />
        </div>
      </div>
    </Page>
  )
}

function GoesIn({ plan }: { plan: Planned }) {
  return (
    <Section title="What goes in">
      <ul className="text-lg">
        {plan.portions.map((p) => (
          <li key={p.name} className="flex justify-between gap-4">
            <span>{p.name}</span>
            <span className="whitespace-nowrap">
              <strong>{figure(p.massG)} g</strong>{' '}
              {p.volumeMl != null && <span className="text-soft text-base">{figure(p.volumeMl)} mL</span>}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  )
}

function Follows({ plan }: { plan: Planned }) {
  return (
    <>
      <dl className="grid grid-cols-2 gap-x-3 gap-y-2">
        {plan.facts.map((f) => (
          <Figure key={f.label} label={f.label} value={range(f.value)} unit={f.unit} note={f.note} />
        ))}
        {plan.finalPercent && <Figure label="Final strength" value={range(plan.finalPercent)} unit="% vol" />}
        {plan.driedGPerUnit && (
          <Figure label={`Dried herb in 1 ${plan.unit}`} value={range(plan.driedGPerUnit)} unit="g" />
        )}
        <Figure label="Keeps until" value={date(plan.keepsUntil)} note={hoursOf(plan)} />
      </dl>
      {plan.finalPercent && (
        <RangeBar
          low={plan.finalPercent.low}
          high={plan.finalPercent.high}
          min={0}
          max={97}
          marks={
            plan.spoilsBelowPercent == null ? [] : [{ at: plan.spoilsBelowPercent, label: 'spoils below' }]
          }
        />
      )}
    </>
  )
}

const hoursOf = (plan: Planned) =>
  plan.hours
    ? `${figure(plan.hours.cold)} h cold, ${plan.hours.room > 0 ? `${figure(plan.hours.room)} h in the room` : 'not in the room'}`
    : undefined
