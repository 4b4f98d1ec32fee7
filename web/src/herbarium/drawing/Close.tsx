import { useId } from 'react'
import type { Characters } from './states'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round', fill: 'none' } as const

/** Sixteen places on a patch, not in rank and file. */
const PLACES = Array.from(
  { length: 16 },
  (_, i) => [-9 + (i % 4) * 6 + (Math.floor(i / 4) % 2) * 2, -9 + Math.floor(i / 4) * 6] as const,
)
const AROUND = Array.from({ length: 20 }, (_, i) => (i * 2 * Math.PI) / 20)

/** What a hand lens shows: a circle of 15 around (0,0), nothing drawn beyond it. */
function Patch({ fill = 'var(--lichen-pale)', children }: { fill?: string; children: React.ReactNode }) {
  const id = useId()
  return (
    <>
      <clipPath id={id}>
        <circle r={15} />
      </clipPath>
      <circle r={15} fill={fill} />
      <g clipPath={`url(#${id})`}>{children}</g>
      <circle r={15} {...ink} strokeWidth={1.2} />
    </>
  )
}

const each = (draw: (x: number, y: number, i: number) => React.ReactNode) =>
  PLACES.map(([x, y], i) => <g key={i}>{draw(x, y, i)}</g>)

const Veins = () => (
  <path
    d="M0 -15V15M0 -6L9 -11M0 2L11 -3M0 2L-11 -3M0 -6L-9 -11M0 9L9 5M0 9L-9 5"
    {...ink}
    strokeWidth={0.6}
    opacity={0.7}
  />
)

function hairs(kind: string | undefined) {
  switch (kind) {
    case 'bristly':
      return each((x, y) => <path d={`M${x} ${y}l4.5 -3.5`} {...ink} strokeWidth={1.2} />)
    case 'soft':
      return each((x, y) => (
        <path d={`M${x} ${y}q1 -3 3 -3M${x + 2} ${y + 2}q1 -3 3 -3`} {...ink} strokeWidth={0.5} />
      ))
    case 'silky':
      return each((x, y) => <path d={`M${x - 3} ${y}h7M${x - 1} ${y + 2.5}h7`} {...ink} strokeWidth={0.45} />)
    case 'stinging':
      return each((x, y, i) =>
        i % 3 === 0 ? (
          <path d={`M${x - 1} ${y + 1}a1.4 1.4 0 1 1 2 0M${x} ${y - 1}l3 -6`} {...ink} strokeWidth={0.9} />
        ) : (
          <path d={`M${x} ${y}l1.4 -1.8`} {...ink} strokeWidth={0.5} />
        ),
      )
    case 'sticky':
      return each((x, y) => (
        <>
          <path d={`M${x} ${y}l1.2 -2.4`} {...ink} strokeWidth={0.6} />
          <circle cx={x + 1.5} cy={y - 3} r={1} fill="currentColor" />
        </>
      ))
    default:
      return null
  }
}

/** The upper side of a leaf. */
export function UpperSide({ kind }: { kind: string }) {
  return (
    <>
      <Patch>
        <Veins />
        {hairs(kind)}
      </Patch>
      {kind === 'fringe' &&
        AROUND.map((t) => (
          <path
            key={t}
            d={`M${Math.cos(t) * 15} ${Math.sin(t) * 15}l${Math.cos(t) * 3} ${Math.sin(t) * 3}`}
            {...ink}
            strokeWidth={0.7}
          />
        ))}
    </>
  )
}

/** The underside of a leaf. */
export function Underside({ kind, hairs: hair }: { kind: string | undefined; hairs?: string | undefined }) {
  const fill = { 'white-felted': '#eef0ea', 'grey-woolly': '#cdd2c8', bloomed: '#bcd0d2', scaly: '#d9dcd2' }[kind ?? ''] ?? 'var(--lichen-pale)' // prettier-ignore
  const surface = () => {
    switch (kind) {
      case 'white-felted':
        return each((x, y) => <path d={`M${x} ${y}q2 -3 4 0t4 0`} {...ink} strokeWidth={0.5} />)
      case 'grey-woolly':
        return each((x, y) => <path d={`M${x} ${y - 3}q3 3 0 5t2 4`} {...ink} strokeWidth={0.7} />)
      case 'green-hairy':
        return hairs(hair === 'bristly' ? 'bristly' : 'soft')
      case 'black-dots':
        return each((x, y) => <circle cx={x} cy={y} r={0.9} fill="currentColor" />)
      case 'scaly':
        return each((x, y) => <circle cx={x} cy={y} r={1.8} {...ink} strokeWidth={0.5} />)
      case 'two-bands':
      case 'one-band':
        return (kind === 'one-band' ? [0] : [-5, 5]).map((x) => (
          <rect key={x} x={x - 2.5} y={-15} width={5} height={30} fill="#f3f6f2" stroke="none" />
        ))
      default:
        return null
    }
  }
  return (
    <Patch fill={fill}>
      <Veins />
      {surface()}
    </Patch>
  )
}

