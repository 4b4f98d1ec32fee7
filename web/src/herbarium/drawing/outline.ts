/** Shapes of blades as points around (0,0), the foot, to (0,-length), the tip. */

export type Point = [number, number]

/** Right half from foot to tip: x in half widths, y in lengths. */
const HALVES: Record<string, { half: Point[]; width: number }> = {
  heart: { half: [[0, 0], [0.4, 0.1], [0.86, 0.02], [1, -0.2], [0.82, -0.52], [0.36, -0.84], [0, -1]], width: 0.44 }, // prettier-ignore
  round: { half: [[0, 0], [0.5, 0.08], [0.95, -0.14], [1, -0.5], [0.76, -0.84], [0.32, -0.98], [0, -1]], width: 0.52 }, // prettier-ignore
  broad: { half: [[0, 0], [0.55, -0.08], [0.95, -0.28], [1, -0.5], [0.8, -0.75], [0.4, -0.93], [0, -1]], width: 0.32 }, // prettier-ignore
  lance: {
    half: [
      [0, 0],
      [0.55, -0.1],
      [1, -0.32],
      [0.86, -0.56],
      [0.42, -0.82],
      [0, -1],
    ],
    width: 0.21,
  },
  ellipse: {
    half: [
      [0, 0],
      [0.5, -0.15],
      [1, -0.5],
      [0.5, -0.85],
      [0, -1],
    ],
    width: 0.2,
  },
  spoon: {
    half: [
      [0, 0],
      [0.16, -0.3],
      [0.55, -0.55],
      [1, -0.77],
      [0.72, -0.94],
      [0, -1],
    ],
    width: 0.22,
  },
  'oval-small': {
    half: [
      [0, 0],
      [0.6, -0.12],
      [1, -0.45],
      [0.66, -0.84],
      [0, -1],
    ],
    width: 0.27,
  },
  arrow: { half: [[0, 0], [0.3, 0.02], [0.86, 0.24], [0.98, 0.16], [0.8, -0.24], [0.46, -0.64], [0, -1]], width: 0.34 }, // prettier-ignore
  sword: {
    half: [
      [0, 0],
      [0.9, -0.02],
      [1, -0.5],
      [0.75, -0.85],
      [0, -1],
    ],
    width: 0.07,
  },
  linear: {
    half: [
      [0, 0],
      [0.9, -0.05],
      [1, -0.5],
      [0.7, -0.9],
      [0, -1],
    ],
    width: 0.06,
  },
  needle: {
    half: [
      [0, 0],
      [1, -0.05],
      [1, -0.85],
      [0, -1],
    ],
    width: 0.05,
  },
}

const LANCE = {
  half: [
    [0, 0],
    [1, -0.35],
    [0, -1],
  ] as Point[],
  width: 0.2,
}

/** A smooth line through points (Catmull-Rom), sampled. */
function smooth(points: Point[], each: number): Point[] {
  const out: Point[] = []
  for (let i = 0; i < points.length - 1; i++) {
    const [p0, p1, p2, p3] = [
      points[i - 1] ?? points[i],
      points[i],
      points[i + 1],
      points[i + 2] ?? points[i + 1],
    ]
    if (!p0 || !p1 || !p2 || !p3) continue
    for (let s = 0; s < each; s++) {
      const t = s / each
      const at = (k: 0 | 1) =>
        0.5 *
        (2 * p1[k] +
          (p2[k] - p0[k]) * t +
          (2 * p0[k] - 5 * p1[k] + 4 * p2[k] - p3[k]) * t * t +
          (3 * p1[k] - p0[k] - 3 * p2[k] + p3[k]) * t * t * t)
      out.push([at(0), at(1)])
    }
  }
  const last = points[points.length - 1]
  if (last) out.push(last)
  return out
}

/** Right half of a blade, foot to tip, in drawing units. Lobes cut in by depth, 0 for none. */
export function half(outline: string, length: number, lobes = 0, depth = 0): Point[] {
  const shape = HALVES[outline] ?? LANCE
  return smooth(shape.half, 8).map(([x, y]) => {
    const wave = lobes > 0 ? 1 - depth * (0.5 + 0.5 * Math.cos(2 * Math.PI * lobes * -y)) : 1
    return [Math.max(0, x) * shape.width * length * wave, y * length]
  })
}

