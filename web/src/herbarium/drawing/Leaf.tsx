import { bladePath, half, handPath } from './outline'
import type { Characters } from './states'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round' } as const

/** Colour of the upper face. */
function face(c: Characters) {
  if (c['leaf-face'] === 'silvery') return 'var(--note-pale)'
  return 'var(--lichen-pale)'
}

function veins(c: Characters, outline: string, length: number) {
  const kind = c['leaf-veins'] ?? 'net'
  const line = { ...ink, fill: 'none', strokeWidth: 0.7, opacity: 0.75 }
  const edge = half(outline, length)
  const wide = (t: number) =>
    edge.reduce((best, p) => (Math.abs(-p[1] / length - t) < Math.abs(-best[1] / length - t) ? p : best))[0]
  const mid = <path key="m" d={`M0 0V${-length * 0.94}`} {...line} strokeWidth={1} />
  if (kind === 'single') return mid
  if (kind === 'parallel') {
    return [-0.7, -0.45, -0.2, 0, 0.2, 0.45, 0.7].map(
      (f) =>
      <path key={f} d={`M${f * wide(0.2)} ${-length * 0.04}Q${f * wide(0.5) * 1.05} ${-length * 0.5} ${f * wide(0.8) * 0.8} ${-length * 0.86}`} {...line} />, // prettier-ignore
    )
  }
  if (kind === 'arched') {
    return [
      mid,
      ...[-0.7, 0.7].map((f) => (
        <path
          key={f}
          d={`M0 ${-length * 0.03}Q${f * wide(0.45) * 1.7} ${-length * 0.5} 0 ${-length * 0.95}`}
          {...line}
        />
      )),
    ]
  }
  if (kind === 'hand') {
    return [
      mid,
      ...[-1, -0.5, 0.5, 1].map(
        (f) =>
        <path key={f} d={`M0 0Q${f * length * 0.2} ${-length * 0.18} ${f * wide(0.4) * 0.86} ${-length * (0.62 - Math.abs(f) * 0.3)}`} {...line} />, // prettier-ignore
      ),
    ]
  }
  return [
    mid,
    ...[0.15, 0.32, 0.5, 0.67].flatMap((t) =>
      [-1, 1].map((s) => (
        <path
          key={`${t}${s}`}
          d={`M0 ${-length * t}L${s * wide(t + 0.12) * 0.82} ${-length * (t + 0.13)}`}
          {...line}
        />
      )),
    ),
  ]
}

function Leaflet({
  c,
  length,
  outline = 'lance',
  margin,
}: {
  c: Characters
  length: number
  outline?: string
  margin?: string | undefined
}) {
  // prettier-ignore
  return (
    <>
      <path d={bladePath(outline, margin ?? c['leaf-margin'] ?? 'entire', length)} {...ink} strokeWidth={0.9} fill={face(c)} /> {/* prettier-ignore */}
      <path d={`M0 0V${-length * 0.85}`} {...ink} strokeWidth={0.5} />
    </>
  )
}

const at = (x: number, y: number, turn: number) =>
  `translate(${x.toFixed(1)} ${y.toFixed(1)}) rotate(${turn})`