/** The surface of a fruit. */
export function FruitSurface({ kind }: { kind: string }) {
  const surface = () => {
    switch (kind) {
      case 'ribbed':
        return <path d="M-10 -12V12M-5 -15V15M0 -15V15M5 -15V15M10 -12V12" {...ink} strokeWidth={1.4} />
      case 'bristly':
        return each((x, y) => <path d={`M${x} ${y}l3 -4q1.5 -0.5 1.5 1`} {...ink} strokeWidth={0.9} />)
      case 'downy':
        return hairs('soft')
      case 'bloomed':
        return <path d="M-9 5Q0 -8 9 2Q3 11 -9 5Z" fill="#4a5a86" stroke="none" />
      case 'warty':
        return each((x, y) => <circle cx={x} cy={y} r={2} {...ink} strokeWidth={0.8} />)
      default:
        return <path d="M-8 -7Q-3 -11 4 -11" stroke="var(--sheet)" strokeWidth={2} fill="none" />
    }
  }
  return <Patch fill={kind === 'bloomed' ? '#b9c6d8' : 'var(--lichen-pale)'}>{surface()}</Patch>
}

/** A piece of stem, its surface as it looks from near. */
export function StemPiece({ kind }: { kind: string }) {
  const bark = kind === 'bark'
  const rows = [-14, -8, -2, 4, 10, 16]
  const both = (draw: (side: 1 | -1, y: number) => string, width = 0.8) =>
    rows.map((y) => <path key={y} d={draw(-1, y) + draw(1, y - 3)} {...ink} strokeWidth={width} />)
  const surface = () => {
    switch (kind) {
      case 'purple-blotched':
        return rows.map((y, i) => (
          <ellipse key={y} cx={i % 2 ? 2.5 : -2.5} cy={y} rx={2.2} ry={1.6 + (i % 3)} fill="#7a3b63" />
        ))
      case 'bristly':
        return both((s, y) => `M${s * 6} ${y}l${s * 6} ${1.5}`, 1.1)
      case 'downy':
        return [...rows, ...rows.map((y) => y + 3)].map((y) => (
          <path key={y} d={`M-6 ${y}h-2.4M6 ${y}h2.4`} {...ink} strokeWidth={0.6} />
        ))
      case 'woolly':
        return both((s, y) => `M${s * 6} ${y}q${s * 4} -4 ${s * 4} 0t${s * 3} 2M${s * -3} ${y}q2 -3 4 0t4 0`, 0.5) // prettier-ignore
      case 'stinging':
        return both((s, y) => `M${s * 6} ${y + 1.5}a1.6 1.6 0 0 ${s > 0 ? 0 : 1} 0 -3M${s * 7.4} ${y - 0.5}l${s * 7} -4`) // prettier-ignore
      case 'sticky':
        return rows.flatMap((y) =>
          [-1, 1].map((s) => (
            <g key={`${y}${s}`}>
              <path d={`M${s * 6} ${y}h${s * 4}`} {...ink} strokeWidth={0.7} />
              <circle cx={s * 11} cy={y} r={1.3} fill="currentColor" />
            </g>
          )),
        )
      case 'one-line':
        return [-16, -13, -10, -7, -4, 3, 6, 9, 12, 15].map((y) => (
          <path key={y} d={`M${y < 0 ? 6 : -6} ${y}h${y < 0 ? 4 : -4}`} {...ink} strokeWidth={0.8} />
        ))
      case 'scaly':
        return [-10, 0, 10].map((y, i) => {
          const s = i % 2 ? 1 : -1
          return (
            <path
              key={y}
              d={`M${s * 6} ${y + 6}Q${s * 13} ${y} ${s * 7} ${y - 8}Q${s * 2} ${y} ${s * 2} ${y + 6}Z`}
              {...ink}
              strokeWidth={0.9}
              fill="var(--note-pale)"
            />
          )
        })
      case 'bark':
        return <path d="M-3 -16l1 9l-2 7M2 -12l-1 10l2 6M-2 6l1 9M4 4l-1 10" {...ink} strokeWidth={0.9} />
      default:
        return null
    }
  }
  return (
    <>
      <path d="M-6 -18V18M6 -18V18" {...ink} strokeWidth={1.2} />
      <rect x={-6} y={-18} width={12} height={36} fill={bark ? '#a28c66' : 'var(--lichen-pale)'} />
      {kind === 'one-line' && <path d="M-7 -0.5h14" {...ink} strokeWidth={2} />}
      {surface()}
      <path d="M-6 -18V18M6 -18V18" {...ink} strokeWidth={1.2} />
    </>
  )
}

