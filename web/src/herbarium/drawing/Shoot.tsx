import { Cluster } from './Cluster'
import { Blade } from './Leaf'
import { Root } from './Root'
import { GROUND, place, type Characters } from './states'
import { NeedleTwig, WinterTwig } from './Twig'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round', fill: 'none' } as const
const TOP = 84
const SIZES: Record<string, number> = { tiny: 20, small: 32, middling: 50, large: 66 }

/** How long a leaf is drawn: by its size, within what the frame holds. */
function leafLength(c: Characters, most: number, scale = 1) {
  const wide = ['heart', 'round', 'arrow'].includes(c['leaf-outline'] ?? '') ? 0.8 : 1
  return Math.min((SIZES[c['leaf-size'] ?? 'middling'] ?? 50) * scale, most) * wide
}

/** A leaf and how it meets the stem at (0,0), turned by whoever places it. */
function Attached({ c, length, stalk }: { c: Characters; length: number; stalk?: number }) {
  const base = c['leaf-base']
  const long = stalk ?? (base === 'stalked' || base === 'leafy-stipules' ? Math.max(5, length * 0.2) : base === 'sheathing' ? length * 0.18 : 0) // prettier-ignore
  return (
    <>
      {long > 0 && <path d={`M0 0V${-long}`} {...ink} strokeWidth={1.6} />}
      {base === 'sheathing' && stalk === undefined && (
        <path d={`M-4 5L0 ${-long}L4 5Z`} {...ink} strokeWidth={1} fill="var(--lichen-pale)" />
      )}
      {base === 'clasping' && (
        <path d="M0 -6C-10 -4 -10 8 -3 5M0 -6C10 -4 10 8 3 5" {...ink} strokeWidth={1.2} />
      )}
      {base === 'leafy-stipules' &&
        stalk === undefined &&
        [-1, 1].map((s) => (
          <path
            key={s}
            d={`M0 0C${s * 9} 2 ${s * 10} -7 ${s * 5} -8Z`}
            {...ink}
            strokeWidth={0.8}
            fill="var(--lichen-pale)"
          />
        ))}
      <g transform={`translate(0 ${-long})`}>
        <Blade c={c} length={length} />
      </g>
    </>
  )
}

function stemWidth(c: Characters) {
  return { thread: 1.6, pencil: 3.2, thumb: 6 }[c['stalk-thickness'] ?? ''] ?? 2.6
}

/** What grows on the surface of the stem between two heights. */
function Surface({ c, from, to }: { c: Characters; from: number; to: number }) {
  const w = stemWidth(c) / 2
  const heights = Array.from({ length: Math.floor((from - to) / 7) }, (_, i) => from - 4 - i * 7)
  switch (c['stem-surface']) {
    case 'bristly':
    case 'stinging':
      return heights.map((y) => (
        <path key={y} d={`M${-w} ${y}l-6 -2M${w} ${y - 3}l6 -2`} {...ink} strokeWidth={0.8} />
      ))
    case 'downy':
    case 'woolly':
      return heights.flatMap((y) => [0, 3.5].map((d) => <path key={y + d} d={`M${-w} ${y + d}l-2.6 0M${w} ${y + d}l2.6 0`} {...ink} strokeWidth={0.6} />)) // prettier-ignore
    case 'sticky':
      return heights.map((y) => <path key={y} d={`M${-w} ${y}h-4m-1 0a1 1 0 1 0 .1 0M${w} ${y - 3}h4m1 0a1 1 0 1 0 .1 0`} {...ink} strokeWidth={0.7} />) // prettier-ignore
    case 'one-line':
      return heights.map((y, i) => <path key={y} d={`M${(Math.floor(i / 3) % 2 ? 1 : -1) * w} ${y}l${(Math.floor(i / 3) % 2 ? 1 : -1) * 3.4} -1`} {...ink} strokeWidth={0.8} />) // prettier-ignore
    case 'purple-blotched':
      return heights.filter((_, i) => i % 2 === 0).map((y, i) => <ellipse key={y} cx={i % 2 ? w * 0.4 : -w * 0.4} cy={y} rx={w * 0.55} ry={2.4} fill="#7a3b63" />) // prettier-ignore
    case 'scaly':
      return heights.filter((_, i) => i % 2 === 0).map((y, i) => <path key={y} d={`M${i % 2 ? w : -w} ${y}q${i % 2 ? 6 : -6} -4 ${i % 2 ? 4 : -4} -11q${i % 2 ? -5 : 5} 4 ${i % 2 ? -4 : 4} 11`} {...ink} strokeWidth={0.9} fill="var(--note-pale)" />) // prettier-ignore
    default:
      return null
  }
}

