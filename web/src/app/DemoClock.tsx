import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react'
import { useCommand } from '../ui/command'
import { useEffect, useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { now, setNow } from '../ui/clock'

type Move = Schemas['MoveRequest']['move']

const MOVES: { move: Move; words: string }[] = [
  { move: 'NEXT', words: 'to the next thing due' },
  { move: 'HOUR', words: 'on by an hour' },
  { move: 'DAY', words: 'on by a day' },
  { move: 'WEEK', words: 'on by a week' },
  { move: 'START', words: 'back to the opening morning' },
]

const format = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  timeZone: 'UTC',
})

/** The demo's own calendar, and its one control. */
export function DemoClock() {
  const [shown, setShown] = useState(() => format.format(now()))
  useEffect(() => {
    const timer = setInterval(() => setShown(format.format(now())), 1000)
    return () => clearInterval(timer)
  }, [])
  const move = useCommand('household', {
    mutationFn: (m: Move) => ask(api.POST('/api/demo/clock', { body: { move: m } })),
    onSuccess: async (clock) => {
      setNow(clock.now)
      setShown(format.format(now()))
    },
  })
  return (
    <Menu>
      <MenuButton
        disabled={move.isPending}
        className="border-amber bg-amber-pale text-ink min-h-8 border-2 px-2 text-sm font-semibold"
      >
        <span className="sr-only">The demo’s own calendar: </span>
        {move.isPending ? 'time goes by' : shown} <span aria-hidden>▾</span>
      </MenuButton>
      <MenuItems anchor="bottom" className="bg-sheet border-amber z-40 w-60 border-2 py-1 [--anchor-gap:2px]">
        <p className="text-soft px-3 py-1 text-xs">The demo has a calendar of its own.</p>
        {MOVES.map((m) => (
          <MenuItem key={m.move}>
            <button
              type="button"
              className="data-[focus]:bg-water-pale block min-h-10 w-full px-3 text-left"
              onClick={() => move.mutate(m.move)}
            >
              {m.words}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  )
}
