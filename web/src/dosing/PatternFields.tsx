import type { Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Input, Slider } from '../ui/controls'
import { PATTERN } from '../ui/dictionary'

type Pattern = Schemas['PatternRequest']
type Kind = Pattern['kind']

const KINDS = Object.keys(PATTERN) as Kind[]

/** A pattern as it is first offered, with the numbers its kind needs. */
export function startOf(kind: Kind): Pattern {
  switch (kind) {
    case 'CYCLE':
      return { kind, onDays: 5, offDays: 2 }
    case 'DAYS_PER_MONTH':
      return { kind, daysPerMonth: 7 }
    case 'EVERY_HOURS':
      return { kind, everyHours: 4 }
    case 'AS_NEEDED':
      return { kind, everyHours: 4 }
    case 'DRAWN':
      return { kind, onDays: 1, lot: Math.floor(Math.random() * 1_000_000_000) }
    case 'SEASON':
      return { kind, from: '--03-01', to: '--05-31' }
    default:
      return { kind }
  }
}

/** On which days and at which distance doses are taken. */
export function PatternFields({
  value: p,
  onChange,
}: {
  value: Pattern
  onChange: (pattern: Pattern) => void
}) {
  const set = (change: Partial<Pattern>) => onChange({ ...p, ...change })
  return (
    <>
      <Choose
        label="How often"
        value={p.kind}
        onChange={(kind) => onChange(startOf(kind))}
        choices={KINDS.map((k) => ({ value: k, label: PATTERN[k].name, hint: PATTERN[k].hint }))}
      />
      {p.kind === 'CYCLE' && (
        <div className="grid grid-cols-2 gap-3">
          <Slider
            label="On"
            unit="days"
            value={p.onDays ?? 5}
            min={1}
            max={14}
            step={1}
            onChange={(onDays) => set({ onDays })}
          />
          <Slider
            label="Off"
            unit="days"
            value={p.offDays ?? 2}
            min={1}
            max={14}
            step={1}
            onChange={(offDays) => set({ offDays })}
          />
        </div>
      )}
      {p.kind === 'DRAWN' && (
        <>
          <Slider
            label="At a stretch"
            unit="days"
            value={p.onDays ?? 1}
            min={1}
            max={14}
            step={1}
            onChange={(onDays) => set({ onDays })}
          />
          <p className="text-soft text-sm">
            Two by two, one stretch with and one without; the lot says which comes first. Longer stretches
            suit what works slowly. Keep a diary beside it.
          </p>
        </>
      )}
      {p.kind === 'DAYS_PER_MONTH' && (
        <Slider
          label="From the first to the"
          unit="th"
          value={p.daysPerMonth ?? 7}
          min={1}
          max={31}
          step={1}
          onChange={(daysPerMonth) => set({ daysPerMonth })}
        />
      )}
      {(p.kind === 'EVERY_HOURS' || p.kind === 'AS_NEEDED') && (
        <Slider
          label={p.kind === 'EVERY_HOURS' ? 'Every' : 'At least apart'}
          unit="hours"
          value={p.everyHours ?? 4}
          min={1}
          max={24}
          step={1}
          onChange={(everyHours) => set({ everyHours })}
        />
      )}
      {p.kind === 'SEASON' && (
        <div className="grid grid-cols-2 gap-3">
          <Day label="First day" value={p.from ?? ''} onChange={(from) => set({ from })} />
          <Day label="Last day" value={p.to ?? ''} onChange={(to) => set({ to })} />
        </div>
      )}
    </>
  )
}

/** A day of any year: a date field of which the year is not kept. */
function Day({ label, value, onChange }: { label: string; value: string; onChange: (day: string) => void }) {
  return (
    <Input
      label={label}
      type="date"
      value={value.replace(/^--/, '2026-')}
      onChange={(e) => e.target.value && onChange(`--${e.target.value.slice(5)}`)}
    />
  )
}