function Thorns({ c }: { c: Characters }) {
  if (c['spines'] === 'thorns') return [176, 146, 116].map((y, i) => <path key={y} d={`M0 ${y}l${i % 2 ? 13 : -13} -5`} {...ink} strokeWidth={1.8} />) // prettier-ignore
  if (c['spines'] === 'prickles') return [182, 166, 150, 134, 118].map((y, i) => <path key={y} d={`M0 ${y}l${i % 2 ? 5 : -5} 2`} {...ink} strokeWidth={1.1} />) // prettier-ignore
  return null
}

/** Leaves from the ground, as they leave it. */
function FromGround({ c, most }: { c: Characters; most: number }) {
  const length = leafLength(c, most, most > 60 ? 1.5 : 1)
  switch (c['leaf-start']) {
    case 'single':
      return [
        [-26, -22, 0.9],
        [24, 20, 1],
        [-4, -4, 0.8],
      ].map(([x = 0, turn = 0, k = 1]) =>
        // prettier-ignore
        <g key={x} transform={place(x, GROUND, turn)}>
          <Attached c={c} length={length * k} stalk={length * 0.5} />
        </g>,
      )
    case 'one-sheath':
      return (
        <>
          {[-15, 15].map((turn) => (
            <g key={turn} transform={place(turn > 0 ? 5 : -2, GROUND - 30, turn)}>
              <Attached c={c} length={length} stalk={length * 0.25} />
            </g>
          ))}
          <path
            d={`M-5 ${GROUND}L-4 ${GROUND - 34}H6L7 ${GROUND}Z`}
            {...ink}
            strokeWidth={1.2}
            fill="var(--note-pale)"
          />
          <path d={`M1 ${GROUND - 34}L-1 ${GROUND}`} {...ink} strokeWidth={0.8} />
        </>
      )
    case 'tuft':
      return [-26, -9, 9, 26].map((turn) => (
        <g key={turn} transform={place(turn * 0.3, GROUND, turn)}>
          <Blade c={c} length={length * 1.1} />
        </g>
      ))
    case 'fan':
      return [-24, -12, 0, 12, 24].map((turn) => (
        <g key={turn} transform={place(turn * 0.4, GROUND, turn)}>
          <Blade c={c} length={length * 1.25} />
        </g>
      ))
    default:
      return [-66, 66, -34, 34, 0].map((turn) => (
        <g key={turn} transform={place(turn * 0.1, GROUND - 2, turn)}>
          <Attached
            c={c}
            length={length * (turn === 0 ? 0.85 : 1)}
            stalk={c['leaf-base'] === 'stalkless' ? 2 : length * 0.22}
          />
        </g>
      ))
  }
}

