import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts'
import type { Schemas } from '../api/client'
import { figure } from '../ui/words'

/** The rack with its curve: what was weighed, what the model makes of it, and the weight to reach. */
export function DryingCurve({ run }: { run: Schemas['RunView'] }) {
  const points = [{ rackHours: 0, massG: run.freshG }, ...run.weighings]
  const last = points.at(-1)?.rackHours ?? 0
  const end = Math.max(run.curve.at(-1)?.rackHours ?? 0, last, 12)
  const target = run.targetG
  const summary = `Drying curve: ${figure(run.freshG)} g at the start, ${figure(points.at(-1)?.massG ?? 0)} g after ${figure(last)} rack hours${
    target ? `, to reach ${figure(target.low)} to ${figure(target.high)} g` : ''
  }.`
  return (
    <figure className="bg-sheet border-line border-t-2 p-2" aria-label={summary} role="img">
      <div className="h-80" aria-hidden>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 8, right: 16, bottom: 20, left: 8 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
            <XAxis
              dataKey="rackHours"
              type="number"
              domain={[0, Math.ceil(end / 6) * 6]}
              stroke="var(--soft)"
              tickFormatter={(v: number) => figure(v)}
              label={{
                value: 'hours on the rack',
                position: 'insideBottom',
                offset: -12,
                fill: 'var(--soft)',
              }}
            />
            <YAxis
              dataKey="massG"
              type="number"
              domain={[0, Math.ceil((run.freshG * 1.05) / 50) * 50]}
              stroke="var(--soft)"
              unit=" g"
              width={64}
            />
            {target && (
              <ReferenceArea
                y1={target.low}
                y2={Math.max(target.high, target.low + run.freshG * 0.006)}
                fill="var(--lichen)"
                fillOpacity={0.35}
                label={{ value: 'dry', fill: 'var(--lichen)', position: 'insideLeft' }}
              />
            )}
            <Line
              data={run.curve.filter((p) => p.rackHours <= last)}
              dataKey="massG"
              stroke="var(--water)"
              strokeWidth={2.5}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={run.curve.filter((p) => p.rackHours >= last)}
              dataKey="massG"
              stroke="var(--water)"
              strokeWidth={2}
              strokeDasharray="6 5"
              dot={false}
              isAnimationActive={false}
            />
            <Scatter data={points} dataKey="massG" fill="var(--amber)" isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
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
