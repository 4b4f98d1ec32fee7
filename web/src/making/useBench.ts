import { useNavigate } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import type { paths } from '../api/schema'
import { useAcknowledged } from '../ui/Acknowledge'
import { isoToday } from '../ui/clock'
import { inBreath } from '../ui/Findings'
import { useLive } from '../ui/useLive'
import { range } from '../ui/words'
import { useHere, useKeptId, useTyped } from '../ui/kept'
import { useSaved } from '../ui/useSaved'

/** Any of the kinds; the server tells them apart by `kind`. */
export type BatchRequest = paths['/api/making/batches']['post']['requestBody']['content']['application/json']

/** What the shell adds to every request. */
type Common = 'id' | 'name' | 'startedOn' | 'acknowledged'
export type BatchBody = BatchRequest extends infer R ? (R extends unknown ? Omit<R, Common> : never) : never

/** What a plan comes to, for whoever listens instead of looking. */
function inWords(view: Schemas['PlanView']): string {
  const against = inBreath(view.findings)
  if (!view.plan) return `It cannot be made like this. ${against}`
  const facts = view.plan.facts.slice(0, 3).map((f) => `${f.label} ${range(f.value)} ${f.unit}`)
  const strength = view.plan.finalPercent ? [`final strength ${range(view.plan.finalPercent)} % vol`] : []
  return `${[...facts, ...strength].join(', ')}. ${against}`
}

/**
 * A bench: reckons live while things are dragged, and starts the batch. Name and reasons do not change the reckoning and so
 * do not set it off.
 */
export function useBench(called: string, body: BatchBody) {
  const navigate = useNavigate()
  const here = useHere()
  const id = useKeptId(here)
  const [named, setNamed] = useTyped('named', '')
  const [vessel, setVessel] = useTyped('vessel', '')
  const reasons = useAcknowledged()
  const name = named || called
  const startedOn = isoToday()
  const whole = (as: string, acknowledged: { code: string; reason: string }[]) =>
    ({ ...body, id, name: as, startedOn, acknowledged }) as BatchRequest
  const live = useLive(body.kind, whole(body.kind, []), (b, signal) =>
    ask(api.POST('/api/making/batches/check', { body: b, signal })),
  )
  const fits = live.data?.fits ?? []
  const starting = useSaved(
    'shelf',
    here,
    () =>
      ask(
        api.POST('/api/making/batches', {
          params: { query: { vessel: fits.some((v) => v.id === vessel) ? vessel : undefined } },
          body: whole(name, reasons.list),
        }),
      ),
    (batch) => navigate(`/making/batches/${batch.id}`),
  )
  return {
    view: live.data,
    behind: live.behind,
    here,
    plan: live.data?.plan,
    panel: {
      says: live.data && !live.behind ? inWords(live.data) : '',
      name,
      onName: setNamed,
      findings: live.data?.findings ?? [],
      because: live.data?.because ?? [],
      reasons,
      fits,
      vessel,
      onVessel: setVessel,
      error: starting.error ?? live.error,
      pending: starting.isPending,
      ready: Boolean(live.data?.feasible) && live.data?.missing.length === 0,
      onStart: () => starting.mutate(),
    },
  }
}
