import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { ButtonLink } from '../ui/controls'
import { PART, READY } from '../ui/dictionary'
import { Empty, Loaded, Section } from '../ui/page'
import { OnPaper } from '../ui/Sheet'
import { dayMonth, figure, month } from '../ui/words'

type Season = Schemas['SeasonView']
type Ready = Schemas['ReadyView']

export const useSeason = () =>
  useQuery({ queryKey: ['season'], queryFn: () => ask(api.GET('/api/field/season')) })

const TONE: Record<Ready['state'], string> = {
  READY: 'text-lichen',
  LIKELY: 'text-water',
  SOON: 'text-amber',
  LATER: 'text-soft',
  OVER: 'text-soft',
}

/** Between which days it begins, and when it is over. */
export function span(r: Ready): string {
  if (r.seen) return `since ${dayMonth(r.from)}, until about ${dayMonth(r.until)}`
  if (!r.from) return `until about ${dayMonth(r.until)}`
  return r.state === 'OVER'
    ? `over since about ${dayMonth(r.until)}`
    : `begins ${dayMonth(r.early)} to ${dayMonth(r.late)}, likely ${dayMonth(r.from)}; until about ${dayMonth(r.until)}`
}

const DAYS = 365

/** Day of the year, from 0; a day of another year lies at its end. */
function dayOf(iso: string | null | undefined, year: number, otherwise: number) {
  if (!iso) return otherwise
  const days = (Date.parse(iso) - Date.UTC(year, 0, 1)) / 86_400_000
  return Math.min(DAYS, Math.max(0, days))
}

/**
 * The year as water, seen from above, with today's stone in it; along it the reeds of what can be gathered, as long as their
 * time is, thin where it is uncertain. It is a list as well: each row is a link that says it all in words.
 */
export function SeasonBand({
  season,
  rows,
  wide = false,
}: {
  season: Season
  rows: Ready[]
  /** Whether words and water have room beside each other. */
  wide?: boolean
}) {
  const year = Number(season.today.slice(0, 4))
  const x = (day: number) => `${(100 * day) / DAYS}%`
  const today = dayOf(season.today, year, 0)
  return (
    <div className="relative">
      <div className={wide ? 'ml-0 sm:ml-80' : ''} aria-hidden>
        <div className="text-soft relative h-6 text-sm">
          {Array.from({ length: 12 }, (_, m) => (
            <span
              key={m}
              className={`absolute ${m % 2 === 1 && !wide ? 'hidden' : m % 2 === 1 ? 'hidden sm:inline' : ''}`}
              style={{ left: x(dayOf(`${year}-${String(m + 1).padStart(2, '0')}-01`, year, 0)) }}
            >
              {month(m + 1)}
            </span>
          ))}
        </div>
        <svg viewBox="0 0 365 12" preserveAspectRatio="none" className="block h-4 w-full">
          <path
            d="M0 6 q15 -5 30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0 t30.4 0"
            fill="none"
            stroke="var(--water)"
            strokeWidth="2.5"
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      </div>
      <ul>
        {rows.map((r) => {
          const until = dayOf(r.until, year, DAYS)
          const early = Math.min(until, dayOf(r.early ?? r.from, year, 0))
          const late = Math.min(until, dayOf(r.late ?? r.from, year, early))
          return (
            <li
              key={`${r.standId} ${r.part}`}
              className={`border-line border-b py-1.5 ${wide ? 'sm:flex sm:items-center' : ''}`}
            >
              <span className={`block leading-tight ${wide ? 'sm:w-80 sm:shrink-0 sm:pr-3' : ''}`}>
                <Link to={`/field/stands/${r.standId}`} className="font-medium underline">
                  {r.standName}
                </Link>{' '}
                <span className="text-soft text-sm whitespace-nowrap">{PART[r.part]}</span>
                <span className={`text-sm font-semibold ${wide ? 'block' : 'ml-2'} ${TONE[r.state]}`}>
                  {READY[r.state]}
                  <span className="text-soft font-normal">
                    {r.state === 'SOON' || r.state === 'LATER'
                      ? `, likely ${dayMonth(r.from)}`
                      : r.state === 'OVER'
                        ? ''
                        : `, until ${dayMonth(r.until)}`}
                  </span>
                  <span className="sr-only">: {span(r)}</span>
                </span>
              </span>
              <span
                className={`bg-water-pale relative mt-1 block h-4 flex-1 ${wide ? 'sm:mt-0' : ''}`}
                aria-hidden
              >
                <svg
                  viewBox={`0 0 ${DAYS} 20`}
                  preserveAspectRatio="none"
                  className="absolute inset-0 h-full w-full"
                >
                  <polygon
                    points={`${early},10 ${late},3 ${until},3 ${Math.min(DAYS, until + 5)},10 ${until},17 ${late},17`}
                    fill={r.state === 'OVER' ? 'var(--line)' : 'var(--lichen)'}
                    opacity={r.state === 'READY' ? 1 : r.state === 'LIKELY' ? 0.75 : 0.5}
                  />
                  <line
                    x1={today}
                    x2={today}
                    y1="0"
                    y2="20"
                    stroke="var(--ink)"
                    strokeWidth="2"
                    vectorEffect="non-scaling-stroke"
                  />
                </svg>
              </span>
            </li>
          )
        })}
      </ul>
    </div>
  )
}

/** How the forecasts came about, and how they did. */
export function Grounds({ season }: { season: Season }) {
  return (
    <p className="text-soft mt-2 text-sm">
      {season.byWarmth
        ? 'Counted by warmth. '
        : 'Counted by the calendar: no weather of three years is known. '}
      {!season.placeKnown && (
        <>
          Where you live is not noted, so the months are those of the cards;{' '}
          <Link className="underline" to="/household">
            note it
          </Link>
          .{' '}
        </>
      )}
      {season.scored > 0 &&
        `Of ${season.scored} first sightings on record ${season.hits} lay between the two days that the years before foretold; nine in ten should.`}
    </p>
  )
}

/** On the field's page: all of it, what is over folded away. */
export function SeasonSection() {
  const season = useSeason()
  return (
    <Section title="The season">
      <Loaded query={season}>
        {(s) => {
          const open = s.parts.filter((p) => p.state !== 'OVER')
          const over = s.parts.filter((p) => p.state === 'OVER')
          return s.parts.length === 0 ? (
            <Empty>
              No stand with a name yet. What you add is told here: when it is ready, and for how long.
            </Empty>
          ) : (
            <>
              <SeasonBand season={s} rows={open} />
              {over.length > 0 && (
                <details>
                  <summary className="text-note min-h-8 cursor-pointer underline">
                    Over for this year: {over.length}
                  </summary>
                  <SeasonBand season={s} rows={over} />
                </details>
              )}
              <Grounds season={s} />
              <p className="mt-2">
                <OnPaper href="/api/field/season.pdf">On paper</OnPaper>
              </p>
            </>
          )
        }}
      </Loaded>
    </Section>
  )
}

/** On Today: only what calls for going out. */
export function SeasonNow() {
  const season = useSeason()
  const rows = season.data?.parts.filter(
    (p) => p.state === 'READY' || p.state === 'LIKELY' || p.state === 'SOON',
  )
  if (!season.data || !rows || rows.length === 0) return null
  return (
    <Section title="In season">
      <SeasonBand wide season={season.data} rows={rows.slice(0, 8)} />
      <p className="mt-2">
        {rows.length > 8 && <span className="mr-3">and {figure(rows.length - 8)} more</span>}
        <ButtonLink to="/field">The whole season</ButtonLink>
      </p>
    </Section>
  )
}
