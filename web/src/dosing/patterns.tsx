import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Input, Slider, Toggle } from '../ui/controls'

export type Pattern = Schemas['CourseRequest']['pattern']
type Kind = Pattern['kind']
type Of<K extends Kind> = Extract<Pattern, { kind: K }>

interface Form<P> {
  name: string
  hint?: string
  /** As it is first offered. */
  start: () => P
  /** What the doses of a full day are called; null where the pattern keeps its own distance. */
  times: string | null
  fields?: (value: P, onChange: (pattern: P) => void) => ReactNode
}

const A_DAY = 'Times a day'
const ON_SUCH_A_DAY = 'Times on such a day'

/** One entry a pattern, with its part of the form; one that is forgotten does not compile. */
const PATTERNS: { [K in Kind]: Form<Of<K>> } = {
  DAILY: { name: 'every day', start: () => ({ kind: 'DAILY' }), times: A_DAY },
  CYCLE: {
    name: 'some days, then a pause',
    start: () => ({ kind: 'CYCLE', onDays: 5, offDays: 2 }),
    times: A_DAY,
    fields: (p, onChange) => (
      <div className="grid grid-cols-2 gap-3">
        <Slider
          label="On"
          unit="days"
          value={p.onDays}
          min={1}
          max={14}
          step={1}
          onChange={(onDays) => onChange({ ...p, onDays })}
        />
        <Slider
          label="Off"
          unit="days"
          value={p.offDays}
          min={1}
          max={14}
          step={1}
          onChange={(offDays) => onChange({ ...p, offDays })}
        />
      </div>
    ),
  },
  WEEKDAYS: {
    name: 'on named days of the week',
    start: () => ({ kind: 'WEEKDAYS', on: ['MONDAY', 'THURSDAY'] }),
    times: ON_SUCH_A_DAY,
    fields: (p, onChange) => (
      <fieldset>
        <legend className="text-soft text-sm font-medium">On</legend>
        <div className="grid grid-cols-4">
          {WEEK.map((day) => (
            <button
              key={day}
              type="button"
              aria-pressed={p.on.includes(day)}
              className={`border-line min-h-11 border text-xs ${p.on.includes(day) ? 'bg-water text-sheet font-semibold' : 'bg-sheet'}`}
              onClick={() =>
                onChange({
                  ...p,
                  on: WEEK.filter((d) => (d === day ? !p.on.includes(d) : p.on.includes(d))),
                })
              }
            >
              {WEEKDAY[day]}
            </button>
          ))}
        </div>
      </fieldset>
    ),
  },
  WEEKLY: {
    name: 'once a week',
    hint: 'on the weekday on which it begins',
    start: () => ({ kind: 'WEEKLY' }),
    times: ON_SUCH_A_DAY,
  },
  WEEKLY_IN_SEASON: {
    name: 'once a week in a season',
    start: () => ({ kind: 'WEEKLY_IN_SEASON', from: '--03-01', to: '--05-31', on: 'SUNDAY' }),
    times: ON_SUCH_A_DAY,
    fields: (p, onChange) => (
      <>
        <Choose
          label="On"
          value={p.on}
          onChange={(on) => onChange({ ...p, on })}
          choices={WEEK.map((day) => ({ value: day, label: WEEKDAY[day] }))}
        />
        <TimeOfYear value={p} onChange={(when) => onChange({ ...p, ...when })} />
      </>
    ),
  },
  DAYS_PER_MONTH: {
    name: 'the first days of each month',
    start: () => ({ kind: 'DAYS_PER_MONTH', daysPerMonth: 7 }),
    times: ON_SUCH_A_DAY,
    fields: (p, onChange) => (
      <Slider
        label="From the first to the"
        unit="th"
        value={p.daysPerMonth}
        min={1}
        max={31}
        step={1}
        onChange={(daysPerMonth) => onChange({ ...p, daysPerMonth })}
      />
    ),
  },
  EVERY_HOURS: {
    name: 'every so many hours',
    hint: 'day and night',
    start: () => ({ kind: 'EVERY_HOURS', everyHours: 4 }),
    times: null,
    fields: (p, onChange) => (
      <>
        <Hours label="Every" value={p.everyHours} onChange={(everyHours) => onChange({ ...p, everyHours })} />
        <Toggle
          label="Or somewhat later"
          checked={p.toHours != null}
          onChange={(range) => onChange({ ...p, toHours: range ? p.everyHours + 2 : undefined })}
        />
        {p.toHours != null && (
          <>
            <Hours label="to" value={p.toHours} onChange={(toHours) => onChange({ ...p, toHours })} />
            <p className="text-soft text-sm">The shorter distance is planned: the most that may be taken.</p>
          </>
        )}
      </>
    ),
  },
  AS_NEEDED: {
    name: 'as needed',
    hint: 'never more often than so many hours',
    start: () => ({ kind: 'AS_NEEDED', everyHours: 4 }),
    times: 'At most a day',
    fields: (p, onChange) => (
      <Hours
        label="At least apart"
        value={p.everyHours ?? 4}
        onChange={(everyHours) => onChange({ ...p, everyHours })}
      />
    ),
  },
  SEASON: {
    name: 'every day of a season',
    start: () => ({ kind: 'SEASON', from: '--03-01', to: '--05-31' }),
    times: A_DAY,
    fields: (p, onChange) => <TimeOfYear value={p} onChange={(when) => onChange({ ...p, ...when })} />,
  },
  DRAWN: {
    name: 'days with and without, drawn by lot',
    hint: 'to see whether it helps',
    start: () => ({ kind: 'DRAWN', onDays: 1, lot: Math.floor(Math.random() * 1_000_000_000) }),
    times: A_DAY,
    fields: (p, onChange) => (
      <>
        <Slider
          label="At a stretch"
          unit="days"
          value={p.onDays}
          min={1}
          max={14}
          step={1}
          onChange={(onDays) => onChange({ ...p, onDays })}
        />
        <p className="text-soft text-sm">
          Two by two, one stretch with and one without; the lot says which comes first. Longer stretches suit
          what works slowly. Keep a diary beside it.
        </p>
      </>
    ),
  },
}

