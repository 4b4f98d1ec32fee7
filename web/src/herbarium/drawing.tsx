/** Schematic plants drawn from recorded characters, all in one frame of 160 x 220, so that two can be compared. */

export type Characters = Record<string, string>

const stroke = { fill: 'none', stroke: 'currentColor', strokeWidth: 2, strokeLinejoin: 'round' } as const

function edge(points: [number, number][], margin: string | undefined, scale = 1) {
  if (margin === undefined || margin === 'entire') {
    return 'M' + points.map((p) => p.join(' ')).join('L') + 'Z'
  }
  const depth = { 'rounded-teeth': 2.5, 'sharp-teeth': 3, 'double-teeth': 4, cut: 6 }[margin] ?? 2
  const reach = depth * scale
  let path = ''
  points.forEach((p, i) => {
    const next = points[(i + 1) % points.length] ?? p
    const mx = (p[0] + next[0]) / 2
    const my = (p[1] + next[1]) / 2
    const dx = next[0] - p[0]
    const dy = next[1] - p[1]
    const length = Math.hypot(dx, dy) || 1
    const bulge = `${mx + (dy / length) * reach} ${my - (dx / length) * reach}`
    const step = margin === 'rounded-teeth' ? `Q${bulge} ${next.join(' ')}` : `L${bulge}L${next.join(' ')}`
    path += (i === 0 ? `M${p.join(' ')}` : '') + step
  })
  return path + 'Z'
}

/** A blade around (0,0) to (0,-length), as points anticlockwise on screen. */
function blade(outline: string, length: number, width: number): [number, number][] {
  const points: [number, number][] = []
  const steps = 12
  const half = (t: number) => {
    switch (outline) {
      case 'heart':
        return Math.sin(Math.PI * Math.pow(t, 0.45)) * 1.05
      case 'spoon':
        return Math.sin(Math.PI * Math.pow(t, 1.7))
      default:
        return Math.sin(Math.PI * Math.pow(t, 0.8))
    }
  }
  for (let i = 0; i <= steps; i++) points.push([half(i / steps) * width, -(i / steps) * length])
  for (let i = steps - 1; i > 0; i--) points.push([-half(i / steps) * width, -(i / steps) * length])
  return points.reverse()
}

