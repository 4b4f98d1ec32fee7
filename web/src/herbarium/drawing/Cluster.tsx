import { Flower, petalColour } from './Flower'
import { Fruit, fruitColour } from './Fruit'
import type { Characters } from './states'

const ink = { stroke: 'currentColor', strokeWidth: 1.3, strokeLinejoin: 'round', strokeLinecap: 'round', fill: 'none' } as const // prettier-ignore

/** What its kinds are drawn with. */
function penOf(c: Characters) {
  const ripe = c['petals'] === undefined && c['fruit'] !== undefined
  const fill = ripe ? fruitColour(c) : petalColour(c)
  const dot = (x: number, y: number, r = 3.4) => (
    <circle
      key={`${x.toFixed(1)} ${y.toFixed(1)}`}
      cx={x}
      cy={y}
      r={r}
      fill={fill}
      stroke="currentColor"
      strokeWidth={0.9}
    />
  )
  const small = (x: number, y: number, size: number, turn = 0) => (
    <g key={`${x} ${y}`} transform={`translate(${x} ${y}) scale(${size}) rotate(${turn})`}>
      {ripe ? <Fruit c={c} /> : <Flower c={c} />}
    </g>
  )
  const range = (n: number) => Array.from({ length: n }, (_, i) => i)
  return { c, ripe, fill, dot, small, range }
}
type Pen = ReturnType<typeof penOf>

