import { NavLink } from 'react-router'
import { useLandings } from '../calendar/queries'

/** The landings in the order of the work; the number of each is its Alt key. */
export const LANDINGS = [
  { to: '/', name: 'Today', room: null },
  { to: '/field', name: 'Field', room: 'field' },
  { to: '/drying', name: 'Rack', room: 'drying' },
  { to: '/shelf', name: 'Shelf', room: 'shelf' },
  { to: '/making', name: 'Bench', room: 'making' },
  { to: '/dosing', name: 'People', room: 'dosing' },
  { to: '/tracing', name: 'Trace', room: 'tracing' },
] as const

/** Passes through every landing at the same height, so that no name lies under the line. */
const WATER =
  'M0 27Q32 38 64 27' +
  [256, 448, 640, 832, 1024, 1216].map((x, i) => `Q${x - 96} ${i % 2 ? 38 : 12} ${x} 27`).join('') +
  'Q1248 38 1280 27'

/** The water line across every page: the navigation, and the order of the work. */
export function Brook() {
  const landings = useLandings()
  const waiting = (room: string | null) =>
    (landings.data ?? [])
      .filter((l) => room === null || l.landing === room)
      .reduce((sum, l) => sum + l.waiting, 0)
  return (
    <nav
      aria-label="The brook"
      className="bg-sheet border-line fixed inset-x-0 bottom-0 z-20 border-t-2 lg:static lg:border-t-0 lg:bg-transparent"
    >
      <div className="relative mx-auto max-w-7xl lg:h-[4.75rem]">
        <svg
          viewBox="0 0 1280 76"
          preserveAspectRatio="none"
          className="absolute inset-0 hidden h-full w-full lg:block"
          aria-hidden
        >
          <path d={`${WATER}V76H0Z`} fill="var(--water-pale)" />
          <path d={WATER} fill="none" stroke="var(--water)" strokeWidth="3" />
        </svg>
        <ul className="relative flex h-full flex-wrap items-stretch justify-between lg:flex-nowrap lg:px-4">
          {LANDINGS.map((l, i) => {
            const count = waiting(l.room)
            return (
              <li key={l.to} className="min-w-max flex-1 lg:flex-none">
                <NavLink
                  to={l.to}
                  end={l.to === '/'}
                  title={`Alt+${i + 1}`}
                  className="group flex h-14 flex-col items-center justify-center gap-0.5 px-1 lg:h-full lg:min-w-24 lg:justify-start lg:pt-3"
                >
                  {({ isActive }) => (
                    <>
                      <span
                        className={`flex size-6 items-center justify-center rounded-full border-2 text-xs font-bold lg:size-7 ${
                          isActive ? 'bg-water text-sheet border-water' : 'bg-sheet text-ink border-water'
                        }`}
                      >
                        <span aria-hidden>{count > 0 ? count : ''}</span>
                        {count > 0 && <span className="sr-only">{count} waiting,</span>}
                      </span>
                      <span
                        className={`text-xs lg:text-base ${isActive ? 'font-bold underline decoration-2 underline-offset-4' : ''}`}
                      >
                        {l.name}
                      </span>
                    </>
                  )}
                </NavLink>
              </li>
            )
          })}
        </ul>
      </div>
    </nav>
  )
}
