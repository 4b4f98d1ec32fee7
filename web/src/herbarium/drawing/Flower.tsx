import type { Characters } from './states'

const COLOURS: Record<string, string> = {
  cream: '#e8dfae',
  white: '#f7f9f9',
  yellow: '#e8c531',
  orange: '#e3861f',
  red: '#cf4a32',
  pink: '#d99ab4',
  purple: '#8f62a6',
  brown: '#7d4b4f',
  green: '#9bb35a', // prettier-ignore
}
export const petalColour = (c: Characters) => COLOURS[c['flower-colour'] ?? ''] ?? 'var(--sheet)'

const ink = {
  stroke: 'currentColor',
  strokeWidth: 1,
  strokeLinejoin: 'round',
  strokeLinecap: 'round',
} as const

function ring(n: number, draw: (turn: number, i: number) => React.ReactNode) {
  return Array.from({ length: n }, (_, i) => draw((360 * i) / n, i))
}

function Petals({
  n,
  fill,
  split,
  long = 18,
  wide = 7,
}: {
  n: number
  fill: string
  split?: boolean
  long?: number
  wide?: number
}) {
  // prettier-ignore
  return ring(n, (turn) => (
    <path
      key={turn}
      transform={`rotate(${turn})`}
      d={split ? `M0 0C${-wide} -6 ${-wide} ${-long} ${-wide * 0.4} ${-long}L0 -7L${wide * 0.4} ${-long}C${wide} ${-long} ${wide} -6 0 0Z` : `M0 0C${-wide} -5 ${-wide} ${-long} 0 ${-long}C${wide} ${-long} ${wide} -5 0 0Z`} // prettier-ignore
      fill={fill}
      {...ink}
    />
  ))
}

function Stamens({ kind }: { kind: string | undefined }) {
  const count: Record<string, number> = { two: 2, three: 3, four: 4, five: 5, six: 6, eight: 8, ten: 10, 'many-short': 14, 'many-long': 16, column: 9, bundles: 15 } // prettier-ignore
  const n = count[kind ?? '']
  if (!n) return null
  const long = kind === 'many-long' || kind === 'four' ? 21 : kind === 'bundles' ? 14 : 9
  return ring(n, (turn, i) => {
    const shown = kind === 'bundles' ? Math.floor(i / 5) * 120 + ((i % 5) - 2) * 14 : kind === 'column' ? turn / 6 - 25 : turn + 18 // prettier-ignore
    return (
      <g key={i} transform={`rotate(${shown})`}>
        <path d={`M0 0V${-long}`} {...ink} strokeWidth={0.7} />
        <circle cy={-long} r={1.4} fill="currentColor" />
      </g>
    )
  })
}

/** What its kinds are drawn with. */
function penOf(c: Characters) {
  const fill = petalColour(c)
  const eye = c['petal-marks'] === 'eye' && <circle r={4} fill="#e8c531" {...ink} />
  const stamens = <Stamens kind={c['stamens']} />
  const sepals = (n: number) => <g transform={`rotate(${180 / n})`}>{ring(n, (t) => <path key={t} transform={`rotate(${t})`} d="M0 0L-3 -11L0 -20L3 -11Z" fill="var(--lichen-pale)" {...ink} strokeWidth={0.7} />)}</g> // prettier-ignore
  const green = c['sepals'] === 'five' ? sepals(5) : c['sepals'] === 'four' ? sepals(4) : c['sepals'] === 'two-rings' ? sepals(8) : null // prettier-ignore
  const marks =
    c['petal-marks'] === 'edge-dots'
      ? ring(10, (t) => (
          <circle key={t} transform={`rotate(${t + 18})`} cy={-15} r={0.9} fill="currentColor" />
        ))
      : c['petal-marks'] === 'veins'
        ? ring(5, (t) => <path key={t} transform={`rotate(${t})`} d="M0 -5V-15M-2 -6L-3 -13M2 -6L3 -13" {...ink} strokeWidth={0.5} />) // prettier-ignore
        : c['petal-marks'] === 'fringe'
          ? ring(5, (t) => <path key={t} transform={`rotate(${t})`} d="M-4 -8L-6 -12M-2 -9L-3 -14M0 -10V-15M2 -9L3 -14M4 -8L6 -12M-3 -15L-4 -19M0 -16V-20M3 -15L4 -19" {...ink} strokeWidth={0.6} />) // prettier-ignore
          : null
  const disc = (r: number) => (
    <>
      <circle r={r} fill={c['flower-colour'] === 'orange' ? '#b9661a' : '#e8c531'} {...ink} />
      {ring(8, (t) => (
        <circle key={t} transform={`rotate(${t})`} cy={3 - r} r={0.9} fill="currentColor" />
      ))}
    </>
  )
  const plan = (petals: React.ReactNode) => (
    <>
      {green}
      {petals}
      {marks}
      {eye}
      <circle r={2.6} fill="var(--lichen)" {...ink} strokeWidth={0.7} />
      {stamens}
    </>
  )
  return { c, fill, eye, stamens, sepals, green, marks, disc, plan }
}
type Pen = ReturnType<typeof penOf>