const CLUSTERS: Record<string, (pen: Pen) => React.ReactNode> = {
  umbel: ({ dot, c }) => {
    const rays = [-62, -40, -18, 6, 28, 50, 70].map((t) => t - 4)
    return (
      <>
        {rays.map((t) => {
          const x = Math.sin((t * Math.PI) / 180) * 52
          const y = -Math.cos((t * Math.PI) / 180) * 42 - 8
          return (
            <g key={t}>
              <path d={`M0 0L${x} ${y}`} {...ink} />
              {[-50, -18, 18, 50].map((q) => {
                const [dx, dy] = [
                  Math.sin(((t + q) * Math.PI) / 180) * 9,
                  -Math.cos(((t + q) * Math.PI) / 180) * 8,
                ]
                return (
                  <g key={q}>
                    <path d={`M${x} ${y}l${dx} ${dy}`} {...ink} strokeWidth={0.7} />
                    {dot(x + dx, y + dy, 2.6)}
                  </g>
                )
              })}
              {c['small-bracts'] === 'three-hanging' && (
                <path d={`M${x} ${y}l-1 11M${x} ${y}l3 11M${x} ${y}l-5 10`} {...ink} strokeWidth={1} />
              )}
              {c['small-bracts'] === 'ring' && (
                <path
                  d={`M${x} ${y}l-6 3M${x} ${y}l6 3M${x} ${y}l-3 5M${x} ${y}l3 5`}
                  {...ink}
                  strokeWidth={0.8}
                />
              )}
              {c['small-bracts'] === 'outside-short' && (
                <path
                  d={`M${x} ${y}l${Math.sign(x) * 5} 3M${x} ${y}l${Math.sign(x) * 3} 5`}
                  {...ink}
                  strokeWidth={0.8}
                />
              )}
            </g>
          )
        })}
        {c['bracts'] === 'few' && <path d="M0 0l12 3M0 0l-8 6" {...ink} strokeWidth={1} />}
        {c['bracts'] === 'leafy' &&
          [-1, 1].map((s) => (
            <path
              key={s}
              d={`M0 0Q${s * 10} -10 ${s * 30} 2Q${s * 12} 8 0 0Z`}
              {...ink}
              fill="var(--lichen-pale)"
            />
          ))}
        {c['bracts'] === 'several-down' && <path d="M0 0l-9 9M0 0l9 9M0 0l-4 11M0 0l4 11" {...ink} />}
        {c['bracts'] === 'several-spreading' && <path d="M0 0l-12 0M0 0l12 0M0 0l-9 5M0 0l9 5" {...ink} />}
      </>
    )
  },
  ball: ({ range, small, c }) => (
    <>
      {range(9).map((i) => {
        const t = -80 + i * 20
        const [x, y] = [Math.sin((t * Math.PI) / 180) * 30, -Math.cos((t * Math.PI) / 180) * 30]
        return (
          <g key={i}>
            <path d={`M0 0L${x} ${y}`} {...ink} strokeWidth={0.9} />
            {small(x, y, 0.38, t)}
          </g>
        )
      })}
      {small(0, -16, 0.38)}
      {c['bracts'] === 'hood' && <path d="M0 0Q-10 6 -8 18Q0 12 0 0Z" {...ink} fill="var(--note-pale)" />}
    </>
  ),
  'one-sided': ({ ripe, c }) => (
    <>
      <path d="M0 6V-84" {...ink} strokeWidth={2} />
      {[-2, -18, -34, -50, -64, -76].map((y, i) => (
        <g key={y} transform={`translate(2 ${y}) scale(${1 - i * 0.13})`}>
          <path d="M0 0Q6 -2 9 3" {...ink} />
          <g transform="translate(16 15) scale(0.62) rotate(-38)">
            {ripe ? <Fruit c={c} /> : <Flower c={c} />}
          </g>
        </g>
      ))}
    </>
  ),
  'one-sided-row': ({ small }) => (
    <>
      <path d="M0 0C0 -30 4 -56 16 -74" {...ink} strokeWidth={1.6} />
      {[
        [3, -22],
        [5, -38],
        [9, -54],
        [13, -67],
      ].map(([x = 0, y = 0]) => small(x + 7, y + 6, 0.42))}
    </>
  ),
  coiled: ({ small }) => (
    <>
      {[-1, 1].map((s) => (
        <g key={s} transform={`scale(${s} 1)`}>
          <path d="M0 0C2 -18 10 -34 26 -34C38 -34 40 -20 30 -18C24 -17 24 -24 28 -25" {...ink} />
          {[
            [8, -18],
            [15, -25],
            [24, -28],
          ].map(([x = 0, y = 0]) => small(x, y + 9, 0.42))}
        </g>
      ))}
    </>
  ),
  frothy: ({ range, dot }) => (
    <>
      <path d="M0 0V-40M0 -6L-34 -58M0 -6L34 -60M0 -20L-16 -66M0 -20L16 -68" {...ink} />
      {range(34).map((i) => {
        const column = (i % 7) - 3
        const row = Math.floor(i / 7)
        return dot(column * 12 + (row % 2) * 5, -46 - row * 7 - Math.abs(column) * 3 + (i % 3) * 2, 3.3)
      })}
    </>
  ),
  'branched-cyme': ({ small }) => (
    <>
      <path
        d="M0 0V-34M0 -8L-26 -38M0 -8L26 -40M-13 -23L-34 -28M13 -23L36 -28M0 -20L-12 -50M0 -20L12 -52"
        {...ink}
      />
      {[
        [-26, -44],
        [26, -46],
        [-36, -31],
        [38, -31],
        [-12, -56],
        [12, -58],
        [0, -40],
      ].map(([x = 0, y = 0]) => small(x, y, 0.42))}
    </>
  ),
  corymb: ({ range, small, c }) => (
    <>
      <path d="M0 0L-36 -36M0 0L-20 -40M0 0V-42M0 0L20 -40M0 0L36 -36" {...ink} />
      {range(5).flatMap(
        (b) =>
            range(4).map((i) => small(-38 + b * 19 + (i - 1.5) * 6, -42 - (b === 0 || b === 4 ? 0 : 5) - (i % 2) * 5, c['petals'] === 'rays' ? 0.28 : 0.22)), // prettier-ignore
      )}
    </>
  ),
  head: ({ small }) => (
    <>
      <path d="M0 0V-30" {...ink} strokeWidth={1.6} />
      {small(0, -48, 1.05)}
    </>
  ),
  heads: ({ small }) => (
    <>
      <path d="M0 0V-30M0 -4L-28 -34M0 -4L28 -36" {...ink} />
      {[
        [0, -46],
        [-30, -46],
        [30, -48],
      ].map(([x = 0, y = 0]) => small(x, y, 0.68))}
    </>
  ),
  plume: ({ range, dot }) => (
    <>
      {[-64, -32, 0, 32, 64].map((t) => (
        <g key={t}>
          <path
            d={`M0 ${-Math.abs(64 - Math.abs(t)) * 0.3}Q${t * 0.25} -50 ${t * 0.75} ${-62 + Math.abs(t) * 0.45}`}
            {...ink}
          />
          {range(7).map((i) => {
            const q = (i + 2) / 9
            return dot(t * 0.75 * q * q + t * 0.1 * q, -14 - (48 - Math.abs(t) * 0.4) * q, 2.6)
          })}
        </g>
      ))}
    </>
  ),
  spike: ({ range, small }) => (
    <>
      <path d="M0 0V-60" {...ink} strokeWidth={1.6} />
      {range(7).flatMap((i) => [-6, 0, 6].map((x) => small(x + (i % 2) * 2, -16 - i * 8, 0.26)))}
    </>
  ),
  'thin-spike': ({ range, small }) => (
    <>
      <path d="M0 0V-78M0 -4Q-22 -24 -26 -66M0 -4Q22 -24 26 -66" {...ink} />
      {range(6).flatMap((i) => [
        small(0, -24 - i * 9, 0.16),
        small(-22 - i * 0.7, -34 - i * 6, 0.16),
        small(22 + i * 0.7, -34 - i * 6, 0.16),
      ])}
    </>
  ),
  spire: ({ range, small, c }) => (
    <>
      <path d="M0 0V-80" {...ink} />
      {range(8).map((i) => {
        const s = i % 2 ? 1 : -1
        return (
          <g key={i}>
            <path d={`M0 ${-8 - i * 9}l${s * 9} -4`} {...ink} strokeWidth={0.8} />
            {small(s * 12, -13 - i * 9, 0.3 - i * 0.012, c['flower-posture'] === 'hanging' ? 180 : 0)}
          </g>
        )
      })}
    </>
  ),
  whorls: ({ small }) => (
    <>
      <path d="M0 0V-72" {...ink} strokeWidth={2} />
      {[-8, -32, -56].map((y, i) => (
        <g key={y}>
          {[-14, -7, 7, 14].map((x) => small(x, y - 4, 0.28, x > 0 ? 30 : -30))}
          <path
            d={`M0 ${y}Q-18 ${y + 2} -26 ${y + 8 - i}M0 ${y}Q18 ${y + 2} 26 ${y + 8 - i}`}
            {...ink}
            strokeWidth={3 - i * 0.6}
            stroke="var(--lichen)"
          />
        </g>
      ))}
    </>
  ),
  tassel: ({ dot }) => (
    <>
      <path d="M0 0V-60" {...ink} strokeWidth={1.6} />
      {[-10, -30, -50].flatMap((y) =>
        [-1, 1].map((s) => (
          <g key={`${y}${s}`}>
            <path d={`M0 ${y}Q${s * 18} ${y - 4} ${s * 22} ${y + 18}`} {...ink} strokeWidth={0.9} />
            {[0.35, 0.6, 0.85].map((t) => dot(s * 24 * t, y - 4 + 22 * t * t, 2))}
          </g>
        )),
      )}
    </>
  ),
  catkin: ({ c, range, dot }) => (
    <>
      {[-1, 1].map((s) => {
        const down = c['flower-posture'] === 'hanging' ? 1 : -1
        return (
          <g key={s}>
            <path d={`M0 -20Q${s * 12} -24 ${s * 16} ${-24 + down * 30}`} {...ink} strokeWidth={1} />
            {range(9).map((i) => dot(s * (9 + i * 0.9) + (i % 2) * 3 - 1.5, -24 + down * (2 + i * 3.6), 2.4))}
          </g>
        )
      })}
    </>
  ),
  'winged-bract': ({ small }) => (
    <>
      <path d="M0 -20Q18 -22 26 -6" {...ink} />
      <path d="M4 -22Q24 -34 34 -16Q20 -10 4 -22Z" {...ink} fill="var(--note-pale)" />
      <path d="M20 -16L24 6M24 0L16 12M24 0L32 12" {...ink} strokeWidth={0.9} />
      {[
        [16, 16],
        [24, 12],
        [32, 16],
      ].map(([x = 0, y = 0]) => small(x, y, 0.34))}
    </>
  ),
  single: ({ small }) => (
    <>
      <path d="M0 0V-34" {...ink} strokeWidth={1.4} />
      {small(0, -48, 1)}
    </>
  ),
  axils: ({ small }) =>
    [
      [-10, 4],
      [10, -22],
      [-10, -46],
    ].map(([x = 0, y = 0]) =>
      // prettier-ignore
      <g key={y}>
          <path d={`M0 ${y - 6}Q${x * 0.6} ${y - 10} ${x} ${y - 4}`} {...ink} strokeWidth={0.9} />
          {small(x * 1.4, y, 0.42)}
        </g>,
    ),
  hood: ({ fill }) => (
    <>
      <path
        d="M0 0C-14 -12 -12 -26 -8 -32C-26 -50 -10 -78 6 -82C26 -62 20 -44 8 -32C12 -26 14 -12 0 0Z"
        {...ink}
        fill={fill}
      />
      <path d="M0 -26V-56" stroke="#7d4b4f" strokeWidth={6} strokeLinecap="round" />
    </>
  ),
  globe: ({ fill, range }) => (
    <>
      <path d="M0 0V-30M0 -6L-26 -36" {...ink} />
      {[
        [0, -42, 1],
        [-28, -44, 0.75],
      ].map(([x = 0, y = 0, k = 1]) =>
        // prettier-ignore
        <g key={x} transform={`translate(${x} ${y}) scale(${k})`}>
              <ellipse rx={10} ry={14} fill={fill} stroke="currentColor" strokeWidth={1.1} />
              {range(10).map((i) => <circle key={i} cx={((i % 3) - 1) * 6} cy={-9 + Math.floor(i / 3) * 6} r={1.8} fill="none" stroke="currentColor" strokeWidth={0.7} />)} {/* prettier-ignore */}
            </g>,
      )}
    </>
  ),
  'along-twigs': ({ small }) => [-60, -40, -20, 0].flatMap((y) => [-1, 1].map((s) => small(s * 12, y, 0.38))),
  'cone': ({ fill }) => [-50, -25].map((y, i) => <ellipse key={y} cx={i ? -9 : 9} cy={y} rx={4} ry={6} fill={fill} stroke="currentColor" />), // prettier-ignore
}

/** Where it is not known, or no kind of its own. */
const otherwise: (pen: Pen) => React.ReactNode = () => null

/** How flowers are grouped, from (0,0), the top of the stem, upwards to about -80. */
export function Cluster({ c }: { c: Characters }) {
  return (CLUSTERS[c['inflorescence'] ?? ''] ?? otherwise)(penOf(c))
}
