import { useState } from 'react'
import { householdZone, isoToday, now } from './clock'
import { Input } from './controls'

/** The household's wall clock as a field shows it: 2026-07-15T08:30. */
function wall(at: Date) {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: householdZone(),
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(at)
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? ''
  return `${part('year')}-${part('month')}-${part('day')}T${part('hour')}:${part('minute')}`
}

/** The moment at which the household's clock shows this. */
export function instant(local: string) {
  const asUtc = Date.parse(`${local}:00Z`)
  // The offset at a first guess may be that of the other side of a change of the clocks.
  const offset = (at: number) => Date.parse(`${wall(new Date(at))}:00Z`) - at
  return new Date(asUtc - offset(asUtc - offset(asUtc))).toISOString()
}

/** When it happened: now, unless something else is said. Gives a moment, or undefined for now. */
export function WhenAt({
  at,
  onChange,
}: {
  at: string | undefined
  onChange: (at: string | undefined) => void
}) {
  const [local, setLocal] = useState(() => wall(now()))
  return (
    <When open={at !== undefined} onOpen={(open) => onChange(open ? instant(local) : undefined)}>
      <Input
        label="When"
        type="datetime-local"
        value={local}
        max={wall(now())}
        onChange={(e) => {
          setLocal(e.target.value)
          if (e.target.value) onChange(instant(e.target.value))
        }}
      />
    </When>
  )
}

/** On which day it happened: today, unless something else is said. */
export function WhenOn({ on, onChange }: { on: string; onChange: (on: string) => void }) {
  const [open, setOpen] = useState(on !== isoToday())
  return (
    <When
      open={open}
      day
      onOpen={(o) => {
        setOpen(o)
        if (!o) onChange(isoToday())
      }}
    >
      <Input
        label="On which day"
        type="date"
        value={on}
        max={isoToday()}
        onChange={(e) => e.target.value && onChange(e.target.value)}
      />
    </When>
  )
}

function When({
  open,
  day = false,
  onOpen,
  children,
}: {
  open: boolean
  day?: boolean
  onOpen: (open: boolean) => void
  children: React.ReactNode
}) {
  return (
    <div className="flex flex-wrap items-end gap-2">
      {open && <div className="least-44 flex-1">{children}</div>}
      <button type="button" className="min-h-8 text-sm underline" onClick={() => onOpen(!open)}>
        {open ? (day ? 'today after all' : 'now after all') : day ? 'on another day' : 'at another time'}
      </button>
    </div>
  )
}
