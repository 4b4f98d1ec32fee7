import { sankey, sankeyJustify, sankeyLinkHorizontal } from 'd3-sankey'
import { useNavigate } from 'react-router'
import type { Schemas } from '../api/client'
import { figure } from '../ui/words'

interface Node {
  id: string
  label: string
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
  const rows = Math.max(
    3,
    trace.lots.filter((l) => ['BOTTLE', 'TIN', 'FLASK'].includes(l.kind)).length,
    trace.lots.length / 3,
  )
  const height = Math.min(560, 90 + rows * 44)
  if (trace.links.length === 0) return null
  const nodes: Node[] = trace.lots.map((l) => ({
    id: l.id,
    label: l.kind === 'STAND' ? l.name : l.code,
    kind: l.kind,
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
    .nodePadding(20)
    .extent([
      [8, 14],
      [WIDTH - 130, height - 14],
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
            y={((n.y0 ?? 0) + (n.y1 ?? 0)) / 2 + 5}
            fontSize="15"
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth="4"
            paintOrder="stroke"
            fontWeight={n.here ? 700 : 400}
          >
            {n.label}
            {bad(n.state) ? ' ✕' : ''}
          </text>
        </g>
      ))}
    </svg>
  )
}