function spaced(points: Point[], gap: number): Point[] {
  const out: Point[] = []
  let carry = 0
  for (let i = 0; i < points.length - 1; i++) {
    const [a, b] = [points[i], points[i + 1]]
    if (!a || !b) continue
    const long = Math.hypot(b[0] - a[0], b[1] - a[1])
    for (let d = carry; d < long; d += gap) {
      out.push([a[0] + ((b[0] - a[0]) * d) / long, a[1] + ((b[1] - a[1]) * d) / long])
    }
    carry = (carry - long) % gap
    if (carry < 0) carry += gap
  }
  const last = points[points.length - 1]
  if (last) out.push(last)
  return out
}

const TEETH: Record<string, { gap: number; reach: number }> = {
  'rounded-teeth': { gap: 5, reach: 2.4 },
  'sharp-teeth': { gap: 4.4, reach: 2 },
  'double-teeth': { gap: 4.4, reach: 2.6 },
  'few-teeth': { gap: 12, reach: 1.7 },
  cut: { gap: 4, reach: 3 },
}

/** One side as path commands, teeth pointing to the tip. side 1 right, -1 left. */
function side(points: Point[], margin: string, length: number, sign: 1 | -1): string[] {
  const teeth = TEETH[margin]
  if (!teeth || length < 12) return points.map(([x, y]) => `${(x * sign).toFixed(1)} ${y.toFixed(1)}`)
  const scale = Math.min(1, length / 60)
  const even = spaced(points, teeth.gap * Math.max(0.55, scale))
  const out: string[] = []
  even.forEach((p, i) => {
    const next = even[i + 1]
    if (!next) {
      out.push(`${(p[0] * sign).toFixed(1)} ${p[1].toFixed(1)}`)
      return
    }
    const long = Math.hypot(next[0] - p[0], next[1] - p[1]) || 1
    const reach = teeth.reach * scale * (margin === 'double-teeth' && i % 2 ? 0.45 : 1)
    const [nx, ny] = [-(next[1] - p[1]) / long, (next[0] - p[0]) / long]
    const along = (t: number, up: number): Point => [p[0] + (next[0] - p[0]) * t + nx * reach * up, p[1] + (next[1] - p[1]) * t + ny * reach * up] // prettier-ignore
    // A round tooth is an arc; a sharp one leans to the tip.
    const tooth = margin === 'rounded-teeth' ? [along(0.08, 0.6), along(0.28, 0.93), along(0.5, 1), along(0.72, 0.93), along(0.92, 0.6)] : [along(0.8, 1)] // prettier-ignore
    for (const [x, y] of [p, ...tooth]) out.push(`${(x * sign).toFixed(1)} ${y.toFixed(1)}`)
  })
  return out
}

/** The whole edge of a simple blade. */
export function bladePath(outline: string, margin: string, length: number, lobes = 0, depth = 0): string {
  const right = half(outline, length, lobes, depth)
  const one = side(right, margin, length, 1)
  const other = side(right, margin, length, -1).reverse()
  return `M${[...one, ...other].join('L')}Z`
}

/** A blade lobed like a hand. */
export function handPath(lobes: number, size: number, margin: string, depth = 0.28): string {
  const points: Point[] = []
  const from = 0.12 * Math.PI
  const span = 2 * Math.PI - 2 * from
  const steps = lobes * 12
  for (let i = 0; i <= steps; i++) {
    const turn = from + (span * i) / steps
    const tooth = margin === 'entire' ? 0 : 0.035 * (i % 2)
    const r = size * 0.5 * (1 - depth * Math.abs(Math.cos((Math.PI * lobes * i) / steps)) + tooth)
    points.push([Math.sin(turn) * r, Math.cos(turn) * r - size * 0.5])
  }
  return `M0 ${(-size * 0.42).toFixed(1)}L${points.map((p) => p.map((v) => v.toFixed(1)).join(' ')).join('L')}Z`
}