function AlongStem({ c, top }: { c: Characters; top: number }) {
  const arrangement = c['leaf-arrangement'] ?? 'alternate'
  const nodes = c['leaf-size'] === 'tiny' ? 5 : 3
  const broad = ['heart', 'round', 'arrow'].includes(c['leaf-outline'] ?? '') || c['leaf-division'] === 'palmate' || c['leaf-division'] === 'lobed' || c['leaf-division'] === 'trifoliate' // prettier-ignore
  const gap = (GROUND - 22 - top) / nodes
  const length = leafLength(c, broad ? 40 : 48)
  return Array.from({ length: nodes }, (_, i) => {
    const y = GROUND - 18 - i * gap
    const k = 1 - i * 0.12
    const leaf = (turn: number, size = k) => (
      <g key={`${i}${turn}`} transform={place(0, y, turn)}>
        {c['leaf-base'] === 'runs-down' && (
          <path
            d={`M0 ${gap * 0.8}Q${(turn > 0 ? 1 : -1) * 5} ${gap * 0.3} 0 -2`}
            transform={`rotate(${-turn})`}
            {...ink}
            strokeWidth={1}
            fill="var(--lichen-pale)"
          />
        )}
        <Attached c={c} length={length * size} />
      </g>
    )
    if (arrangement === 'opposite') return [leaf(-58), leaf(58)]
    if (arrangement === 'whorled')
      return i === nodes - 1 ? [leaf(-80), leaf(80), leaf(-34, k * 0.8), leaf(34, k * 0.8)] : null
    return i % 2 ? leaf(-52) : leaf(52)
  })
}

/** The shoot around x = 0, ground at 196. */
export function Shoot({ c, stage }: { c: Characters; stage: string }) {
  const blooming = stage === 'FLOWERING' || stage === 'FRUITING'
  const leafless = c['leaves-now'] === 'absent'
  if (c['needle-stand'] && c['needle-stand'] !== 'no-needles') return <NeedleTwig c={c} />
  const woody =
    c['stem-posture'] === 'woody' || (stage === 'WINTER' && c['twig'] !== undefined && c['twig'] !== 'none')
  const fromGround =
    stage === 'ROSETTE' || c['leaf-arrangement'] === 'ground' || c['leaf-base'] === 'from-ground'
  const both = !fromGround && blooming && c['leaf-start'] === 'rosette' && !woody
  const top = blooming ? TOP : stage === 'LEAFY' ? 64 : GROUND
  const w = stemWidth(c)
  const wings = c['stem-section'] === 'winged' || c['stem-section'] === 'two-lines'
  return (
    <>
      {!woody && stage !== 'WINTER' && <Root kind={c['root']} />}
      {!woody && (
        <path d={`M-62 ${GROUND}H62`} {...ink} strokeWidth={1} strokeDasharray="5 4" opacity={0.6} />
      )}
      {fromGround && !leafless && stage !== 'WINTER' && <FromGround c={c} most={blooming ? 58 : 84} />}
      {both &&
        !leafless &&
        [-72, 72].map((turn) => (
          <g key={turn} transform={place(0, GROUND - 2, turn)}>
            <Attached c={c} length={leafLength(c, 46)} />
          </g>
        ))}
      {stage !== 'ROSETTE' && !(fromGround && stage === 'LEAFY') && (
        <>
          <path
            d={`M0 ${GROUND}V${top}`}
            {...ink}
            strokeWidth={woody ? 4.5 : w}
            stroke={woody ? '#7a6a4f' : 'var(--stalk)'}
          />
          {wings && (
            <path
              d={`M${-w - 1.5} ${GROUND}V${top}M${w + 1.5} ${GROUND}V${top}`}
              {...ink}
              strokeWidth={0.8}
            />
          )}
          <Surface c={c} from={GROUND} to={top} />
          <Thorns c={c} />
          {!fromGround && !leafless && stage !== 'WINTER' && <AlongStem c={c} top={top} />}
        </>
      )}
      {blooming && (
        <g
          transform={`translate(0 ${c['inflorescence'] === 'axils' || c['inflorescence'] === 'along-twigs' ? 132 : TOP})`}
        >
          <Cluster c={c} />
        </g>
      )}
      {stage === 'WINTER' && <WinterTwig c={c} />}
    </>
  )
}
