import { Underside } from './Close'
import { Flower } from './Flower'
import { Fruit } from './Fruit'
import { Bracket, Lichen } from './Other'
import { Shoot } from './Shoot'
import type { Characters } from './states'

const ink = { stroke: 'currentColor', strokeLinejoin: 'round', strokeLinecap: 'round' } as const

/** A stem cut across, within 14 around (0,0). */
export function StemSection({ kind }: { kind: string | undefined }) {
  const body = { ...ink, strokeWidth: 1.4, fill: 'var(--lichen-pale)' }
  const hollow = <circle r={6} fill="var(--sheet)" {...ink} />
  const star = (n: number, out: number, inner: number) =>
    `M${Array.from({ length: n * 2 }, (_, i) => {
      const r = i % 2 ? inner : out
      const t = (Math.PI * i) / n
      return `${(Math.sin(t) * r).toFixed(1)} ${(-Math.cos(t) * r).toFixed(1)}`
    }).join('L')}Z`
  switch (kind) {
    case 'round-hollow':
      return <><circle r={12} {...body} />{hollow}</> // prettier-ignore
    case 'ridged-hollow':
      return <><path d={star(9, 13, 10.5)} {...body} />{hollow}</> // prettier-ignore
    case 'angled':
      return <path d={star(5, 13, 10)} {...body} />
    case 'two-lines':
      return <><circle r={11} {...body} /><path d="M-11 0h-4M11 0h4" {...ink} strokeWidth={2.4} /></> // prettier-ignore
    case 'winged':
      return <><circle r={9} {...body} /><path d="M-8 -3L-17 -9L-8 3M8 -3L17 9L8 3" {...body} /></> // prettier-ignore
    case 'square':
      return <rect x={-11} y={-11} width={22} height={22} {...body} />
    case 'flattened':
      return <ellipse rx={14} ry={6} {...body} />
    case 'wood':
      return <><circle r={12} {...body} fill="#cdb98f" /><circle r={8} fill="none" {...ink} strokeWidth={0.7} /><circle r={4} fill="none" {...ink} strokeWidth={0.7} /></> // prettier-ignore
    default:
      return <circle r={12} {...body} />
  }
}

/**
 * A plant drawn from its characters, every one in the same frame, so that two can be laid side by side: the shoot on its
 * ground with the root beneath; beside it the flower or fruit, the underside of a leaf and the stem cut across.
 */
export function PlantDrawing({
  characters: c,
  stage,
  label,
}: {
  characters: Characters
  stage: string
  label: string
}) {
  const other = c['thallus-form'] ? <Lichen c={c} /> : c['bracket-form'] ? <Bracket c={c} /> : null
  const vignettes: { name: string; drawing: React.ReactNode }[] = []
  if (!other) {
    // A spathe hides its flowers.
    if (stage === 'FLOWERING' && c['petals'] && c['inflorescence'] !== 'hood')
      vignettes.push({ name: 'flower', drawing: <Flower c={c} /> })
    if (stage === 'FRUITING' && c['fruit']) vignettes.push({ name: 'fruit', drawing: <Fruit c={c} /> })
    if (c['leaf-underside'] && c['leaves-now'] !== 'absent')
      vignettes.push({
        name: 'underside',
        drawing: <Underside kind={c['leaf-underside']} hairs={c['leaf-hairs']} />,
      })
    if (c['stem-section'])
      vignettes.push({ name: 'stem, cut', drawing: <StemSection kind={c['stem-section']} /> })
  }
  return (
    <svg viewBox="0 0 240 244" role="img" aria-label={label} className="text-ink w-full">
      <g transform={other ? 'translate(110 14)' : 'translate(84 4)'}>
        {other ?? <Shoot c={c} stage={stage} />}
      </g>
      {vignettes.map((v, i) => (
        <g key={v.name} transform={`translate(204 ${44 + i * 72})`}>
          {v.drawing}
          <text y={36} textAnchor="middle" fontSize={11} fill="var(--soft)">
            {v.name}
          </text>
        </g>
      ))}
    </svg>
  )
}
