import type { Schemas } from '../api/client'
import { date, figure } from '../ui/words'

type Day = Schemas['DayView']

/** The course as a strip of days: height is the dose, gaps are the pauses, a filled foot is what was taken. */
export function CourseStrip({
  days,
  today,
  taken = [],
  unit = 'mL',
}: {
  days: Day[]
  today: string
  taken?: Schemas['TakenView'][]
  unit?: string
}) {
  const most = Math.max(...days.map((d) => d.perDose * d.doses), 0.001)
  const width = 100 / days.length
  return (
    <figure>
      <svg
        viewBox="0 0 100 34"
        preserveAspectRatio="none"
        role="img"
        aria-label={`${days.length} days, ${days.filter((d) => d.doses > 0).length} of them with doses`}
        className="h-40 w-full"
      >
        {days.map((d, i) => {
          const height = ((d.perDose * d.doses) / most) * 28
          const done = taken.filter((t) => t.date === d.date).length
          return (
            <g key={d.date}>
              {d.date === today && (
                <rect x={i * width} y="0" width={width} height="34" fill="var(--water-pale)" />
              )}
              <rect
                x={i * width + width * 0.12}
                y={30 - height}
                width={width * 0.76}
                height={height}
                fill="var(--water)"
                opacity={d.date < today ? 0.45 : 1}
              />
              {done > 0 && (
                <rect
                  x={i * width + width * 0.12}
                  y={30 - (height * done) / Math.max(1, d.doses)}
                  width={width * 0.76}
                  height={(height * done) / Math.max(1, d.doses)}
                  fill="var(--lichen)"
                />
              )}
              {d.doses === 0 && (
                <path
                  d={`M${i * width + width * 0.2} 30h${width * 0.6}`}
                  stroke="var(--soft)"
                  strokeWidth="2"
                  vectorEffect="non-scaling-stroke"
                />
              )}
            </g>
          )
        })}
        <path d="M0 30.5H100" stroke="var(--ink)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      </svg>
      <figcaption className="text-soft flex justify-between text-sm">
        <span>{date(days[0]?.date)}</span>
        <span>
          up to {figure(most)} {unit} a day; a line on the ground is a pause
          {taken.length > 0 ? '; green was taken' : ''}
        </span>
        <span>{date(days.at(-1)?.date)}</span>
      </figcaption>
    </figure>
  )
}