function Leaf({ c }: { c: Characters }) {
  const margin = c['leaf-margin']
  const felt = c['leaf-underside'] === 'white-felted' || c['leaf-underside'] === 'grey-woolly'
  const fill = felt ? 'var(--note-pale)' : 'var(--lichen-pale)'
  const leaflet = (
    key: string,
    x: number,
    y: number,
    angle: number,
    length: number,
    width: number,
    teeth = margin,
  ) => (
    <path
      key={key}
      d={edge(blade('lance', length, width), teeth, Math.min(1, length / 45))}
      transform={`translate(${x} ${y}) rotate(${angle})`}
      {...stroke}
      fill={fill}
      strokeWidth={1.4}
    />
  )
  const division = c['leaf-division']
  if (division === 'simple' || division === undefined) {
    const outline = c['leaf-outline'] ?? 'lance'
    const sizes: Record<string, [number, number]> = {
      heart: [70, 32],
      spoon: [74, 16],
      'oval-small': [34, 11],
    }
    const [length, width] = sizes[outline] ?? [86, 20]
    return (
      <g transform="translate(80 205)">
        <path d="M0 0V-18" {...stroke} />
        <g transform="translate(0 -16)">
          <path d={edge(blade(outline, length, width), margin)} {...stroke} fill={fill} />
          <path d={`M0 0V-${length * 0.92}`} {...stroke} strokeWidth={1} />
          {c['leaf-dots'] === 'dotted' &&
            [8, 14, 20, 26].map((y) => (
              <circle key={y} cx={y % 4 ? 3 : -3} cy={-y} r="1.2" fill="currentColor" />
            ))}
        </g>
      </g>
    )
  }
  if (division === 'finely-cut') {
    const fronds = []
    for (let i = 0; i < 5; i++) {
      const y = 190 - i * 19
      for (const side of [-1, 1]) {
        const reach = 44 - i * 7
        fronds.push(
          <path
            key={`r${i}${side}`}
            d={`M80 ${y}l${side * reach} -${reach * 0.45}`}
            {...stroke}
            strokeWidth={1.2}
          />,
        )
        for (let j = 1; j <= 4; j++) {
          const x = 80 + (side * reach * j) / 4.6
          const yy = y - (reach * 0.45 * j) / 4.6
          fronds.push(leaflet(`l${i}${side}${j}a`, x, yy, side * 15, 11 - i, 2.6))
          fronds.push(leaflet(`l${i}${side}${j}b`, x, yy, side * 125, 8 - i * 0.7, 2.2))
        }
      }
    }
    return (
      <g>
        <path d="M80 212V90" {...stroke} />
        {fronds}
        {leaflet('top', 80, 100, 0, 14, 3)}
      </g>
    )
  }
  const big = c['end-leaflet'] === 'large-lobed'
  const pairs = big ? [0, 1, 2] : [0, 1, 2, 3, 4, 5, 6]
  const gap = big ? 34 : 14.5
  return (
    <g>
      <path d="M80 212V110" {...stroke} />
      {pairs.flatMap((i) => {
        const y = 204 - i * gap
        const length = big ? 36 : 20
        return [
          leaflet(`a${i}`, 80, y, -62, length, big ? 8 : 4),
          leaflet(`b${i}`, 80, y, 62, length, big ? 8 : 4),
          ...(division === 'interruptedly-pinnate'
            ? [
                leaflet(`c${i}`, 80, y - gap * 0.55, -72, big ? 9 : 6, 2, 'entire'),
                leaflet(`d${i}`, 80, y - gap * 0.55, 72, big ? 9 : 6, 2, 'entire'),
              ]
            : []),
        ]
      })}
      {big ? (
        <>
          {leaflet('t2', 80, 122, -42, 34, 10)}
          {leaflet('t3', 80, 122, 42, 34, 10)}
          {leaflet('t1', 80, 122, 0, 42, 12)}
        </>
      ) : (
        leaflet('t', 80, 108, 0, 17, 5)
      )}
    </g>
  )
}

const COLOURS: Record<string, string> = {
  cream: '#e8dfae',
  white: '#f7f9f9',
  yellow: '#e8c531',
  orange: '#e3861f',
  purple: '#9a5f9e',
  green: '#9bb35a',
}