function FinelyCut({ c, length }: { c: Characters; length: number }) {
  const tip = c['segment-tip'] ?? 'pointed-narrow'
  const thread = tip === 'thread'
  const broad = tip === 'blunt-broad'
  const sawn = c['leaf-margin'] === 'sharp-teeth'
  const thin = Math.max(0.25, Math.min(0.7, length / 90))
  const pairs = 4
  const parts: React.ReactNode[] = []
  for (let i = 0; i < pairs; i++) {
    const y = -length * (0.26 + 0.17 * i)
    const reach = length * (0.44 - 0.085 * i)
    for (const s of [-1, 1]) {
      parts.push(
        <g key={`${i}${s}`} transform={at(0, y, s * 60)}>
          <path d={`M0 0V${-reach}`} {...ink} fill="none" strokeWidth={thin} />
          {[0.34, 0.64, 0.94].map((t, j) => {
            const size = reach * (0.5 - 0.1 * j)
            return [-1, 1].map((q) => (
              <g key={`${t}${q}`} transform={at(0, -reach * t, q * (thread ? 38 : 50))}>
                {thread ? (
                  <path
                    d={`M0 0V${-size}M0 ${-size * 0.4}L${q * size * 0.35} ${-size * 0.85}`}
                    {...ink}
                    fill="none"
                    strokeWidth={thin * 1.3}
                    stroke="var(--lichen)"
                  />
                ) : (
                  <path
                    d={bladePath(
                      broad ? 'spoon' : 'lance',
                      sawn ? 'sharp-teeth' : 'entire',
                      size * (broad ? 1.2 : 1),
                    )}
                    {...ink}
                    strokeWidth={thin * 0.8}
                    fill={face(c)}
                  />
                )}
              </g>
            ))
          })}
        </g>,
      )
    }
  }
  return (
    <>
      <path d={`M0 0V${-length}`} {...ink} fill="none" strokeWidth={thin * 1.6} />
      {parts}
      <g transform={at(0, -length * 0.9, 0)}>
        <path
          d={bladePath('lance', 'entire', length * 0.16)}
          {...ink}
          strokeWidth={thin * 0.8}
          fill={face(c)}
        />
      </g>
    </>
  )
}

function Pinnate({ c, length }: { c: Characters; length: number }) {
  const interrupted = c['leaf-division'] === 'interruptedly-pinnate'
  const bigEnd = c['end-leaflet'] === 'large-lobed'
  const pairs = bigEnd ? 3 : 5
  const size = length * (bigEnd ? 0.36 : 0.3)
  return (
    <>
      <path d={`M0 0V${-length * 0.8}`} {...ink} fill="none" strokeWidth={1.2} />
      {Array.from({ length: pairs }, (_, i) => {
        const y = -length * (0.14 + (i * 0.58) / pairs)
        return [-1, 1].flatMap((s) => [
          <g key={`l${i}${s}`} transform={at(0, y, s * 64)}>
            <Leaflet c={c} length={size * (1 - i * 0.04)} />
          </g>,
          ...(interrupted
            ? [
                <g key={`t${i}${s}`} transform={at(0, y - (length * 0.29) / pairs, s * 70)}>
                  <Leaflet c={c} length={size * 0.3} margin="entire" />
                </g>,
              ]
            : []),
        ])
      })}
      {bigEnd ? (
        [-48, 48, 0].map((turn) => (
          <g key={turn} transform={at(0, -length * 0.7, turn)}>
            <Leaflet c={c} length={turn === 0 ? length * 0.42 : length * 0.34} outline="broad" />
          </g>
        ))
      ) : (
        <g transform={at(0, -length * 0.76, 0)}>
          <Leaflet c={c} length={size} />
        </g>
      )}
    </>
  )
}

/** What stands out of its face: its shine, wrinkles or pleats. */
function Relief({ c, outline, length }: { c: Characters; outline: string; length: number }) {
  const wide = (t: number) =>
    half(outline, length).reduce((best, p) =>
      Math.abs(-p[1] / length - t) < Math.abs(-best[1] / length - t) ? p : best,
    )[0]
  switch (c['leaf-face']) {
    case 'glossy':
      return (
        <path
          d={`M${wide(0.3) * 0.5} ${-length * 0.3}Q${wide(0.5) * 0.75} ${-length * 0.5} ${wide(0.7) * 0.5} ${-length * 0.72}`}
          stroke="var(--sheet)"
          strokeWidth={length * 0.06}
          strokeLinecap="round"
          fill="none"
        />
      )
    case 'wrinkled':
      return [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8].flatMap((t) =>
        [-0.55, 0.25].map((f) => (
          <path
            key={`${t}${f}`}
            d={`M${f * wide(t)} ${-t * length}q${length * 0.04} ${-length * 0.05} ${length * 0.08} 0`}
            {...ink}
            strokeWidth={0.8}
            fill="none"
          />
        )),
      )
    case 'pleated':
      return [-0.75, -0.4, 0.4, 0.75].map((f) => (
        <path
          key={f}
          d={`M0 0L${f * wide(0.55)} ${-length * 0.6}L${f * wide(0.85) * 0.8} ${-length * 0.84}`}
          {...ink}
          strokeWidth={1.3}
          fill="none"
        />
      ))
    default:
      return null
  }
}