/** Fruits as they stand, small, with what carries them. */
export function FruitStand({ kind, fill }: { kind: string; fill: string }) {
  const ball = (x: number, y: number, r = 4.2) => (
    <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={fill} stroke="currentColor" strokeWidth={0.9} />
  )
  const leaf = (x: number, y: number, turn: number, length = 15) => (
    <path
      key={`l${x} ${y} ${turn}`}
      transform={`translate(${x} ${y}) rotate(${turn})`}
      d={`M0 0C-5 ${-length * 0.4} -4 ${-length * 0.85} 0 ${-length}C4 ${-length * 0.85} 5 ${-length * 0.4} 0 0Z`}
      fill="var(--lichen-pale)"
      stroke="currentColor"
      strokeWidth={0.8}
    />
  )
  const line = (d: string, width = 1.1) => <path d={d} {...ink} strokeWidth={width} />
  switch (kind) {
    case 'top-one':
      return <>{line('M0 24V4')}{[-75, -28, 28, 75].map((t) => leaf(0, 8, t, 20))}{ball(0, -6, 7)}</> // prettier-ignore
    case 'on-star':
      return <>{[0, 72, 144, 216, 288].map((t) => leaf(0, 0, t, 22))}{ball(0, 0, 9)}</> // prettier-ignore
    case 'in-axils':
      return <>{line('M0 24V-24')}{leaf(0, 12, -58, 20)}{leaf(0, -8, 58, 20)}{line('M0 12Q-4 4 -8 0M0 -8Q4 -16 8 -20', 0.8)}{ball(-8, -1)}{ball(8, -20)}</> // prettier-ignore
    case 'along-twigs':
      return <>{line('M0 24V-24', 2.6)}{[18, 9, 0, -9, -18].flatMap((y) => [ball(-5.5, y), ball(5.5, y - 4)])}</> // prettier-ignore
    case 'hanging-cluster':
      return <>{line('M-18 -20Q2 -24 4 -8V10M4 -6L-6 2M4 0L14 8')}{[[-7, 6], [4, 14], [15, 12], [-1, 22]].map(([x = 0, y = 0]) => ball(x, y))}</> // prettier-ignore
    case 'upright-spike':
      return <>{line('M0 24V8', 3)}{[8, 1, -6, -13, -20].flatMap((y, i) => (i === 4 ? [ball(0, y)] : [ball(-5, y), ball(5, y)]))}</> // prettier-ignore
    case 'umbel':
      return <>{line('M0 24V6M0 6L-20 -12M0 6L-10 -18M0 6V-20M0 6L10 -18M0 6L20 -12')}{[[-20, -14], [-10, -20], [0, -22], [10, -20], [20, -14]].map(([x = 0, y = 0]) => ball(x, y, 3.6))}</> // prettier-ignore
    case 'heads':
      return <>{line('M0 24V-2')}{[[0, -10], [-7, -7], [7, -7], [-4, -15], [4, -15], [0, -4]].map(([x = 0, y = 0]) => ball(x, y, 3.8))}</> // prettier-ignore
    case 'branched':
      return <>{line('M0 24V-16M0 14L-14 2M0 14L14 2M0 0L-11 -12M0 0L11 -12M-7 8L-18 6M7 8L18 6')}{[[0, -18], [-14, 0], [14, 0], [-11, -14], [11, -14], [-19, 5], [19, 5]].map(([x = 0, y = 0]) => ball(x, y, 3.4))}</> // prettier-ignore
    case 'from-ground':
      return <>{leaf(-2, 18, -16, 36)}{leaf(2, 18, 16, 36)}{ball(0, 12, 5.5)}{line('M-22 18H22', 0.9)}</> // prettier-ignore
    default:
      return null
  }
}

