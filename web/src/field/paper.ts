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
