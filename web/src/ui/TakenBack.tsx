import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'
import { date } from './words'

/** What was noted for safety of a stand, lot, batch, course or person and taken back: the mark that stays. */
export function TakenBack({ subject }: { subject: string }) {
  const marks = useQuery({
    queryKey: ['loosened', subject],
    queryFn: () => ask(api.GET('/api/household/loosened/{subject}', { params: { path: { subject } } })),
  })
  if (!marks.data || marks.data.length === 0) return null
  return (
    <details className="border-note bg-sheet border-l-8 px-3 py-1" open={marks.data.length < 4}>
      <summary className="min-h-6 cursor-pointer font-semibold">
        {marks.data.length === 1 ? 'One thing was taken back' : `${marks.data.length} things were taken back`}
      </summary>
      <ul>
        {marks.data.map((m) => (
          <li key={m.id} className="py-1">
            <s>{m.was}</s>
            <span className="block text-sm">
              {date(m.at.slice(0, 10))}, {m.by}
              {m.second ? ` and ${m.second}` : ''}: {m.reason}
            </span>
          </li>
        ))}
      </ul>
    </details>
  )
}