/** Colours of a winter bud. */
export const BUD_COLOURS: Record<string, string> = { red: '#a5493c', brown: '#7a5a38', green: '#6f8a4a', copper: '#b3743a', white: '#e9ece9', black: '#2b2b33' } // prettier-ignore

/** One winter bud, large, with its scales. */
export function Bud({ c }: { c: Characters }) {
  const cover = c['bud-cover']
  const fill = cover === 'coppery' ? BUD_COLOURS['copper'] : (BUD_COLOURS[c['bud-colour'] ?? ''] ?? '#9a7a52')
  const body = { fill, stroke: 'currentColor', strokeWidth: 1.1, strokeLinejoin: 'round' } as const
  const scales = () => {
    switch (cover) {
      case 'one-scale':
        return null
      case 'two-scales':
        return <path d="M-9 8Q-2 2 3 12" {...ink} strokeWidth={1} />
      case 'naked':
        return (
          <>
            <path d="M0 14V-14M-3 10L-7 -4M3 10L7 -4" {...ink} strokeWidth={0.8} />
            {PLACES.slice(4, 12).map(([x, y]) => (
              <path key={`${x}${y}`} d={`M${x * 0.6} ${y}l1.4 -1.6`} {...ink} strokeWidth={0.5} />
            ))}
          </>
        )
      case 'coppery':
        return PLACES.map(([x, y]) => <circle key={`${x}${y}`} cx={x * 0.55} cy={y} r={0.7} fill="#f1d9b8" />)
      default:
        return <path d="M-9 6Q0 0 9 6M-8 -1Q0 -7 8 -1M-5 -8Q0 -12 5 -8M0 16V4" {...ink} strokeWidth={0.9} />
    }
  }
  return (
    <>
      <path d="M0 24V14" stroke="#7a6a4f" strokeWidth={5} />
      {cover === 'naked' ? (
        <path d="M0 15C-8 8 -11 -4 -7 -15L-2 -8L0 -19L2 -8L7 -15C11 -4 8 8 0 15Z" {...body} />
      ) : (
        <path d="M0 16C-11 12 -11 -4 0 -20C11 -4 11 12 0 16Z" {...body} />
      )}
      {scales()}
    </>
  )
}

/** A piece of winter twig. */
export function TwigPiece({ kind }: { kind: string }) {
  const colour = { 'grey-rough': '#a3a29a', 'green-angled': '#7f9a57', scurfy: '#c3c6bd', 'dark-spotted': '#4a3d33', supple: '#a79a4c' }[kind] ?? '#8a5f3e' // prettier-ignore
  const thin = kind === 'supple'
  const marks = () => {
    switch (kind) {
      case 'grey-rough':
        return (
          <path d="M-3 -15l2 3l-2 3l2 4l-2 3M2 -8l2 4l-3 4l2 5M-2 6l2 5l-2 4" {...ink} strokeWidth={0.8} />
        )
      case 'green-angled':
        return <path d="M-2 -18V18M2 -18V18" {...ink} strokeWidth={0.9} />
      case 'scurfy':
        return [-14, -9, -4, 1, 6, 11, 16].map((y, i) => (
          <circle
            key={y}
            cx={i % 2 ? 2.5 : -2.5}
            cy={y}
            r={1}
            fill="#fff"
            stroke="currentColor"
            strokeWidth={0.4}
          />
        ))
      case 'dark-spotted':
        return [-14, -7, 0, 7, 14].map((y, i) => (
          <path key={y} d={`M${i % 2 ? 0 : -3} ${y}h3.4`} stroke="#f1efe6" strokeWidth={1.5} />
        ))
      default:
        return null
    }
  }
  return (
    <>
      <path
        d={thin ? 'M-6 18Q2 4 2 -18' : 'M0 18V-18'}
        stroke="currentColor"
        strokeWidth={thin ? 5.4 : 12.4}
        fill="none"
      />
      <path
        d={thin ? 'M-6 18Q2 4 2 -18' : 'M0 18V-18'}
        stroke={colour}
        strokeWidth={thin ? 3.4 : 10}
        fill="none"
      />
      {marks()}
    </>
  )
}
