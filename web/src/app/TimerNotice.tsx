import { useEffect, useRef } from 'react'
import { Link } from 'react-router'
import { clockTime, ring, timers, useTimers } from '../ui/timers'
import { useNow } from '../ui/useNow'

/** Says on every page what is waited for, and rings once when a wait is over. */
export function TimerNotice() {
  const all = useTimers()
  const now = useNow(all.length > 0)
  const rung = useRef(new Set<string>())
  const over = all.filter((t) => t.endsAt <= now)
  useEffect(() => {
    for (const t of over) {
      if (!t.heard && !rung.current.has(t.key)) {
        rung.current.add(t.key)
        ring()
      }
    }
  })
  if (all.length === 0) return null
  return (
    <aside aria-label="Timers" className="mx-auto max-w-7xl px-4 pt-2">
      <ul className="flex flex-wrap gap-2" aria-live="polite">
        {all.map((t) => {
          const done = t.endsAt <= now
          return (
            <li
              key={t.key}
              className={`flex items-center gap-3 border-2 px-3 py-1 ${done ? 'border-amber bg-amber-pale' : 'border-line bg-sheet'}`}
            >
              <Link className="underline" to={t.to}>
                {t.says}
              </Link>
              <strong>{done ? 'the time is over' : clockTime(t.endsAt - now)}</strong>
              {done && (
                <button type="button" className="min-h-8 px-2 underline" onClick={() => timers.clear(t.key)}>
                  heard
                </button>
              )}
            </li>
          )
        })}
      </ul>
    </aside>
  )
}
