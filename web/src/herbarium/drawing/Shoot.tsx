import { Cluster } from './Cluster'
import { Blade } from './Leaf'
import type { Characters } from './states'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round', fill: 'none' } as const
const GROUND = 196
const TOP = 84
const SIZES: Record<string, number> = { tiny: 20, small: 32, middling: 50, large: 66 }

const place = (x: number, y: number, turn: number) => `translate(${x} ${y}) rotate(${turn})`

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
      )}{' '}
      {/* prettier-ignore */}
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
        ))}{' '}
      {/* prettier-ignore */}
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

/** Needles and scales along a twig. */
function NeedleTwig({ c }: { c: Characters }) {
  const fill = 'var(--lichen)'
  const rows = Array.from({ length: 13 }, (_, i) => GROUND - 12 - i * 9)
  return (
    <>
      <path d={`M0 ${GROUND}V66`} {...ink} strokeWidth={3} />
      {rows.map((y, i) => {
        switch (c['needle-stand']) {
          case 'threes':
            return [-62, 62, i % 2 ? 20 : -20].map((t) => <path key={`${y}${t}`} transform={place(0, y, t)} d="M-1.6 0L0 -26L1.6 0Z" fill={fill} stroke="currentColor" strokeWidth={0.7} />) // prettier-ignore
          case 'pairs':
            return i % 2 ? null : [-1, 1].flatMap((s) => [-7, 7].map((d) => <path key={`${y}${s}${d}`} transform={place(0, y, s * 42 + d)} d="M-1 0L-0.6 -46L0.6 -46L1 0Z" fill={fill} stroke="currentColor" strokeWidth={0.6} />)) // prettier-ignore
          case 'two-rows':
            return [-78, 78].map((t) => <path key={`${y}${t}`} transform={place(0, y, t)} d="M-1.8 0L-1.8 -22L0 -26L1.8 -22L1.8 0Z" fill={fill} stroke="currentColor" strokeWidth={0.7} />) // prettier-ignore
          default:
            return (
              <g key={y}>
                {[-1, 1].map((s) => (
                  <path
                    key={s}
                    d={`M0 ${y}Q${s * 7} ${y - 2} ${s * 4} ${y - 9}Q0 ${y - 8} 0 ${y}Z`}
                    fill={fill}
                    stroke="currentColor"
                    strokeWidth={0.7}
                  />
                ))}{' '}
                {/* prettier-ignore */}
                {i % 3 === 1 &&
                  [-1, 1].map((s) => (
                    <path
                      key={`t${s}`}
                      d={`M0 ${y}Q${s * 20} ${y - 10} ${s * 26} ${y - 30}`}
                      stroke={fill}
                      strokeWidth={5}
                      strokeDasharray="4 1.4"
                      fill="none"
                    />
                  ))}{' '}
                {/* prettier-ignore */}
              </g>
            )
        }
      })}
    </>
  )
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
          />{' '}
          {/* prettier-ignore */}
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
        )}{' '}
        {/* prettier-ignore */}
        <Attached c={c} length={length * size} />
      </g>
    )
    if (arrangement === 'opposite') return [leaf(-58), leaf(58)]
    if (arrangement === 'whorled')
      return i === nodes - 1 ? [leaf(-80), leaf(80), leaf(-34, k * 0.8), leaf(34, k * 0.8)] : null
    return i % 2 ? leaf(-52) : leaf(52)
  })
}

