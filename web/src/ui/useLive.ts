import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'

const PAUSE_MS = 150

/**
 * A reckoning that follows what is being dragged or typed: waits for a short pause, cancels what was superseded, and
 * keeps showing the last answer meanwhile; `behind` says that the answer shown is not yet that of the body given.
 */
export function useLive<B, T>(
  key: string,
  body: B | null,
  reckon: (body: B, signal: AbortSignal) => Promise<T>,
) {
  const text = JSON.stringify(body)
  const [settled, setSettled] = useState(text)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [text])
  const query = useQuery({
    queryKey: ['live', key, settled],
    queryFn: ({ signal }) => reckon(JSON.parse(settled) as B, signal),
    enabled: settled !== 'null',
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: 10_000,
  })
  return { ...query, behind: text !== settled || query.isPlaceholderData }
}
