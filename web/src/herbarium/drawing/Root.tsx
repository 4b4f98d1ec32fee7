import { GROUND, place } from './states'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round', fill: 'none' } as const

/** What is below the ground, hanging from (0, GROUND). */
export function Root({ kind }: { kind: string | undefined }) {
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
          ))}
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
    case 'pale-fleshy':
      return <path d={`M-10 ${y}C-12 ${y + 14} -10 ${y + 26} -4 ${y + 38}L-1 ${y + 22}L4 ${y + 44}C10 ${y + 30} 12 ${y + 14} 10 ${y}Z`} {...line} /> // prettier-ignore
    case 'white-tap':
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
