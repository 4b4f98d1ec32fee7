import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { figure } from '../ui/words'

type Point = Schemas['RunView']['curve'][number]

/** The smallest step with which so many hours or grams have no more lines than `most`. */
const step = (end: number, steps: number[], most: number) =>
  steps.find((s) => end / s <= most) ?? Math.ceil(end / most)

const HOURS = [2, 6, 12, 24, 48, 96]
const GRAMS = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000]

const lines = (end: number, each: number) =>
  Array.from({ length: Math.floor(end / each + 1e-9) + 1 }, (_, i) => i * each)

/** The rack with its curve: what was weighed, what the model makes of it, and the weight to reach. */
export function DryingCurve({ run }: { run: Schemas['RunView'] }) {
  const points = [{ rackHours: 0, massG: run.freshG }, ...run.weighings]
  const last = points.at(-1)?.rackHours ?? 0
  const everyHours = step(Math.max(run.curve.at(-1)?.rackHours ?? 0, last, 12), HOURS, 8)
  const hours = Math.ceil(Math.max(run.curve.at(-1)?.rackHours ?? 0, last, 12) / everyHours) * everyHours
  const everyGrams = step(run.freshG * 1.05, GRAMS, 6)
  const grams = Math.ceil((run.freshG * 1.05) / everyGrams) * everyGrams
  const target = run.targetG
  const x = (h: number) => (h / hours) * 100
  const y = (g: number) => 100 - (g / grams) * 100
  const path = (of: Point[]) =>
    of.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.rackHours)} ${y(p.massG)}`).join('')
  const thin = { fill: 'none', vectorEffect: 'non-scaling-stroke' } as const
  const summary = `Drying curve: ${figure(run.freshG)} g at the start, ${figure(points.at(-1)?.massG ?? 0)} g after ${figure(last)} rack hours${
    target ? `, to reach ${figure(target.low)} to ${figure(target.high)} g` : ''
  }.`
  return (
    <figure className="bg-sheet border-line border-t-2 p-2" aria-label={summary} role="img">
      <div className="relative mt-2 mr-4 mb-12 ml-16 h-72" aria-hidden>
        <svg viewBox="0 0 100 100" preserveAspectRatio="none" className="size-full overflow-visible">
          {lines(hours, everyHours).map((h) => (
            <path key={`h${h}`} d={`M${x(h)} 0V100`} stroke="var(--line)" strokeDasharray="2 4" {...thin} />
          ))}
          {lines(grams, everyGrams).map((g) => (
            <path key={`g${g}`} d={`M0 ${y(g)}H100`} stroke="var(--line)" strokeDasharray="2 4" {...thin} />
          ))}
          {target && (
            <rect
              x="0"
              width="100"
              y={y(Math.max(target.high, target.low + run.freshG * 0.006))}
              height={y(target.low) - y(Math.max(target.high, target.low + run.freshG * 0.006))}
              fill="var(--lichen)"
              opacity="0.35"
            />
          )}
          <path
            d={path(run.curve.filter((p) => p.rackHours <= last))}
            stroke="var(--water)"
            strokeWidth="2.5"
            {...thin}
          />
          <path
            d={path(run.curve.filter((p) => p.rackHours >= last))}
            stroke="var(--water)"
            strokeWidth="2"
            strokeDasharray="6 5"
            {...thin}
          />
          <path d="M0 0V100H100" stroke="var(--soft)" {...thin} />
        </svg>
        {/* Words and dots keep their shape whatever the width. */}
        {points.map((p) => (
          <At key={p.rackHours} x={x(p.rackHours)} y={y(p.massG)}>
            <span className="bg-amber border-sheet block size-3 -translate-1/2 rounded-full border" />
          </At>
        ))}
        {target && (
          <At x={0} y={y(target.low)}>
            <span className="text-lichen block -translate-y-full pl-1 text-sm font-semibold">dry</span>
          </At>
        )}
        {lines(hours, everyHours).map((h) => (
          <At key={h} x={x(h)} y={100}>
            <span className="text-soft block w-max -translate-x-1/2 pt-1 text-sm">{figure(h)}</span>
          </At>
        ))}
        {lines(grams, everyGrams).map((g) => (
          <At key={g} x={0} y={y(g)}>
            <span className="text-soft block -translate-x-full -translate-y-1/2 pr-2 text-sm whitespace-nowrap">
              {figure(g)} g
            </span>
          </At>
        ))}
        <span className="text-soft absolute inset-x-0 top-full pt-6 text-center text-sm">
          hours on the rack
        </span>
      </div>
      <figcaption className="text-soft text-sm">
        Dots: weighed. Line:{' '}
        {run.model === 'NONE'
          ? 'none yet, two weighings are needed'
          : `${run.model.toLowerCase()} model, dashed ahead`}
        . Band: the weight at which it is dry.
      </figcaption>
    </figure>
  )
}

function At({ x, y, children }: { x: number; y: number; children: ReactNode }) {
  return (
    <span className="absolute" style={{ left: `${x}%`, top: `${y}%` }}>
      {children}
    </span>
  )
}
