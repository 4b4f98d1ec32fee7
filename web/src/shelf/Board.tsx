import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { date, figure } from '../ui/words'
import { Glass } from './Glass'

type LotView = Schemas['LotView']

/** How much a vessel holds, for its size on the board; of dried herb a jar of what it once held. */
const BULK_G_PER_ML = 0.15
const room = (l: LotView) =>
  l.vesselMl ?? (l.unit === 'mL' ? l.amount : l.form === 'HERB' ? l.amount / BULK_G_PER_ML : l.amount)

/** Drawn in the colour of what is poured, though they are weighed. */
const FATTY: LotView['form'][] = ['SALVE', 'CREAM', 'WAX', 'HONEY', 'BUTTER', 'ESSENTIAL_OIL']

const SMALLEST = 34
const TALLEST = 92
const height = (ml: number) => Math.min(TALLEST, SMALLEST + 6.4 * Math.cbrt(ml))

const says = (l: LotView) =>
  l.state === 'QUARANTINED'
    ? 'doubted'
    : l.state === 'HOLD'
      ? 'on hold'
      : l.expired
        ? 'past its date'
        : l.holder
          ? `with ${l.holder}`
          : l.bestBefore
            ? date(l.bestBefore)
            : ''

/** A board with what stands on it, in true proportion and fill; past its date it leans back, doubtful it is turned round. */
export function Board({ lots, label }: { lots: LotView[]; label: string }) {
  return (
    <ul className="flex flex-wrap" aria-label={label}>
      {lots.map((l) => {
        const wrong = l.state !== 'USABLE' || l.expired
        return (
          <li key={l.id} className="w-28">
            <Link to={`/shelf/${l.id}`} className="focus-visible:outline-water block hover:brightness-95">
              <svg viewBox="0 0 112 100" className="block h-25 w-28" aria-hidden>
                <Glass
                  kind={l.vessel}
                  x={56}
                  floor={99}
                  height={height(room(l))}
                  fill={l.amount > 0 ? l.remaining / Math.max(l.amount, l.vesselMl ?? 0) : 0}
                  liquid={l.unit === 'mL' || FATTY.includes(l.form)}
                  lean={l.expired ? -9 : 0}
                  turned={l.state === 'QUARANTINED' || l.state === 'HOLD'}
                />
              </svg>
              <span className="border-ink bg-line block h-1.5 border-y" aria-hidden />
              <span className="block px-1 pt-1 pb-3 text-sm leading-tight">
                <span className="line-clamp-2 font-medium break-words">{l.name}</span>
                <span className="sr-only">{l.code}</span>
                <span className="block">
                  {figure(l.remaining)} {l.unit}
                  {l.strengthPercent ? `, ${figure(l.strengthPercent)} %` : ''}
                </span>
                <span className={wrong ? 'text-madder block font-medium' : 'text-soft block'}>{says(l)}</span>
              </span>
            </Link>
          </li>
        )
      })}
      <li className="min-w-0 flex-1 pt-25" aria-hidden>
        <span className="border-ink bg-line block h-1.5 border-y" />
      </li>
    </ul>
  )
}
