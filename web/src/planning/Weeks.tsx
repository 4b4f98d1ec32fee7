import { Link } from 'react-router'
import { PART } from '../ui/dictionary'
import { Empty } from '../ui/page'
import { dayMonth, hours, month } from '../ui/words'
import { about, type WishView, type YearView } from './year'

type Week = YearView['weeks'][number]

/** The water line of the year: a month at each bend, a knot for every week in which somebody goes out. */
function Line({ year }: { year: YearView }) {
  const begin = Date.parse(`${year.today}T00:00:00Z`)
  const at = (iso: string) => ((Date.parse(`${iso}T00:00:00Z`) - begin) / 86_400_000 / 365) * 1200
  const y = (x: number) => 34 + 12 * Math.sin((x / 1200) * Math.PI * 12)
  const months = Array.from({ length: 12 }, (_, i) => {
    const first = new Date(begin)
    first.setUTCDate(1)
    first.setUTCMonth(first.getUTCMonth() + i + 1)
    return first
  })
  const path = Array.from({ length: 121 }, (_, i) => `${i ? 'L' : 'M'}${i * 10} ${y(i * 10).toFixed(1)}`)
  return (
    <svg viewBox="0 -4 1200 92" className="mb-2 hidden w-full sm:block" aria-hidden>
      <path d={path.join('')} fill="none" stroke="var(--water)" strokeWidth="4" />
      {months.map((m) => {
        const x = at(m.toISOString().slice(0, 10))
        return (
          <g key={x}>
            <line x1={x} x2={x} y1={y(x) - 7} y2={y(x) + 7} stroke="var(--ink)" strokeWidth="2" />
            <text x={Math.min(x, 1150)} y={84} fontSize="22" fill="currentColor">
              {month(m.getUTCMonth() + 1).slice(0, 3)}
            </text>
          </g>
        )
      })}
      {year.weeks.map((w) => (
        <circle
          key={w.on}
          cx={at(w.on) + 12}
          cy={y(at(w.on) + 12)}
          r={7 + 9 * Math.min(1, w.rack)}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="3"
        />
      ))}
    </svg>
  )
}

export function Weeks({ year, wishes }: { year: YearView; wishes: WishView[] }) {
  if (year.weeks.length === 0) {
    return (
      <Empty>
        No walk is planned: what is wanted is on the shelf, or can not be had of what is known to grow here.
      </Empty>
    )
  }
  return (
    <>
      <Line year={year} />
      <ul>
        {year.weeks.map((w, i) => (
          <OneWeek key={w.on} week={w} wishes={wishes} open={i === 0} />
        ))}
      </ul>
    </>
  )
}

/** A week that can be done: it is ticked by a harvest at the stand, and by nothing else. */
function OneWeek({ week: w, wishes, open }: { week: Week; wishes: WishView[]; open: boolean }) {
  const name = (id: string) => wishes.find((x) => x.id === id)?.words ?? ''
  return (
    <li className="border-line border-b">
      <details open={open}>
        <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-4">
          <strong>Week of {dayMonth(w.on)}</strong>
          <span>{[...new Set(w.picks.map((p) => p.commonName))].join(', ')}</span>
          <span className="text-soft text-sm">
            {hours(w.hours)}
            {w.rack > 0 && `, rack ${Math.round(w.rack * 100)} % full`}
          </span>
        </summary>
        <div className="pb-3">
          <p className="text-sm">
            {w.walks.length === 1 ? 'One walk: ' : `${w.walks.length} walks: `}
            {w.walks.join('; ')}.{' '}
            <Link className="underline" to="/field/walk">
              Plan the round
            </Link>
          </p>
          <ul>
            {w.picks.map((p) => (
              <li key={p.standId + p.part} className="py-1">
                <Link className="underline" to={`/field/stands/${p.standId}`}>
                  {p.stand}
                </Link>
                : {about(p.freshG)} of {p.commonName}, {PART[p.part].toLowerCase()}, fresh ({about(p.driedG)}{' '}
                dried)
                {p.wishes.length > 0 && (
                  <span className="text-soft block text-sm">for {p.wishes.map(name).join('; ')}</span>
                )}
              </li>
            ))}
          </ul>
          {w.begun.length > 0 && <p>At the bench, once it is dry: {w.begun.map(name).join('; ')}.</p>}
        </div>
      </details>
    </li>
  )
}
