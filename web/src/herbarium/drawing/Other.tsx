import type { Characters } from './states'

const ink = {
  stroke: 'currentColor',
  strokeWidth: 1.2,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
} as const

/** A lichen: its form, and of a tuft of straps the edge and the underside. */
export function Lichen({ c }: { c: Characters }) {
  const fill = { 'brown-olive': '#8a7f57', grey: '#a9afaa', 'yellow-green': '#a9ad5c', black: '#3a3532' }[c['thallus-colour'] ?? ''] ?? 'var(--lichen-pale)' // prettier-ignore
  switch (c['thallus-form']) {
    case 'leafy':
      return (
        <>
          <path d="M-70 188H70" {...ink} strokeDasharray="5 4" opacity={0.6} />
          {[-90, -54, -18, 18, 54, 90].map((t) => (
            <path
              key={t}
              transform={`translate(0 170) rotate(${t})`}
              d="M-8 0C-26 -24 -30 -52 -14 -62C-8 -56 -4 -56 0 -66C6 -56 10 -58 16 -60C30 -48 24 -22 8 0Z"
              fill={fill}
              {...ink}
            />
          ))}
        </>
      )
    case 'beard':
      return (
        <>
          <path d="M-70 96H70" stroke="#8d7c63" strokeWidth={8} />
          {[-44, -32, -20, -8, 4, 16, 28, 40].map((x, i) => (
            <path
              key={x}
              d={`M${x} 98q${i % 2 ? 8 : -6} 30 ${i % 2 ? -2 : 4} ${60 + (i % 3) * 12}m0 -30l${i % 2 ? 8 : -8} 18`}
              fill="none"
              {...ink}
              stroke={fill === 'var(--lichen-pale)' ? 'currentColor' : fill}
              strokeWidth={1.8}
            />
          ))}
        </>
      )
    case 'crust':
      return (
        <>
          <path d="M-84 196V90H84V196Z" fill="#b5a98e" {...ink} />
          <path
            d="M-56 150C-62 122 -30 108 -6 112C22 100 58 116 60 142C62 172 26 184 0 178C-28 188 -52 174 -56 150Z"
            fill={fill}
            {...ink}
          />
          {[
            [-24, 140],
            [6, 132],
            [28, 150],
            [-4, 160],
          ].map(([x = 0, y = 0]) => (
            <circle key={x} cx={x} cy={y} r={4} fill="none" {...ink} />
          ))}
        </>
      )
    case 'shrubby':
      return [-40, -20, 0, 20, 40].map((t) => (
        <path
          key={t}
          transform={`translate(${t * 0.4} 192) rotate(${t})`}
          d="M0 0V-44M0 -40L-14 -70M0 -40L14 -72M-7 -55L-2 -78M7 -56L4 -84M0 -22L14 -40"
          fill="none"
          {...ink}
          stroke={fill === 'var(--lichen-pale)' ? 'currentColor' : fill}
          strokeWidth={4}
        />
      ))
    default:
      return [-48, -24, 0, 24, 48].map((turn, i) => (
        <g key={turn} transform={`translate(${turn * 0.3} 190) rotate(${turn})`}>
          <Strap c={c} fill={fill} below={i % 2 === 1} />
        </g>
      ))
  }
}

/** One branching strap from its foot at (0,0); the light ones show their underside. */
function Strap({ c, fill, below }: { c: Characters; fill: string; below: boolean }) {
  const edge = c['thallus-edge']
  const under = c['thallus-below']
  const pale = under === 'dark' ? '#5c5345' : under === 'same' ? fill : 'var(--note-pale)'
  return (
    <>
      <path
        d="M-7 0C-9 -30 -13 -50 -9 -66L-20 -92L-12 -94L-4 -76L0 -100L7 -98L4 -72L16 -90L22 -84L10 -60C12 -44 8 -24 7 0Z"
        fill={below ? pale : fill}
        {...ink}
      />
      {edge === 'fringed' &&
        [-12, -24, -36, -48, -60].map((y) => (
          <path key={y} d={`M-9 ${y}l-6 -2M9 ${y}l6 -2`} {...ink} strokeWidth={1.1} />
        ))}
      {edge === 'powdery' &&
        [-8, -18, -28, -38, -48, -58].map((y) => (
          <path key={y} d={`M-9 ${y}h0.1M9 ${y - 4}h0.1`} {...ink} strokeWidth={4} stroke="#f4f4ea" />
        ))}
      {edge === 'toothed' &&
        [-14, -30, -46].map((y) => (
          <path key={y} d={`M-8 ${y}l-7 -5l5 -5M8 ${y}l7 -5l-5 -5`} fill={fill} {...ink} />
        ))}
      {below &&
        under === 'pale-spots' &&
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
      {below &&
        under === 'root-hairs' &&
        [-14, -26, -38, -50].map((y) => <path key={y} d={`M-3 ${y}l-2 7M3 ${y - 4}l2 7`} {...ink} />)}{' '}
      {/* prettier-ignore */}
    </>
  )
}

/** A bracket fungus on wood, and its underside. */
export function Bracket({ c }: { c: Characters }) {
  const zones = c['bracket-zones'] === 'plain' ? ['#a98a5c'] : c['bracket-zones'] === 'many-zones' ? ['#6f5c45', '#a98a5c', '#5d6a73', '#c2a97c', '#8a6f52', '#ede5d0'] : ['#a98a5c', '#c08a4a', '#ede5d0'] // prettier-ignore
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
        {(c['pores'] === 'fine-pores' || c['pores'] === 'coarse-pores') && (
          <Pores coarse={c['pores'] === 'coarse-pores'} />
        )}
        {c['pores'] === 'maze' && (
          <path
            d="M-16 -4q4 -6 8 0t8 0t8 0t8 0M-13 -11q4 -5 7 0t7 0t7 0M-15 2h8M-3 2h6M8 2h8"
            fill="none"
            {...ink}
            strokeWidth={0.9}
          />
        )}
      </g>
    </>
  )
}

function Pores({ coarse }: { coarse: boolean }) {
  const across = coarse ? 5 : 8
  const gap = coarse ? 6.4 : 4
  return Array.from({ length: across * 3 }, (_, i) => (
    <circle
      key={i}
      cx={(-(across - 1) / 2) * gap + (i % across) * gap}
      cy={-12 + Math.floor(i / across) * 6}
      r={coarse ? 2.2 : 0.9}
      fill="currentColor"
    />
  ))
}
