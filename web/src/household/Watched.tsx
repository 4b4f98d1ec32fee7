import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'
import { FindingRow } from '../ui/Findings'
import { only } from '../ui/may'

const TEN_MINUTES_MS = 600_000

const useWatch = () =>
  useQuery({
    queryKey: ['watch'],
    queryFn: () => ask(api.GET('/api/household/watch')),
    staleTime: TEN_MINUTES_MS,
  })

/** What hurts the machine soon, said to whoever looks after it; nothing while all is well. */
export const Watched = only('keep', function Watched() {
  const watch = useWatch()
  if (!watch.data || watch.data.findings.length === 0) return null
  return (
    <ul className="mb-4 space-y-2" aria-label="The machine">
      {watch.data.findings.map((f) => (
        <FindingRow key={f.code} finding={f} />
      ))}
    </ul>
  )
})

/** In one sentence. */
export function HowItDoes() {
  const watch = useWatch()
  return watch.data ? <p className="mb-2 font-medium">{watch.data.words}</p> : null
}
