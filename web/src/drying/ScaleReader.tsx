import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { useSession } from '../household/queries'
import { Button } from '../ui/controls'
import { figure } from '../ui/words'

/** The simulated kitchen scale, where there is one: swings while it settles, then gives the stable weight once. */
export function ScaleReader(props: {
  /** What lies on the simulated scale. */
  load: Omit<Schemas['PlacementRequest'], 'id'>
  onStable: (grams: number) => void
}) {
  const session = useSession()
  return session.data?.standIns ? <Reader {...props} /> : null
}

function Reader({
  load,
  onStable,
}: {
  load: Omit<Schemas['PlacementRequest'], 'id'>
  onStable: (grams: number) => void
}) {
  const [placement, setPlacement] = useState<string | null>(null)
  const given = useRef<string | null>(null)
  const reading = useQuery({
    queryKey: ['scale', placement],
    enabled: placement !== null,
    queryFn: ({ signal }) =>
      ask(
        api.POST('/api/devices/scale/placements', {
          body: { id: placement ?? '', ...load },
          signal,
        }),
      ),
    refetchInterval: (q) => (q.state.data?.state === 'STABLE' ? false : 250),
  })
  const data = reading.data
  useEffect(() => {
    if (data?.state === 'STABLE' && given.current !== data.placementId) {
      given.current = data.placementId
      onStable(data.massG)
    }
  }, [data, onStable])
  return (
    <div className="flex items-center gap-2">
      <Button onClick={() => setPlacement(v7())}>Read the scale</Button>
      {placement && (
        <output className="min-w-28 text-lg font-semibold">
          {data ? `${figure(data.massG)} g` : '…'}{' '}
          <span className={data?.state === 'STABLE' ? 'text-lichen text-sm' : 'text-amber text-sm'}>
            {data?.state === 'STABLE' ? 'stable' : 'settling'}
          </span>
        </output>
      )}
    </div>
  )
}