const FLOWERS: Record<string, (pen: Pen) => React.ReactNode> = {
  'five-free': ({ plan, fill }) => plan(<Petals n={5} fill={fill} wide={9} />),
  'four-free': ({ c, plan, fill }) => c['flower-colour'] === 'green' ? plan(<><Petals n={4} fill={fill} wide={5} long={22} /><g transform="rotate(45)"><Petals n={4} fill={fill} wide={1.6} long={19} /></g></>) : plan(<Petals n={4} fill={fill} wide={10} />), // prettier-ignore
  'six-free': ({ plan, fill }) => plan(<Petals n={6} fill={fill} wide={6} long={20} />),
  'five-split': ({ plan, fill }) => plan(<Petals n={5} fill={fill} split wide={7} />),
  'five-notched': ({ plan, fill }) => plan(<Petals n={5} fill={fill} split wide={8} long={13} />),
  'four-lobes': ({ plan, fill }) =>
    plan(
      <>
        <path d="M0 0C-14 -4 -13 -20 0 -20C13 -20 14 -4 0 0Z" fill={fill} {...ink} />
        {[90, -90].map((t) => (
          <path
            key={t}
            transform={`rotate(${t})`}
            d="M0 0C-10 -4 -9 -17 0 -17C9 -17 10 -4 0 0Z"
            fill={fill}
            {...ink}
          />
        ))}
        <path transform="rotate(180)" d="M0 0C-6 -4 -5 -14 0 -14C5 -14 6 -4 0 0Z" fill={fill} {...ink} />
      </>,
    ),
  'funnel': ({ plan, fill }) => plan(<><Petals n={5} fill={fill} wide={8} long={17} /><circle r={6} fill={fill} {...ink} strokeWidth={0.6} /></>), // prettier-ignore
  rays: ({ c, disc, fill }) => {
    const kind = c['head-rays']
    if (kind === 'none') return disc(9)
    const n = kind === 'yellow-thread' ? 40 : kind === 'yellow-few' ? 7 : kind === 'yellow-broad' ? 14 : 16
    const long = kind === 'yellow-few' ? 14 : 23
    return (
      <>
        {ring(n, (t) => (
          <path
            key={t}
            transform={`rotate(${t})`}
            d={
              kind === 'yellow-thread'
                ? `M0 -7V${-long}`
                : `M-1.4 -7L-2 ${-long}L0 ${-long - 1}L2 ${-long}L1.4 -7Z`
            }
            fill={fill}
            {...ink}
            strokeWidth={kind === 'yellow-thread' ? 1.2 : 0.6}
          />
        ))}
        {disc(8)}
      </>
    )
  },
  florets: ({ fill }) => (
    <>
      <path d="M-8 16L-9 0H9L8 16Q0 21 -8 16Z" fill="var(--lichen-pale)" {...ink} />
      {[-9, -4.5, 0, 4.5, 9].map((x) => (
        <path
          key={x}
          d={`M${x * 0.8} 0L${x} -13M${x - 2.4} -16L${x} -13L${x + 2.4} -16`}
          fill="none"
          stroke={fill}
          strokeWidth={3}
        />
      ))}
      {[-9, -4.5, 0, 4.5, 9].map((x) => (
        <path key={x} d={`M${x * 0.8} 0L${x} -13`} {...ink} strokeWidth={0.6} fill="none" />
      ))}
    </>
  ),
  bell: ({ c, fill }) => {
    const round = c['petals'] !== 'bell'
    const urn = c['petals'] === 'urn'
    return (
      <g transform="translate(-5 1)">
        <path d="M0 -20Q6 -20 6 -14" {...ink} fill="none" />
        <g transform="translate(6 -12)">
          <path
            d={
              urn
                ? 'M-5 0C-15 7 -13 18 -5 21L-7 24L-2 22L0 25L2 22L7 24L5 21C13 18 15 7 5 0Z'
                : round
                  ? 'M-5 0C-16 6 -14 20 -8 22L-5 19L-2 23L0 19L2 23L5 19L8 22C14 20 16 6 5 0Z'
                  : 'M-5 0C-9 8 -9 18 -10 24L-6 21L-3 25L0 21L3 25L6 21L10 24C9 18 9 8 5 0Z'
            }
            fill={fill}
            {...ink}
          />
          <path d="M-6 1L0 -4L6 1L3 5L0 1L-3 5Z" fill="var(--lichen-pale)" {...ink} strokeWidth={0.7} />
        </g>
      </g>
    )
  },
  'bell-six': (pen) => FLOWERS['bell']?.(pen),
  urn: (pen) => FLOWERS['bell']?.(pen),
  tube: ({ fill, c }) => (
    <g transform="rotate(18)">
      <path d="M-6 -18C-8 -4 -12 6 -14 14Q0 24 14 14C11 6 8 -4 6 -18Z" fill={fill} {...ink} />
      <ellipse cy={15} rx={13} ry={5} fill="var(--sheet)" {...ink} />
      {c['petal-marks'] === 'throat-spots' &&
        [-6, -1, 4, 8].map((x, i) => <circle key={x} cx={x} cy={14 + (i % 2) * 3} r={1.4} fill="#6b2f4a" />)}
      <path
        d="M-7 -17L0 -23L7 -17L3 -12L0 -16L-3 -12Z"
        fill="var(--lichen-pale)"
        {...ink}
        strokeWidth={0.8}
      />
    </g>
  ),
  'six-tube': ({ fill }) => (
    <>
      <path d="M-2 24L-2 2H2L2 24Z" fill="var(--sheet)" {...ink} />
      {[-34, 34, -12, 12].map((t) => (
        <path
          key={t}
          transform={`translate(0 4) rotate(${t})`}
          d="M0 0C-6 -8 -5 -22 0 -26C5 -22 6 -8 0 0Z"
          fill={fill}
          {...ink}
        />
      ))}
    </>
  ),
  sword: ({ fill, c }) => (
    <>
      {[-1, 1].map((s) => (
        <path
          key={s}
          d={`M0 2C${s * 10} -2 ${s * 22} 4 ${s * 20} 20C${s * 12} 18 ${s * 4} 12 0 2Z`}
          fill={fill}
          {...ink}
        />
      ))}
      {[-1, 1].map((s) => (
        <path
          key={s}
          d={`M0 2C${s * 2} -8 ${s * 14} -12 ${s * 8} -24C${s * 1} -20 ${s * -2} -8 0 2Z`}
          fill={fill}
          {...ink}
        />
      ))}
      <path d="M0 2C-7 8 -7 20 0 24C7 20 7 8 0 2Z" fill={fill} {...ink} />
      {c['petal-marks'] === 'beard' ? (
        <path d="M0 4V15M-2 5V13M2 5V13" stroke="#e8c531" strokeWidth={1.6} />
      ) : (
        <path d="M0 5V16M-3 8L-4 15M3 8L4 15" {...ink} strokeWidth={0.6} />
      )}
    </>
  ),
  lipped: ({ fill, c }) => (
    <>
      <path d="M-21 16L-24 22" {...ink} fill="none" />
      <path
        d="M4 5C9 3 13 6 20 8C23 13 19 18 14 16C12 22 4 20 2 14C-3 15 -8 13 -12 11Z"
        fill={fill}
        {...ink}
      />
      <path
        d="M-13 6C-7 0 -3 -7 0 -13C4 -22 17 -23 21 -13C15 -13 11 -8 9 0L5 7L-12 12Z"
        fill={fill}
        {...ink}
      />
      {c['petal-marks'] === 'veins' && <path d="M4 10L8 14M8 9L13 12M1 9L3 13" {...ink} strokeWidth={0.6} />}
      {c['petal-marks'] === 'eye' && <circle cx={10} cy={11} r={2.6} fill="#e8c531" />}
      <path
        d="M-22 14L-20 5L-15 7L-9 3L-8 9L-11 15L-18 18Z"
        fill="var(--lichen-pale)"
        {...ink}
        strokeWidth={0.8}
      />
    </>
  ),
  pea: ({ fill }) => (
    <>
      <path d="M-22 6L-26 12" {...ink} fill="none" />
      <path d="M-13 2C-16 -12 -6 -24 9 -21C13 -13 6 -5 -4 3Z" fill={fill} {...ink} />
      <path d="M-11 7C-2 14 13 17 20 5C12 5 0 6 -11 7Z" fill={fill} {...ink} />
      <path d="M-12 5C-2 -6 15 -9 21 0C17 9 2 10 -12 6Z" fill={fill} {...ink} />
      <path
        d="M-23 7L-21 -1L-16 1L-11 -2L-9 4L-11 9L-19 11Z"
        fill="var(--lichen-pale)"
        {...ink}
        strokeWidth={0.8}
      />
    </>
  ),
  tiny: ({ green, fill, stamens }) => (
    <>
      {green}
      {ring(4, (t) => (
        <ellipse
          key={t}
          transform={`rotate(${t + 45})`}
          cy={-5}
          rx={2.4}
          ry={4}
          fill={fill}
          {...ink}
          strokeWidth={0.7}
        />
      ))}
      <circle r={2} fill="var(--lichen-pale)" {...ink} strokeWidth={0.7} />
      {stamens}
    </>
  ),
}

/** Where it is not known, or no kind of its own. */
const otherwise: (pen: Pen) => React.ReactNode = ({ c, fill, green, stamens }) => {
  const cup = c['inflorescence']
  if (cup === 'cone') return <ellipse rx={7} ry={11} fill={fill} {...ink} />
  return (
    <>
      {green}
      <circle r={5} fill="var(--lichen-pale)" {...ink} />
      {stamens}
    </>
  )
}

/** Plan of one flower within a circle of radius 24 around (0,0); side views where the plan says little. */
export function Flower({ c }: { c: Characters }) {
  return (FLOWERS[c['petals'] ?? ''] ?? otherwise)(penOf(c))
}
