import { useId } from 'react'
import type { Schemas } from '../api/client'
import { figure } from '../ui/words'

type Vessel = Schemas['Vessel']
type Stuff = Vessel['contents'][number]['stuff']

const TINT: Record<Stuff, string> = {
  HERB: 'var(--lichen)',
  POWDER: 'var(--lichen)',
  SPIRIT: 'var(--amber)',
  OIL: 'var(--amber)',
  WATER: 'var(--water)',
  VINEGAR: 'var(--madder)',
  HONEY: 'var(--amber)',
  SUGAR: 'var(--soft)',
  GLYCERINE: 'var(--water)',
  WAX: 'var(--amber)',
  CREAM: 'var(--lichen-pale)',
  SALT: 'var(--soft)',
}
const STRENGTH: Partial<Record<Stuff, number>> = {
  HONEY: 0.7,
  WAX: 0.75,
  CREAM: 0.9,
  SUGAR: 0.35,
  VINEGAR: 0.3,
}
const solid = (s: Stuff) => s === 'HERB' || s === 'POWDER' || s === 'SALT'

interface Layer {
  stuff: Stuff
  name: string
  from: number
  to: number
  /** How far it reaches as it lies. */
  reach: number
}

/** From the bottom up, in mL. */
function layers(vessel: Vessel): Layer[] {
  let at = 0
  return vessel.contents.map((c) => {
    const from = at
    at += c.ml
    return { stuff: c.stuff, name: c.name, from, to: at, reach: from + c.looseMl }
  })
}

const told = (v: Vessel) =>
  `${v.count > 1 ? `${v.count} × ` : ''}${SHAPE[v.shape].word} of ${figure(v.capacityMl)} mL: ${v.contents
    .map((c) => `${c.name} ${figure(c.ml)} mL`)
    .join(', ')}${v.fits ? '' : '; it does not fit'}`

/** The outline that each vessel is drawn in, and the space inside of it that fills. */
interface Shape {
  word: string
  box: string
  outline: string
  /** left, top, right, bottom of what can be filled to the brim */
  inside: [number, number, number, number]
  lid?: string
  marks: boolean
}

const SHAPE: Record<Vessel['shape'], Shape> = {
  JAR: {
    word: 'jar',
    box: '0 0 300 372',
    outline: 'M70 46q0 -8 8 -8h112q8 0 8 8v294q0 14 -14 14H84q-14 0 -14 -14Z',
    lid: 'M74 18h120v16H74Z',
    inside: [70, 40, 198, 352],
    marks: true,
  },
  POT: {
    word: 'pot',
    box: '0 0 360 300',
    outline:
      'M60 70V244q0 26 26 26H234q26 0 26 -26V70ZM60 104H36q-14 0 -14 14q0 14 14 14H60M260 104H284q14 0 14 14q0 14 -14 14H260',
    inside: [60, 70, 260, 268],
    marks: true,
  },
  CUP: {
    word: 'cup',
    box: '0 0 320 280',
    outline: 'M70 60L88 226q2 18 20 18H192q18 0 20 -18L230 60ZM224 96q46 -6 46 34q0 44 -54 44',
    inside: [70, 60, 230, 242],
    marks: true,
  },
  BOWL: {
    word: 'bowl',
    box: '0 0 340 250',
    outline: 'M30 70Q40 220 140 220H200Q300 220 310 70Z',
    inside: [30, 70, 310, 218],
    marks: false,
  },
  TUB: {
    word: 'tub',
    box: '0 0 420 250',
    outline: 'M20 70H400V84H386Q384 212 320 212H100Q36 212 34 84H20ZM90 212v18M330 212v18',
    inside: [34, 84, 386, 210],
    marks: true,
  },
  CONE: {
    word: 'percolator',
    box: '0 0 300 380',
    outline: 'M60 30H240L168 280V300H132V280ZM132 300V322M168 300V322M96 340H204V372H96Z',
    inside: [60, 30, 240, 296],
    marks: false,
  },
  CLOTH: {
    word: 'cloth',
    box: '0 0 340 220',
    outline: 'M30 60Q100 40 170 60T310 60V170Q240 190 170 170T30 170Z',
    inside: [30, 60, 310, 170],
    marks: false,
  },
  TRAY: {
    word: 'tray',
    box: '0 0 380 220',
    outline: 'M20 60H360V170H20ZM88 60V170M156 60V170M224 60V170M292 60V170M20 115H360',
    inside: [20, 60, 360, 170],
    marks: false,
  },
  BOTTLES: {
    word: 'bottle',
    box: '0 0 120 240',
    outline:
      'M46 20h28v40q0 12 14 22q10 8 10 22v106q0 12 -12 12H34q-12 0 -12 -12V104q0 -14 10 -22q14 -10 14 -22Z',
    lid: 'M42 6h36v14H42Z',
    inside: [22, 60, 98, 220],
    marks: false,
  },
  TINS: {
    word: 'tin',
    box: '0 0 120 96',
    outline: 'M16 30v34a44 12 0 0 0 88 0v-34',
    inside: [16, 30, 104, 74],
    marks: false,
  },
}

