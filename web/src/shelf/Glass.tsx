import { useId } from 'react'
import type { Schemas } from '../api/client'

type Kind = Schemas['LotView']['vessel']

/** A vessel as it stands on a board: outline by its kind, height by its size, filled as far as it is. */
export function Glass({
  kind,
  x,
  floor,
  height,
  fill,
  liquid,
  lean = 0,
  turned = false,
}: {
  kind: Kind
  /** Its middle. */
  x: number
  floor: number
  height: number
  /** 0..1 */
  fill: number
  liquid: boolean
  /** Degrees it leans back, past its date. */
  lean?: number
  /** With its back to the room: it is doubted. */
  turned?: boolean
}) {
  const clip = useId()
  const { path, width, lid, shoulder } = outline(kind, height)
  const top = floor - (height - shoulder) * Math.min(1, Math.max(0, fill))
  return (
    <g transform={`rotate(${lean} ${x - width / 2} ${floor})`}>
      <defs>
        <clipPath id={clip}>
          <path d={path} transform={`translate(${x} ${floor})`} />
        </clipPath>
      </defs>
      <path d={path} transform={`translate(${x} ${floor})`} fill="var(--sheet)" />
      {fill > 0 && (
        <g clipPath={`url(#${clip})`}>
          <rect
            x={x - width}
            y={top}
            width={width * 2}
            height={floor - top}
            fill={liquid ? 'var(--amber)' : 'var(--lichen)'}
            opacity={liquid ? 0.45 : 0.4}
          />
          <path d={`M${x - width} ${top}h${width * 2}`} stroke={liquid ? 'var(--amber)' : 'var(--lichen)'} />
        </g>
      )}
      <path
        d={path}
        transform={`translate(${x} ${floor})`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.8"
        strokeDasharray={turned ? '3 3' : undefined}
      />
      {lid && (
        <path
          d={lid}
          transform={`translate(${x} ${floor})`}
          fill="var(--line)"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
      )}
      {turned && (
        <path
          d={`M${x - width / 3} ${floor - height * 0.55}l${width / 1.5} ${height * 0.3}m0 ${-height * 0.3}l${-width / 1.5} ${height * 0.3}`}
          stroke="var(--madder)"
          strokeWidth="2"
        />
      )}
    </g>
  )
}

/** Drawn from the middle of its foot upwards. */
function outline(kind: Kind, h: number) {
  switch (kind) {
    case 'BOTTLE':
    case 'FLASK': {
      const w = h * (kind === 'FLASK' ? 0.5 : 0.4)
      const r = w / 2
      const neck = r * 0.42
      const body = h * 0.66
      return {
        width: w,
        shoulder: h * 0.34,
        path: `M${-r} 0V${-body}Q${-r} ${-h * 0.78} ${-neck} ${-h * 0.8}V${-h * 0.92}H${neck}V${-h * 0.8}Q${r} ${-h * 0.78} ${r} ${-body}V0Z`,
        lid: `M${-neck * 1.3} ${-h * 0.92}h${neck * 2.6}v${-h * 0.08}h${-neck * 2.6}Z`,
      }
    }
    case 'TIN': {
      const w = h * 1.15
      return {
        width: w,
        shoulder: h * 0.3,
        path: `M${-w / 2} 0V${-h * 0.72}H${w / 2}V0Z`,
        lid: `M${-w / 2 - 1.5} ${-h * 0.72}h${w + 3}v${-h * 0.28}h${-w - 3}Z`,
      }
    }
    case 'BAG': {
      const w = h * 0.7
      return {
        width: w,
        shoulder: h * 0.25,
        path: `M${-w / 2} 0L${-w * 0.42} ${-h * 0.85}L${-w * 0.3} ${-h}H${w * 0.3}L${w * 0.42} ${-h * 0.85}L${w / 2} 0Z`,
        lid: '',
      }
    }
    case 'BLOCK': {
      const w = h * 1.2
      return {
        width: w,
        shoulder: 0,
        path: `M${-w / 2} 0V${-h * 0.6}L${-w * 0.35} ${-h * 0.8}H${w / 2}V${-h * 0.2}L${w * 0.35} 0Z`,
        lid: '',
      }
    }
    default: {
      const w = h * 0.66
      const r = w / 2
      return {
        width: w,
        shoulder: h * 0.16,
        path: `M${-r + 3} 0Q${-r} 0 ${-r} -3V${-h * 0.84}H${r}V-3Q${r} 0 ${r - 3} 0Z`,
        lid: `M${-r - 1} ${-h * 0.84}h${w + 2}v${-h * 0.14}h${-w - 2}Z`,
      }
    }
  }
}
