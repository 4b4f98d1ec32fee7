import { api, ask, type Schemas } from '../api/client'
import { command } from '../api/outbox'

/** A weight read off a scale where the line does not reach. */
export const weighing = command(
  'drying.weighing',
  ({ runId, body }: { runId: string; body: Schemas['WeighingRequest'] }) =>
    ask(api.POST('/api/drying/runs/{id}/weighings', { params: { path: { id: runId } }, body })),
)
