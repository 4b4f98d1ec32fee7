import { sankey, sankeyJustify, sankeyLinkHorizontal } from 'd3-sankey'
import { useNavigate } from 'react-router'
import type { Schemas } from '../api/client'
import { figure } from '../ui/words'

interface Node {
  id: string
  lines: string[]
  code: string
  kind: string
  state: string
  here: boolean
}
interface Link {
  source: string
  target: string
  value: number
  amount: string
}

const WIDTH = 1200

/** The brook with its tributaries: lots as pools, what went from one to the next as streams as wide as its mass. */
export function Streams({ trace }: { trace: Schemas['TraceView'] }) {
  const navigate = useNavigate()
  const rows = Math.max(3, trace.lots.filter((l) => l.stage === 'FILLED').length, trace.lots.length / 3)
  // Names are written where there is room for them; a great many lots are told by their codes alone.
  const named = trace.lots.length <= 30
  const height = Math.min(named ? 860 : 560, 90 + rows * (named ? 68 : 44))
  if (trace.links.length === 0) return null
  const nodes: Node[] = trace.lots.map((l) => ({
    id: l.id,
    lines: named || l.stage === 'STAND' ? wrapped(l.name) : [],
    code: l.stage === 'STAND' ? '' : l.code,
    kind: l.stage,
    state: l.state,
    here: l.id === trace.lotId,
  }))
  const links: Link[] = trace.links.map((l) => ({
    source: l.from,
    target: l.to,
    // The square root keeps a spoonful visible beside a basket; the true amount stands in the title.
    value: Math.sqrt(Math.max(l.amount, 0.1)),
    amount: `${figure(l.amount)} ${l.unit}`,
  }))
  const graph = sankey<Node, Link>()
    .nodeId((n) => n.id)
    .nodeAlign(sankeyJustify)
    .nodeWidth(16)
    .nodePadding(named ? 52 : 20)
    .extent([
      [8, 14],
      [WIDTH - 170, height - 24],
    ])({ nodes, links })
  const bad = (state: string) => state === 'QUARANTINED' || state === 'DESTROYED'
  const path = sankeyLinkHorizontal<Node, Link>()
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="bg-sheet border-line w-full border-t-2"
      role="img"
      aria-label={`Streams between ${trace.lots.length} lots; the lists below say the same in words`}
    >
      <g fill="none">
        {graph.links.map((l, i) => {
          const target = l.target as Node
          return (
            <path
              key={i}
              d={path(l) ?? ''}
              stroke={bad(target.state) ? 'var(--madder)' : 'var(--water)'}
              strokeOpacity={0.38}
              strokeWidth={Math.max(2, l.width ?? 0)}
            >
              <title>{l.amount}</title>
            </path>
          )
        })}
      </g>
      {graph.nodes.map((n) => (
        <g key={n.id} onClick={() => void navigate(`/tracing/${n.id}`)} className="cursor-pointer">
          <rect
            x={n.x0}
            y={n.y0}
            width={(n.x1 ?? 0) - (n.x0 ?? 0)}
            height={Math.max(4, (n.y1 ?? 0) - (n.y0 ?? 0))}
            fill={bad(n.state) ? 'var(--madder)' : n.here ? 'var(--amber)' : 'var(--water)'}
          />
          <text
            x={(n.x1 ?? 0) + 6}
            y={((n.y0 ?? 0) + (n.y1 ?? 0)) / 2 + 5 - (n.lines.length + (n.code ? 1 : 0) - 1) * 8}
            fontSize="15"
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth="4"
            paintOrder="stroke"
            fontWeight={n.here ? 700 : 400}
          >
            {n.lines.map((line, i) => (
              <tspan key={line} x={(n.x1 ?? 0) + 6} dy={i === 0 ? 0 : 16}>
                {line}
              </tspan>
            ))}
            <tspan x={(n.x1 ?? 0) + 6} dy={n.lines.length > 0 ? 16 : 0} fontSize="13" fill="var(--soft)">
              {n.code}
            </tspan>
            {bad(n.state) && <tspan fill="var(--madder)"> ✕</tspan>}
          </text>
        </g>
      ))}
    </svg>
  )
}

/** A name over as many lines as it takes, none longer than the room between two columns. */
function wrapped(name: string) {
  return name.split(' ').reduce<string[]>((lines, word) => {
    const last = lines.at(-1)
    return last !== undefined && last.length + word.length < 20
      ? [...lines.slice(0, -1), `${last} ${word}`]
      : [...lines, word]
  }, [])
}