/** What it is made in, to scale: what is in it from the bottom up, as full as it will be. */
export function VesselDrawing({ vessel }: { vessel: Vessel }) {
  const shape = SHAPE[vessel.shape]
  const label = told(vessel)
  if (vessel.count === 1) {
    return (
      <svg
        viewBox={shape.box}
        role="img"
        aria-label={label}
        className={`mx-auto w-full ${vessel.shape === 'TINS' ? 'max-h-36' : vessel.shape === 'BOTTLES' ? 'max-h-56' : 'max-h-[22rem]'}`}
        data-vessel={vessel.shape}
      >
        <One vessel={vessel} />
      </svg>
    )
  }
  const [, , w = 120, h = 120] = shape.box.split(' ').map(Number)
  const shown = Math.min(vessel.count, 15)
  const columns = Math.min(shown, 5)
  return (
    <div className="text-center">
      <svg
        viewBox={`0 0 ${columns * w} ${Math.ceil(shown / columns) * h}`}
        role="img"
        aria-label={label}
        className="mx-auto max-h-[20rem] w-full"
        data-vessel={vessel.shape}
      >
        {Array.from({ length: shown }, (_, i) => (
          <g key={i} transform={`translate(${(i % columns) * w} ${Math.floor(i / columns) * h})`}>
            <One vessel={vessel} />
          </g>
        ))}
      </svg>
      <p className="text-lg font-semibold">
        {vessel.count} × {figure(vessel.capacityMl)} mL
      </p>
    </div>
  )
}

