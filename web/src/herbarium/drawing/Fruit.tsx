import type { Characters } from './states'

const ink = {
  stroke: 'currentColor',
  strokeWidth: 1.1,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
} as const
const COLOURS: Record<string, string> = { 'green-brown': '#b7a468', red: '#c8402f', orange: '#e3861f', black: '#2b2b33', blue: '#4a5a86' } // prettier-ignore

export const fruitColour = (c: Characters) => COLOURS[c['fruit-colour'] ?? ''] ?? 'var(--sheet)'

/** What its kinds are drawn with. */
function penOf(c: Characters) {
  const fill = fruitColour(c)
  const bloom = c['fruit-surface'] === 'bloomed' && <path d="M-8 -6Q-3 -12 4 -11" stroke="#fff" strokeWidth={2} fill="none" /> // prettier-ignore
  const ball = (r = 13) => (
    <>
      <circle r={r} fill={fill} {...ink} />
      {bloom}
    </>
  )
  return { c, fill, bloom, ball }
}
type Pen = ReturnType<typeof penOf>

const FRUITS: Record<string, (pen: Pen) => React.ReactNode> = {
  berry: ({ c, ball, fill }) => {
    if (c['fruit-stand'] === 'on-star')
      return (
        <>
          {[0, 72, 144, 216, 288].map((t) => (
            <path
              key={t}
              transform={`rotate(${t})`}
              d="M-6 0Q-7 -14 0 -23Q7 -14 6 0Z"
              fill="var(--lichen-pale)"
              {...ink}
            />
          ))}
          {ball(11)}
        </>
      )
    if (c['fruit-stand'] === 'top-one')
      return (
        <>
          <path d="M0 12V24" {...ink} />
          {[-70, -25, 25, 70].map((t) => (
            <path
              key={t}
              transform={`translate(0 20) rotate(${t})`}
              d="M0 0C-5 -8 -4 -18 0 -22C4 -18 5 -8 0 0Z"
              fill="var(--lichen-pale)"
              {...ink}
              strokeWidth={0.8}
            />
          ))}
          {ball(10)}
        </>
      )
    if (c['fruit-stand'] === 'upright-spike')
      return (
        <>
          <path d="M0 22V6" {...ink} strokeWidth={3} />
          {[
            [-5, 6],
            [5, 6],
            [0, 0],
            [-6, -3],
            [6, -3],
            [0, -9],
            [-5, -13],
            [5, -13],
            [0, -18],
          ].map(([x = 0, y = 0]) => (
            <circle key={`${x}${y}`} cx={x} cy={y} r={5} fill={fill} {...ink} strokeWidth={0.8} />
          ))}
        </>
      )
    if (c['fruit-stand'] === 'hanging-cluster')
      return (
        <>
          <path d="M-14 -20Q6 -22 12 -6M-6 -20V-8M4 -18V-2" {...ink} fill="none" />
          {[
            [-6, -2],
            [4, 5],
            [13, 2],
          ].map(([x = 0, y = 0]) => (
            <circle key={x} cx={x} cy={y} r={6.5} fill={fill} {...ink} />
          ))}
        </>
      )
    return (
      <>
        <path d="M0 -13V-22" {...ink} />
        {ball()}
        {c['fruit-place'] === 'below' && <circle cy={9} r={4} fill="none" {...ink} />}
      </>
    )
  },
  'stone-fruit': ({ ball }) => (
    <>
      <path d="M0 -14Q2 -20 6 -22" {...ink} fill="none" />
      {ball(14)}
      <ellipse cx={1} cy={2} rx={5} ry={7} fill="none" {...ink} strokeDasharray="2 2" />
    </>
  ),
  'berry-cone': ({ ball }) => (
    <>
      {ball(13)}
      <path d="M0 -2V-10M0 -2L-7 4M0 -2L7 4" stroke="#fff" strokeWidth={1.2} />
    </>
  ),
  aril: ({ fill }) => (
    <>
      <path d="M-12 -8C-14 10 -8 16 0 16C8 16 14 10 12 -8C6 -2 -6 -2 -12 -8Z" fill={fill} {...ink} />
      <ellipse cy={-5} rx={6} ry={7} fill="#5b4a2f" {...ink} />
    </>
  ),
  acorn: () => (
    <>
      <path d="M-9 -4C-9 12 -3 18 0 21C3 18 9 12 9 -4Z" fill="#c2a35c" {...ink} />
      <path d="M-12 -4C-12 -14 12 -14 12 -4Z" fill="#8d7440" {...ink} />
      <path d="M0 -12V-22" {...ink} strokeWidth={2} />
    </>
  ),
  cone: () => (
    <>
      <path d="M0 -20C16 -8 12 14 0 20C-12 14 -16 -8 0 -20Z" fill="#8d7440" {...ink} />
      <path d="M-10 -6Q0 0 10 -6M-12 2Q0 9 12 2M-9 10Q0 16 9 10M-6 -13Q0 -8 6 -13" fill="none" {...ink} />
    </>
  ),
  'many-drupes': ({ fill }) => (
    <>
      {[
        [0, -10],
        [-8, -6],
        [8, -6],
        [-4, -1],
        [4, -1],
        [-9, 3],
        [9, 3],
        [0, 6],
        [-5, 10],
        [5, 10],
        [0, 14],
      ].map(([x = 0, y = 0]) => (
        <circle key={`${x}${y}`} cx={x} cy={y} r={4.6} fill={fill} {...ink} strokeWidth={0.8} />
      ))}
      <path d="M0 -14V-22M-9 -14L0 -12L9 -14" {...ink} fill="none" />
    </>
  ),
  'ribbed-pair': ({ c, fill }) => {
    const shape = c['fruit-shape']
    if (shape === 'flat')
      return (
        <>
          <ellipse rx={20} ry={6} fill={fill} {...ink} />
          <path d="M-12 -3Q0 2 12 -3" fill="none" {...ink} strokeWidth={0.8} />
        </>
      )
    const [rx, ry] = shape === 'long' ? [4, 17] : shape === 'wide' ? [10, 9] : [7, 12]
    return [-1, 1].map((s) => (
      <g key={s} transform={`translate(${s * (rx + 0.5)} 0)`}>
        <ellipse rx={rx} ry={ry} fill={fill} {...ink} />
        {c['fruit-surface'] === 'warty' ? (
          <path
            d="M-3 -9q2 2 0 4t0 4t0 4t0 4M3 -9q-2 2 0 4t0 4t0 4t0 4"
            fill="none"
            {...ink}
            strokeWidth={0.8}
          />
        ) : (
          <path d={`M${-rx * 0.4} ${-ry * 0.8}V${ry * 0.8}M${rx * 0.4} ${-ry * 0.8}V${ry * 0.8}`} {...ink} strokeWidth={0.8} /> // prettier-ignore
        )}
      </g>
    ))
  },
  'flat-pair': ({ fill }) => (
    <>
      <ellipse rx={14} ry={18} fill={fill} {...ink} />
      <path d="M-6 -13V4M6 -13V4M0 -18V18" {...ink} strokeWidth={1.4} />
    </>
  ),
  capsule: ({ fill }) => (
    <>
      <path d="M0 22V12" {...ink} />
      <path d="M-9 10C-11 -4 -5 -14 0 -18C5 -14 11 -4 9 10Q0 15 -9 10Z" fill={fill} {...ink} />
      <path d="M0 -18V12" {...ink} strokeWidth={0.7} />
      <path d="M-9 9L-12 15M9 9L12 15" {...ink} />
    </>
  ),
  'long-capsule': ({ fill }) => (
    <>
      <path d="M-7 18C-10 0 -6 -16 0 -21C6 -16 10 0 7 18Z" fill={fill} {...ink} />
      <path d="M-2 17Q-3 -4 0 -20M3 17Q4 -4 1 -20" fill="none" {...ink} strokeWidth={0.8} />
    </>
  ),
  'three-lobed': ({ fill, c }) => (
    <>
      {[-7, 7, 0].map((x) => (
        <circle key={x} cx={x} cy={x === 0 ? 5 : -1} r={8} fill={fill} {...ink} />
      ))}
      {c['fruit-surface'] === 'bristly' &&
        [-13, -7, 0, 7, 13].map((x) => <path key={x} d={`M${x} -7l${x * 0.2} -6`} {...ink} />)}
    </>
  ),
  'four-nutlets': ({ fill }) => (
    <>
      <path
        d="M-14 -8L-10 12Q0 20 10 12L14 -8L8 -3L4 -10L0 -3L-4 -10L-8 -3Z"
        fill="var(--lichen-pale)"
        {...ink}
      />
      {[
        [-4, 2],
        [4, 2],
        [-4, 9],
        [4, 9],
      ].map(([x = 0, y = 0]) => (
        <circle key={`${x}${y}`} cx={x} cy={y} r={3.6} fill={fill} {...ink} strokeWidth={0.8} />
      ))}
    </>
  ),
  'hooked-cup': ({ fill }) => (
    <>
      <path d="M-10 -4L-6 14Q0 18 6 14L10 -4Z" fill={fill} {...ink} />
      <path d="M-4 0V13M0 0V14M4 0V13" {...ink} strokeWidth={0.6} />
      {[-14, -8, -3, 3, 8, 14].map((x) => (
        <path
          key={x}
          d={`M${x * 0.7} -4L${x} -14q${x > 0 ? -3 : 3} -3 ${x > 0 ? -4 : 4} 1`}
          fill="none"
          {...ink}
          strokeWidth={0.9}
        />
      ))}
    </>
  ),
  plumed: ({ fill }) => (
    <>
      <path d="M-2.5 20L-3.5 8H3.5L2.5 20Z" fill={fill} {...ink} />
      {[-60, -36, -12, 12, 36, 60].map((t) => (
        <path key={t} transform={`translate(0 8) rotate(${t})`} d="M0 0V-26" {...ink} strokeWidth={0.7} />
      ))}
    </>
  ),
  'bare-seeds': ({ fill }) => [-7, 0, 7].map((x) => <path key={x} d={`M${x - 2.4} -10L${x - 1.4} 12Q${x} 15 ${x + 1.4} 12L${x + 2.4} -10Z`} fill={fill} {...ink} strokeWidth={0.8} />), // prettier-ignore
  'twisted': ({ fill }) => [-30, 0, 30, 60].map((t) => <path key={t} transform={`rotate(${t})`} d="M0 12C-9 4 9 -4 0 -14C8 -8 8 6 0 12Z" fill={fill} {...ink} strokeWidth={0.8} />), // prettier-ignore
  'straight-downy': ({ fill }) => [-24, -8, 8, 24].map((t) => <path key={t} transform={`rotate(${t})`} d="M-3 14L-3 -10L0 -15L3 -10L3 14Z" fill={fill} {...ink} strokeWidth={0.8} />), // prettier-ignore
  'curled': ({ fill }) => [-1, 1].map((s) => <path key={s} transform={`translate(${s * 9} 0) scale(${s} 1)`} d="M4 -16C-10 -14 -10 14 4 16C-2 8 -2 -8 4 -16ZM-6 -4L-9 -6M-7 2L-10 2M-6 8L-8 10" fill={fill} {...ink} />), // prettier-ignore
  'ball-on-bract': ({ fill }) => (
    <>
      <path d="M-20 -16Q-10 -24 2 -14Q-6 -6 -20 -16Z" fill="var(--lichen-pale)" {...ink} />
      <path d="M-4 -14L2 2M2 2L-6 12M2 2L10 12" {...ink} fill="none" />
      {[-6, 10].map((x) => (
        <circle key={x} cx={x} cy={15} r={5} fill={fill} {...ink} />
      ))}
    </>
  ),
  wheel: ({ fill }) => (
    <>
      <circle r={15} fill={fill} {...ink} />
      {[0, 36, 72, 108, 144].map((t) => (
        <path key={t} transform={`rotate(${t})`} d="M0 -15V15" {...ink} strokeWidth={0.7} />
      ))}
      <circle r={4} fill="var(--sheet)" {...ink} />
    </>
  ),
  pod: ({ fill }) => (
    <>
      <path d="M-4 -16C-12 -8 -10 12 0 16C10 12 12 -8 4 -16Z" fill={fill} {...ink} />
      <path d="M-7 -4H7M-8 3H8M-5 9H5" {...ink} strokeWidth={0.7} />
    </>
  ),
  'head-of-nutlets': ({ fill }) => [[0, -8], [-7, -3], [7, -3], [-4, 5], [4, 5], [0, 0]].map(([x = 0, y = 0]) => <ellipse key={`${x}${y}`} cx={x} cy={y} rx={4} ry={5} fill={fill} {...ink} strokeWidth={0.8} />), // prettier-ignore
  'seed-flat': ({ fill }) => (
    <path d="M0 -12C10 -6 10 8 0 12C-10 8 -10 -6 0 -12ZM0 -12L-2 -17M0 -12L2 -17" fill={fill} {...ink} />
  ),
  'single-nutlet': ({ fill }) => (
    <path d="M-8 12L-9 -8L0 -14L9 -8L8 12Q0 17 -8 12ZM0 -14V14" fill={fill} {...ink} />
  ),
}

/** Where it is not known, or no kind of its own. */
const otherwise: (pen: Pen) => React.ReactNode = () => null

/** One fruit within 24 around (0,0). */
export function Fruit({ c }: { c: Characters }) {
  return (FRUITS[c['fruit'] ?? ''] ?? otherwise)(penOf(c))
}
