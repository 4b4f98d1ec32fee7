import { useId } from 'react'

/** A jar to scale: herb, liquid, headspace and graduations in true proportion to its brimful volume. */
export function Jar({
  jarMl,
  herbMl,
  liquidMl,
  label,
  amber = true,
  unit = 'mL',
}: {
  jarMl: number
  herbMl: number
  liquidMl: number
  label: string
  amber?: boolean
  unit?: string
}) {
  const clip = useId()
  const top = 40
  const bottom = 352
  const y = (ml: number) => bottom - ((bottom - top) * Math.min(ml, jarMl)) / jarMl
  const step = niceStep(jarMl)
  const marks = Array.from({ length: Math.floor(jarMl / step) }, (_, i) => (i + 1) * step)
  const over = liquidMl > 0.95 * jarMl
  return (
    <svg viewBox="0 0 260 372" role="img" aria-label={label} className="mx-auto h-full max-h-[24rem] w-full">
      <defs>
        <clipPath id={clip}>
          <path d="M50 46q0 -8 8 -8h112q8 0 8 8v294q0 14 -14 14H64q-14 0 -14 -14Z" />
        </clipPath>
        <pattern id={`${clip}h`} width="14" height="14" patternUnits="userSpaceOnUse">
          <path d="M1 12q4 -8 6 -1M8 5q3 -5 5 0" fill="none" stroke="var(--lichen)" strokeWidth="2.2" />
        </pattern>
      </defs>
      <g clipPath={`url(#${clip})`}>
        <rect x="40" y="30" width="150" height="330" fill="var(--sheet)" />
        <rect
          x="40"
          y={y(liquidMl)}
          width="150"
          height={bottom - y(liquidMl) + 10}
          fill={amber ? 'var(--amber)' : 'var(--water)'}
          opacity="0.38"
        />
        <rect x="40" y={y(herbMl)} width="150" height={bottom - y(herbMl) + 10} fill={`url(#${clip}h)`} />
        <path d={`M40 ${y(liquidMl)}H190`} stroke={amber ? 'var(--amber)' : 'var(--water)'} strokeWidth="2" />
      </g>
      <path
        d="M50 46q0 -8 8 -8h112q8 0 8 8v294q0 14 -14 14H64q-14 0 -14 -14Z"
        fill="none"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      <path d="M54 18h120v16H54Z" fill="var(--line)" stroke="var(--ink)" strokeWidth="3" />
      <path
        d={`M46 ${y(0.95 * jarMl)}H182`}
        stroke={over ? 'var(--madder)' : 'var(--soft)'}
        strokeWidth="2"
        strokeDasharray="5 4"
      />
      {marks.map((m) => (
        <g key={m}>
          <path d={`M178 ${y(m)}h10`} stroke="var(--ink)" strokeWidth="2" />
          <text x="192" y={y(m) + 5} fontSize="14" fill="var(--ink)">
            {m} {unit}
          </text>
        </g>
      ))}
    </svg>
  )
}

/** A harvest lies in a basket, as full as what is left of it; an empty basket is empty. */
export function Basket({ full, label }: { full: number; label: string }) {
  const clip = useId()
  const top = 236 - 110 * full
  return (
    <svg viewBox="0 0 260 300" role="img" aria-label={label} className="mx-auto h-full max-h-[20rem] w-full">
      <defs>
        <clipPath id={clip}>
          <path d="M20 90H240L214 260H46Z" />
        </clipPath>
        <pattern id={`${clip}h`} width="14" height="14" patternUnits="userSpaceOnUse">
          <path d="M1 12q4 -8 6 -1M8 5q3 -5 5 0" fill="none" stroke="var(--lichen)" strokeWidth="2.2" />
        </pattern>
        <pattern id={`${clip}w`} width="24" height="24" patternUnits="userSpaceOnUse">
          <path d="M0 6h12M12 18h12M6 12v12M18 0v12" stroke="var(--soft)" strokeWidth="2" />
        </pattern>
      </defs>
      <path d="M44 120C44 -8 216 -8 216 120" fill="none" stroke="var(--ink)" strokeWidth="7" />
      {full > 0 && (
        <path d={`M30 ${top}Q130 ${top - 40 * full} 230 ${top}V250H30Z`} fill={`url(#${clip}h)`} />
      )}
      <g clipPath={`url(#${clip})`}>
        <rect x="20" y="128" width="220" height="140" fill="var(--sheet)" />
        <rect x="20" y="128" width="220" height="140" fill={`url(#${clip}w)`} />
      </g>
      <path d="M26 128H234M26 128L46 260H214L234 128" fill="none" stroke="var(--ink)" strokeWidth="4" />
    </svg>
  )
}

function niceStep(jarMl: number) {
  const raw = jarMl / 5
  const power = 10 ** Math.floor(Math.log10(raw))
  return ([1, 2, 2.5, 5, 10].find((n) => n * power >= raw) ?? 10) * power
}