function One({ vessel }: { vessel: Vessel }) {
  const clip = useId()
  const shape = SHAPE[vessel.shape]
  const [left, top, right, bottom] = shape.inside
  const y = (ml: number) =>
    bottom - ((bottom - top) * Math.min(ml, vessel.capacityMl * 1.02)) / vessel.capacityMl
  const all = layers(vessel)
  const full = all[all.length - 1]?.to ?? 0
  const liquid = [...all].reverse().find((l) => !solid(l.stuff))
  const step = niceStep(vessel.capacityMl)
  const marks = shape.marks
    ? Array.from({ length: Math.floor(vessel.capacityMl / step) }, (_, i) => (i + 1) * step)
    : []
  if (vessel.shape === 'TINS') return <Tin layers={all} capacityMl={vessel.capacityMl} />
  return (
    <>
      <defs>
        <clipPath id={clip}>
          <path d={shape.outline.split('ZM')[0] + 'Z'} />
        </clipPath>
        <pattern id={`${clip}h`} width="14" height="14" patternUnits="userSpaceOnUse">
          <path d="M1 12q4 -8 6 -1M8 5q3 -5 5 0" fill="none" stroke="var(--lichen)" strokeWidth="2.2" />
        </pattern>
        <pattern id={`${clip}p`} width="8" height="8" patternUnits="userSpaceOnUse">
          <path d="M2 2h1M6 6h1" stroke="var(--lichen)" strokeWidth="2" />
        </pattern>
      </defs>
      <g clipPath={`url(#${clip})`}>
        <rect x={0} y={0} width="100%" height="100%" fill="var(--sheet)" />
        {liquid && (
          <rect
            x={left - 10}
            width={right - left + 20}
            y={y(liquid.to)}
            height={bottom - y(liquid.to) + 16}
            fill={TINT[liquid.stuff]}
            opacity={STRENGTH[liquid.stuff] ?? 0.38}
          />
        )}
        {all
          .filter((l) => l !== liquid)
          .map((l) => (
            <rect
              key={`${l.name} ${l.from}`}
              x={left - 10}
              width={right - left + 20}
              y={y(l.reach)}
              height={Math.max(1, y(l.from) - y(l.reach)) + (l.from === 0 ? 16 : 0)}
              fill={
                l.stuff === 'HERB'
                  ? `url(#${clip}h)`
                  : l.stuff === 'POWDER'
                    ? `url(#${clip}p)`
                    : TINT[l.stuff]
              }
              opacity={solid(l.stuff) ? 1 : (STRENGTH[l.stuff] ?? 0.38)}
            />
          ))}
        {all.slice(1).map((l, i) => (
          <path
            key={`${l.name} ${i}`}
            d={`M${left - 10} ${y(l.from)}H${right + 10}`}
            stroke="var(--ink)"
            strokeWidth="1"
            opacity="0.5"
          />
        ))}
        <path d={`M${left - 10} ${y(full)}H${right + 10}`} stroke="var(--ink)" strokeWidth="1.5" />
      </g>
      <path d={shape.outline} fill="none" stroke="var(--ink)" strokeWidth="3" />
      {shape.lid && <path d={shape.lid} fill="var(--line)" stroke="var(--ink)" strokeWidth="3" />}
      {vessel.shape === 'JAR' && (
        <path
          d={`M${left - 4} ${y(0.95 * vessel.capacityMl)}H${right - 16}`}
          stroke={vessel.fits ? 'var(--soft)' : 'var(--madder)'}
          strokeWidth="2"
          strokeDasharray="5 4"
        />
      )}
      {marks.map((m) => (
        <g key={m}>
          <path d={`M${right - 14} ${y(m)}h10`} stroke="var(--ink)" strokeWidth="2" />
          <text
            x={right + (vessel.shape === 'POT' || vessel.shape === 'CUP' ? 42 : 8)}
            y={y(m) + 5}
            fontSize="14"
            fill="var(--ink)"
          >
            {figure(m)} mL
          </text>
        </g>
      ))}
    </>
  )
}

/** A tin from above and the side: the wax in its share of the surface. */
function Tin({ layers: all, capacityMl }: { layers: Layer[]; capacityMl: number }) {
  const wax = all.find((l) => l.stuff === 'WAX')
  const share = wax ? (wax.to - wax.from) / capacityMl : 0
  return (
    <>
      <path d="M16 30v34a44 12 0 0 0 88 0v-34" fill="var(--line)" stroke="var(--ink)" strokeWidth="2" />
      <ellipse cx="60" cy="30" rx="44" ry="12" fill="var(--amber-pale)" stroke="var(--ink)" strokeWidth="2" />
      <ellipse
        cx="60"
        cy="30"
        rx={44 * Math.sqrt(share)}
        ry={12 * Math.sqrt(share)}
        fill="var(--amber)"
        opacity="0.7"
      />
    </>
  )
}

function niceStep(ml: number) {
  const raw = ml / 5
  const power = 10 ** Math.floor(Math.log10(raw))
  return ([1, 2, 2.5, 5, 10].find((n) => n * power >= raw) ?? 10) * power
}
