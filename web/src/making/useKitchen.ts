import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { now } from '../ui/clock'
import { timers } from '../ui/timers'

export type KitchenView = Schemas['KitchenView']

const key = (batch: string) => ['batches', batch, 'kitchen'] as const
const timerOf = (batch: string, step: number) => `${batch} ${step}`

export const useKitchen = (batch: string) =>
  useQuery({
    queryKey: key(batch),
    queryFn: () => ask(api.GET('/api/making/batches/{id}/kitchen', { params: { path: { id: batch } } })),
  })

/** Begins the wait before the step that is next; one that runs already goes on. */
export function beginWait(k: KitchenView) {
  const step = k.steps[k.at]
  if (step?.timerMinutes == null || k.waitUntil == null) return undefined
  const timer = timerOf(k.batchId, k.at)
  timers.set({
    key: timer,
    says: `${k.name}: ${step.text}`,
    to: `/making/batches/${k.batchId}/kitchen`,
    // Counted from when the step before was done, also where this page is opened late or on another device.
    endsAt: Date.now() + Date.parse(k.waitUntil) - now().getTime(),
  })
  return timers.endOf(timer)
}

/** Ticks steps off, and strikes the last one out. */
export function useSteps(k: KitchenView) {
  const queries = useQueryClient()
  const show = (next: KitchenView) => {
    timers.clear(timerOf(k.batchId, k.at))
    beginWait(next)
    queries.setQueryData(key(k.batchId), next)
  }
  const done = useCommand([], {
    mutationFn: (really: string) =>
      ask(
        api.POST('/api/making/batches/{id}/steps', {
          params: { path: { id: k.batchId } },
          body: { id: v7(), step: k.at, ...(really.trim() ? { really } : {}) },
        }),
      ),
    onSuccess: show,
  })
  const back = useCommand([], {
    mutationFn: () =>
      ask(
        api.POST('/api/making/batches/{id}/steps/back', {
          params: { path: { id: k.batchId } },
          body: { reason: 'gone back' },
        }),
      ),
    onSuccess: show,
  })
  return { done, back }
}
