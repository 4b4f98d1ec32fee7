/** Longitude and latitude, degrees. */
export type Point = [number, number]

export interface Bounds {
  west: number
  east: number
  south: number
  north: number
}

interface OnMap {
  latitude?: number | null
  longitude?: number | null
}

/** Around everything that has a place, with a margin; undefined where nothing has. */
export function boundsOf(shapes: { points: number[][] }[], stands: OnMap[]): Bounds | undefined {
  const points: Point[] = [
    ...shapes.flatMap((s) => s.points as Point[]),
    ...stands.flatMap((s): Point[] =>
      s.latitude == null || s.longitude == null ? [] : [[s.longitude, s.latitude]],
    ),
  ]
  if (points.length === 0) return undefined
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  const wide = Math.max(Math.max(...xs) - Math.min(...xs), 0.004) * 0.06
  const high = Math.max(Math.max(...ys) - Math.min(...ys), 0.002) * 0.06
  return {
    west: Math.min(...xs) - wide,
    east: Math.max(...xs) + wide,
    south: Math.min(...ys) - high,
    north: Math.max(...ys) + high,
  }
}

const squeezeOf = (b: Bounds) => Math.cos((((b.south + b.north) / 2) * Math.PI) / 180)

/** Height by width of what is shown. */
export const tall = (b: Bounds) => (b.north - b.south) / ((b.east - b.west) * squeezeOf(b))

/** On a sheet, true in its middle: a degree of longitude is as long as the cosine of the latitude. Only for drawing. */
export function onPaper(b: Bounds, width: number, height: number) {
  const squeeze = squeezeOf(b)
  const scale = Math.min(width / ((b.east - b.west) * squeeze), height / (b.north - b.south))
  const left = (width - (b.east - b.west) * squeeze * scale) / 2
  const top = (height - (b.north - b.south) * scale) / 2
  return {
    to: ([x, y]: Point): [number, number] => [
      left + (x - b.west) * squeeze * scale,
      top + (b.north - y) * scale,
    ],
    from: ([x, y]: [number, number]): Point => [
      Number((b.west + (x - left) / (squeeze * scale)).toFixed(6)),
      Number((b.north - (y - top) / scale).toFixed(6)),
    ],
  }
}

const TURNS = 60

/**
 * Marks that would lie on each other, moved apart until each can be touched by itself; the order does not change and nothing
 * leaves the sheet. For drawing only: where a mark was moved, a line leads to its place.
 */
export function apart(points: [number, number][], least: number, width: number, height: number) {
  const moved = points.map(([x, y]): [number, number] => [x, y])
  for (let turn = 0; turn < TURNS; turn++) {
    let still = true
    for (let i = 0; i < moved.length; i++) {
      for (let j = i + 1; j < moved.length; j++) {
        const a = moved[i]
        const b = moved[j]
        if (!a || !b) continue
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
        const far = Math.hypot(dx, dy)
        if (far >= least) continue
        still = false
        // On the very same spot any direction will do, as long as it is the same each time.
        const angle = far > 0.01 ? Math.atan2(dy, dx) : i + j
        const push = (least - far) / 2 + 0.5
        a[0] -= Math.cos(angle) * push
        a[1] -= Math.sin(angle) * push
        b[0] += Math.cos(angle) * push
        b[1] += Math.sin(angle) * push
      }
    }
    for (const p of moved) {
      p[0] = Math.min(width - least / 2, Math.max(least / 2, p[0]))
      p[1] = Math.min(height - least / 2, Math.max(least / 2, p[1]))
    }
    if (still) break
  }
  return moved
}