function Root({ kind }: { kind: string | undefined }) {
  const line = { ...ink, strokeWidth: 1.6, fill: 'var(--sheet)' }
  const y = GROUND
  switch (kind) {
    case 'fat-tubers':
      return [-40, -14, 14, 40].map((t) => <path key={t} transform={place(0, y, t)} d="M0 0C-7 8 -7 26 0 36C7 26 7 8 0 0Z" {...line} />) // prettier-ignore
    case 'chambered':
      return (
        <>
          <path
            d={`M-12 ${y}C-20 ${y + 18} -10 ${y + 34} 0 ${y + 34}C10 ${y + 34} 20 ${y + 18} 12 ${y}Z`}
            {...line}
          />
          {[8, 16, 24].map((d) => (
            <ellipse key={d} cy={y + d} rx={9 - d * 0.15} ry={2.4} fill="none" stroke="currentColor" />
          ))}{' '}
          {/* prettier-ignore */}
        </>
      )
    case 'strung-tubers':
      return [-34, 0, 34].map((t) => <g key={t} transform={place(0, y, t)}><path d="M0 0V34" {...ink} strokeWidth={1} /><ellipse cy={14} rx={3.6} ry={5} {...line} /><ellipse cy={27} rx={3} ry={4} {...line} /></g>) // prettier-ignore
    case 'bulb':
      return <path d={`M0 ${y}C-8 ${y + 8} -9 ${y + 28} -4 ${y + 32}H4C9 ${y + 28} 8 ${y + 8} 0 ${y}M-4 ${y + 32}l-3 7M0 ${y + 32}v8M4 ${y + 32}l3 7`} {...line} /> // prettier-ignore
    case 'corm':
      return <path d={`M-3 ${y}C-18 ${y + 8} -16 ${y + 34} 0 ${y + 34}C14 ${y + 32} 14 ${y + 8} 3 ${y}Z`} {...line} fill="#8d7440" /> // prettier-ignore
    case 'tuber':
      return <path d={`M-2 ${y}V${y + 10}C-16 ${y + 10} -16 ${y + 30} 0 ${y + 32}C18 ${y + 30} 16 ${y + 10} 2 ${y + 10}V${y}`} {...line} /> // prettier-ignore
    case 'flat-rhizome':
      return <path d={`M-34 ${y + 6}Q-30 ${y - 2} 0 ${y}Q20 ${y} 26 ${y + 6}Q26 ${y + 14} 0 ${y + 14}Q-34 ${y + 16} -34 ${y + 6}M-20 ${y}V${y + 15}M-6 ${y}V${y + 15}M8 ${y}V${y + 14}M-14 ${y + 15}l-3 12M2 ${y + 14}l2 13`} {...line} /> // prettier-ignore
    case 'white-tap':
    case 'pale-fleshy':
    case 'brown-fleshy':
    case 'black-fleshy':
      return <path d={`M-6 ${y}C-7 ${y + 16} -3 ${y + 30} 0 ${y + 42}C3 ${y + 30} 7 ${y + 16} 6 ${y}Z`} {...line} fill={kind === 'black-fleshy' ? '#3a3532' : kind === 'brown-fleshy' ? '#8d7440' : 'var(--sheet)'} /> // prettier-ignore
    case 'creeping-white':
    case 'creeping-pink':
    case 'creeping-yellow':
      return <path d={`M-44 ${y + 14}Q-20 ${y + 4} 0 ${y + 8}T44 ${y + 12}M-28 ${y + 10}l-3 10M-10 ${y + 7}l-1 12M12 ${y + 9}l3 11M30 ${y + 12}l2 9`} {...ink} strokeWidth={2.4} stroke={({ 'creeping-pink': '#b77f86', 'creeping-yellow': '#b79a2f' } as Record<string, string>)[kind] ?? 'currentColor'} /> // prettier-ignore
    case 'red-inside':
      return <path d={`M-12 ${y}C-18 ${y + 12} -6 ${y + 22} 4 ${y + 20}C16 ${y + 18} 14 ${y + 4} 8 ${y}Z`} {...line} fill="#a5493c" /> // prettier-ignore
    case 'cords':
      return [-50, -28, -8, 12, 32, 52].map((t) => <path key={t} transform={place(0, y, t)} d="M0 0Q3 16 0 34" {...ink} strokeWidth={2} />) // prettier-ignore
    case 'fibrous':
      return [-50, -30, -10, 10, 30, 50].map((t) => <path key={t} transform={place(0, y, t)} d="M0 0Q2 12 0 26" {...ink} strokeWidth={0.8} />) // prettier-ignore
    default:
      return null
  }
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
        ))}{' '}
      {/* prettier-ignore */}
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

function WinterTwig({ c }: { c: Characters }) {
  if (c['twig'] === 'none' || c['twig'] === undefined) {
    const remains = c['winter-remains']
    if (remains === undefined || remains === 'nothing') return null
    return (
      <>
        <path d={`M0 ${GROUND}V90`} {...ink} strokeWidth={2} strokeDasharray="9 2" />
        {[-30, 0, 30].map((t) => (
          <path
            key={t}
            transform={place(0, 96, t)}
            d="M0 0V-30M-5 -30H5M-3 -36H3"
            {...ink}
            strokeWidth={1.2}
          />
        ))}{' '}
        {/* prettier-ignore */}
      </>
    )
  }
  const colour = { red: '#a5493c', brown: '#7a5a38', green: '#6f8a4a', copper: '#b3743a', white: '#e9ece9', black: '#2b2b33' }[c['bud-colour'] ?? ''] ?? '#7a5a38' // prettier-ignore
  const bud = c['bud-cover'] === 'naked' ? 'M0 0L-4 -9L-1 -14L1 -14L4 -9Z' : c['bud-cover'] === 'one-scale' ? 'M0 0C-4 -3 -3 -12 0 -14C3 -12 4 -3 0 0Z' : 'M0 0C-6 -3 -5 -10 0 -14C5 -10 6 -3 0 0Z' // prettier-ignore
  const tip = c['buds'] === 'clustered' ? [-32, 32, 0] : [0]
  return (
    <>
      <path d={`M0 ${GROUND}V60`} {...ink} strokeWidth={4} stroke="#7a6a4f" />
      {c['twig'] === 'dark-spotted' &&
        [180, 160, 140, 120, 100, 80].map((y) => (
          <path key={y} d={`M-1.5 ${y}h3`} stroke="#f1efe6" strokeWidth={1.4} />
        ))}{' '}
      {/* prettier-ignore */}
      {[170, 140, 110, 80].flatMap((y, i) =>
        (c['buds'] === 'opposite' ? [-38, 38] : [i % 2 ? -38 : 38]).map((t) => (
          <path
            key={`${y}${t}`}
            transform={place(t > 0 ? 2 : -2, y, t)}
            d={bud}
            fill={colour}
            stroke="currentColor"
          />
        )),
      )}{' '}
      {/* prettier-ignore */}
      {tip.map((t) => (
        <path key={t} transform={place(0, 60, t)} d={bud} fill={colour} stroke="currentColor" />
      ))}
    </>
  )
}