/** One leaf from its foot at (0,0) upwards; its stalk is drawn by whoever places it. */
export function Blade({ c, length }: { c: Characters; length: number }) {
  const margin = c['leaf-margin'] ?? 'entire'
  const outline = c['leaf-outline'] ?? 'lance'
  const body = { ...ink, strokeWidth: 1.2, fill: face(c) }
  const dots = c['leaf-dots'] === 'dotted' && (
    <g opacity={0.9}>
      {[0.25, 0.4, 0.55, 0.7].flatMap((t) =>
        [-0.06, 0.07].map((x) => (
          <circle key={`${t}${x}`} cx={x * length * 1.4} cy={-t * length} r={0.9} fill="currentColor" />
        )),
      )}
    </g>
  )
  const spots = c['leaf-face'] === 'spotted' && (
    <g>
      {[
        [-0.1, 0.3],
        [0.12, 0.42],
        [-0.06, 0.58],
        [0.08, 0.22],
      ].map(
        ([x = 0, t = 0]) =>
        // prettier-ignore
        <circle key={`${x}${t}`} cx={x * length} cy={-t * length} r={length * 0.045} fill="var(--sheet)" stroke="currentColor" strokeWidth={0.5} />, // prettier-ignore
      )}
    </g>
  )
  switch (c['leaf-division']) {
    case 'finely-cut':
      return <FinelyCut c={c} length={length} />
    case 'pinnate':
    case 'interruptedly-pinnate':
      return <Pinnate c={c} length={length} />
    case 'trifoliate':
    case 'palmate': {
      const turns = c['leaf-division'] === 'trifoliate' ? [-62, 62, 0] : [-100, 100, -52, 52, 0]
      const shape = c['leaf-margin'] === 'entire' ? 'ellipse' : 'spoon'
      return turns.map((turn) => (
        <g key={turn} transform={at(0, -length * 0.25, turn)}>
          <Leaflet c={c} length={length * (turn === 0 ? 0.72 : 0.62)} outline={shape} />
        </g>
      ))
    }
    case 'lobed': {
      const lobes = outline === 'round' ? 9 : 5
      return (
        <>
          <path d={handPath(lobes, length, margin, outline === 'round' ? 0.16 : 0.3)} {...body} />
          {Array.from({ length: lobes }, (_, i) => {
            const turn = ((i - (lobes - 1) / 2) * 300) / lobes
            return <path key={i} d={`M0 ${-length * 0.42}l${Math.sin((turn * Math.PI) / 180) * length * 0.42} ${-Math.cos((turn * Math.PI) / 180) * length * 0.42}`} {...ink} strokeWidth={0.6} opacity={0.75} /> // prettier-ignore
          })}
        </>
      )
    }
    case 'pinnately-lobed': {
      const oak = margin === 'wavy-lobes'
      return (
        <>
          <path
            d={bladePath(
              oak || outline === 'divided' ? 'broad' : outline,
              oak ? 'entire' : 'few-teeth',
              length,
              5,
              oak ? 0.34 : 0.72,
            )}
            {...body}
          />
          <path d={`M0 0V${-length * 0.92}`} {...ink} strokeWidth={1} />
        </>
      )
    }
    default:
      return (
        <>
          <path d={bladePath(outline, margin, length)} {...body} />
          {length > 16 && veins(c, outline, length)}
          {length > 30 && <Relief c={c} outline={outline} length={length} />}
          {dots}
          {spots}
        </>
      )
  }
}