const KINDS = Object.keys(PATTERNS) as Kind[]

/** The entry of whichever pattern it is. */
const of = (kind: Kind) => PATTERNS[kind] as Form<Pattern>

export const startOf = (kind: Kind) => of(kind).start()

export const timesOf = (pattern: Pattern) => of(pattern.kind).times

/** On which days and at which distance doses are taken. */
export function PatternFields({ value, onChange }: { value: Pattern; onChange: (pattern: Pattern) => void }) {
  return (
    <>
      <Choose
        label="How often"
        value={value.kind}
        onChange={(kind) => onChange(startOf(kind))}
        choices={KINDS.map((k) => ({ value: k, label: PATTERNS[k].name, hint: PATTERNS[k].hint }))}
      />
      {of(value.kind).fields?.(value, onChange)}
    </>
  )
}

type Weekday = Of<'WEEKLY_IN_SEASON'>['on']

const WEEKDAY: Record<Weekday, string> = {
  MONDAY: 'Monday',
  TUESDAY: 'Tuesday',
  WEDNESDAY: 'Wednesday',
  THURSDAY: 'Thursday',
  FRIDAY: 'Friday',
  SATURDAY: 'Saturday',
  SUNDAY: 'Sunday',
}

const WEEK = Object.keys(WEEKDAY) as Weekday[]

function Hours({
  label,
  value,
  onChange,
}: {
  label: string
  value: number
  onChange: (hours: number) => void
}) {
  return <Slider label={label} unit="hours" value={value} min={1} max={24} step={1} onChange={onChange} />
}

function TimeOfYear({
  value,
  onChange,
}: {
  value: { from: string; to: string }
  onChange: (when: { from: string; to: string }) => void
}) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <Day label="First day" value={value.from} onChange={(from) => onChange({ from, to: value.to })} />
      <Day label="Last day" value={value.to} onChange={(to) => onChange({ from: value.from, to })} />
    </div>
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
