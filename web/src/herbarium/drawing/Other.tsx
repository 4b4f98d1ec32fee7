import type { Characters } from './states'

const ink = {
  stroke: 'currentColor',
  strokeWidth: 1.2,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
} as const

/** A lichen: straps of a tuft, with its fringe and the spots beneath. */
export function Lichen({ c }: { c: Characters }) {
  const fill = { 'brown-olive': '#8a7f57', grey: '#a9afaa', 'yellow-green': '#a9ad5c', black: '#3a3532' }[c['thallus-colour'] ?? ''] ?? 'var(--lichen-pale)' // prettier-ignore
  return [-48, -24, 0, 24, 48].map((turn, i) => (
    <g key={turn} transform={`translate(${turn * 0.3} 190) rotate(${turn})`}>
      <path
        d="M-7 0C-9 -30 -13 -50 -9 -66L-20 -92L-12 -94L-4 -76L0 -100L7 -98L4 -72L16 -90L22 -84L10 -60C12 -44 8 -24 7 0Z"
        fill={i % 2 ? 'var(--note-pale)' : fill}
        {...ink}
      />{' '}
      {/* prettier-ignore */}
      {c['thallus-edge'] === 'fringed' &&
        [-12, -24, -36, -48, -60].map((y) => (
          <path key={y} d={`M-9 ${y}l-4 -1M9 ${y}l4 -1`} {...ink} strokeWidth={0.9} />
        ))}{' '}
      {/* prettier-ignore */}
      {i % 2 === 1 &&
        c['thallus-below'] === 'pale-spots' &&
        [
          [-3, -20],
          [4, -36],
          [-2, -52],
        ].map(([x = 0, y = 0]) => (
          <ellipse
            key={y}
            cx={x}
            cy={y}
            rx={1.6}
            ry={2.6}
            fill="#fff"
            stroke="currentColor"
            strokeWidth={0.5}
          />
        ))}{' '}
      {/* prettier-ignore */}
    </g>
  ))
}

/** A bracket fungus on wood, and its underside. */
export function Bracket({ c }: { c: Characters }) {
  const zones = c['bracket-zones'] === 'many-zones' ? ['#6f5c45', '#a98a5c', '#5d6a73', '#c2a97c', '#8a6f52', '#ede5d0'] : ['#a98a5c', '#c08a4a', '#ede5d0'] // prettier-ignore
  const under = { white: '#f3efe2', orange: '#d99a4a', grey: '#b9bcb8', brown: '#8a6f52' }[c['underside-colour'] ?? ''] ?? '#f3efe2' // prettier-ignore
  return (
    <>
      <path d="M-60 60V200H-38V60Z" fill="#8d7c63" {...ink} />
      {[90, 130, 168].map((y, tier) => (
        <g key={y} transform={`translate(-40 ${y})`}>
          {zones.map((z, i) => {
            const r = (62 - tier * 4) * (1 - i * (0.85 / zones.length))
            return <path key={z + i} d={`M0 ${-r * 0.35}C${r * 0.9} ${-r * 0.5} ${r * 1.15} ${r * 0.2} 0 ${r * 0.42}Z`} fill={zones[zones.length - 1 - i]} {...ink} strokeWidth={0.7} /> // prettier-ignore
          })}
        </g>
      ))}
      <g transform="translate(44 190)">
        <path d="M-22 0C-22 -26 22 -26 22 0C12 8 -12 8 -22 0Z" fill={under} {...ink} />
        {c['pores'] === 'fine-pores' &&
          Array.from({ length: 24 }, (_, i) => (
            <circle
              key={i}
              cx={-14 + (i % 8) * 4}
              cy={-12 + Math.floor(i / 8) * 5}
              r={0.9}
              fill="currentColor"
            />
          ))}{' '}
        {/* prettier-ignore */}
      </g>
    </>
  )
}
