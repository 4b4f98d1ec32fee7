import { isoToday } from '../ui/clock'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import type { Finding, Schemas } from '../api/client'
import { useAcknowledged } from '../ui/Acknowledge'
import { useLive } from '../ui/useLive'

/** What every request for a batch carries beside its own fields. */
export interface Common {
  id: string
  name: string
  startedOn: string
  acknowledged: { code: string; reason: string }[]
}

interface Plan {
  feasible: boolean
  findings: Finding[]
  because: string[]
}

/**
 * A bench: reckons live while things are dragged, and starts the batch. Null as body means that something is still to be
 * chosen. Name and reasons do not change the reckoning and so do not set it off.
 */
export function useBench<B extends object, P extends Plan>({
  kind,
  called,
  body,
  check,
  start,
}: {
  kind: string
  called: string
  body: B | null
  check: (body: B & Common, signal: AbortSignal) => Promise<P>
  start: (body: B & Common) => Promise<Schemas['BatchView']>
}) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [id] = useState(() => v7())
  const [named, setNamed] = useState('')
  const reasons = useAcknowledged()
  const name = named || called
  const startedOn = isoToday()
  const live = useLive(kind, body && { ...body, id, name: kind, startedOn, acknowledged: [] }, check)
  const starting = useMutation({
    mutationFn: () => {
      if (!body) throw new Error('nothing chosen')
      return start({ ...body, id, name, startedOn, acknowledged: reasons.list })
    },
    onSuccess: async (batch) => {
      await queries.invalidateQueries()
      await navigate(`/making/batches/${batch.id}`)
    },
  })
  return {
    plan: live.data,
    panel: {
      name,
      onName: setNamed,
      findings: live.data?.findings ?? [],
      because: live.data?.because ?? [],
      reasons,
      error: starting.error ?? live.error,
      pending: starting.isPending,
      ready: Boolean(live.data?.feasible),
      onStart: () => starting.mutate(),
    },
  }
}