function Cluster({ c }: { c: Characters }) {
  const fill = COLOURS[c['flower-colour'] ?? ''] ?? 'var(--sheet)'
  const dot = (x: number, y: number, r: number) => (
    <circle key={`${x} ${y}`} cx={x} cy={y} r={r} fill={fill} stroke="currentColor" strokeWidth="1.2" />
  )
  switch (c['inflorescence']) {
    case 'frothy':
      return (
        <g>
          <path d="M80 95V60M80 88L48 34M80 88L112 34M80 74L64 26M80 74L96 26" {...stroke} />
          {[34, 26, 22, 24, 30].flatMap((top, column) =>
            [0, 1, 2, 3].map((row) => dot(44 + column * 18 + (row % 2) * 8, top + row * 9 - 8, 4.6)),
          )}
        </g>
      )
    case 'umbel':
      return (
        <g>
          {[-48, -30, -10, 10, 30, 48].map((x) => (
            <g key={x}>
              <path d={`M80 92L${80 + x} ${36 + Math.abs(x) * 0.25}`} {...stroke} strokeWidth={1.4} />
              {[-8, -3, 3, 8].map((d) => dot(80 + x + d, 30 + Math.abs(x) * 0.25, 3))}
            </g>
          ))}
          {c['bracts'] === 'several-down' && <path d="M80 92l-12 8M80 92l12 8M80 92l-5 11" {...stroke} />}
        </g>
      )
    case 'one-sided':
      return (
        <g>
          <path d="M80 100V8" {...stroke} />
          {[18, 32, 46, 60, 74].map((y, i) => (
            <g key={y}>
              <path
                d={`M80 ${y}q14 -4 ${20 + i * 2} ${8 + i}l${-3} 10q-12 -2 -17 -12Z`}
                fill={fill}
                stroke="currentColor"
                strokeWidth="1.4"
              />
              {c['petal-marks'] === 'throat-spots' && (
                <circle cx={94} cy={y + 8} r="1.3" fill="currentColor" />
              )}
            </g>
          ))}
        </g>
      )
    case 'coiled':
      return (
        <g>
          <path d="M80 100V56q0 -26 26 -26q18 0 18 16q0 12 -12 12q-8 0 -8 -7" {...stroke} />
          {[
            [86, 44],
            [98, 34],
            [112, 34],
          ].map(([x = 0, y = 0]) => (
            <path
              key={x}
              d={`M${x} ${y}v14q5 5 10 0v-14Z`}
              fill={fill}
              stroke="currentColor"
              strokeWidth="1.4"
            />
          ))}
        </g>
      )
    case 'head':
      return (
        <g>
          <path d="M80 100V66" {...stroke} />
          {Array.from({ length: 16 }, (_, i) => (
            <path
              key={i}
              d="M0 -14q5 -12 0 -24q-5 12 0 24Z"
              transform={`translate(80 46) rotate(${i * 22.5})`}
              fill={fill}
              stroke="currentColor"
              strokeWidth="1.1"
            />
          ))}
          <circle cx="80" cy="46" r="13" fill={fill} stroke="currentColor" strokeWidth="1.6" />
        </g>
      )
    case 'tassel':
      return (
        <g>
          <path d="M80 100V30" {...stroke} />
          {[34, 52, 70].flatMap((y) =>
            [-1, 1].flatMap((s) => [0, 1, 2, 3, 4].map((i) => dot(80 + s * (8 + i * 5), y + i * 5, 2.4))),
          )}
        </g>
      )
    case 'winged-bract':
      return (
        <g>
          <path d="M80 100V20M80 36q30 -8 34 28q-22 -2 -34 -28Z" {...stroke} fill="var(--lichen-pale)" />
          <path d="M98 50v18M98 68l-10 14M98 68v16M98 68l10 14" {...stroke} strokeWidth={1.3} />
          {[88, 98, 108].map((x) => dot(x, 86, 4))}
        </g>
      )
    case 'branched-cyme':
      return (
        <g>
          <path d="M80 100V50M80 74L52 40M80 74L108 40" {...stroke} />
          {[52, 80, 108].map((x) => (
            <g key={x} transform={`translate(${x} ${x === 80 ? 40 : 32})`}>
              {[0, 72, 144, 216, 288].map((a) => (
                <ellipse
                  key={a}
                  cy="-7"
                  rx="4"
                  ry="7"
                  transform={`rotate(${a})`}
                  fill={fill}
                  stroke="currentColor"
                  strokeWidth="1.1"
                />
              ))}
            </g>
          ))}
        </g>
      )
    default:
      return null
  }
}

export function PlantDrawing({ characters, label }: { characters: Characters; label: string }) {
  return (
    <svg viewBox="0 0 160 220" role="img" aria-label={label} className="text-ink h-full max-h-64 w-full">
      <rect x="1" y="1" width="158" height="218" fill="none" stroke="var(--line)" />
      <Cluster c={characters} />
      <Leaf c={characters} />
    </svg>
  )
}

/** The state a card shows most often, character by character. */
export function usualStates(
  shown: { character: string; states: { state: string; frequency: string }[]; stages: string[] }[],
  stage?: string,
): Characters {
  const weight: Record<string, number> = { ALWAYS: 3, USUAL: 2, RARE: 1 }
  const result: Characters = {}
  for (const s of shown) {
    if (stage && !s.stages.includes(stage)) continue
    const best = [...s.states].sort((a, b) => (weight[b.frequency] ?? 0) - (weight[a.frequency] ?? 0))[0]
    if (best) result[s.character] = best.state
  }
  return result
}
