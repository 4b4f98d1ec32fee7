import { api, ask, type Schemas } from '../api/client'
import { command } from '../api/outbox'
import { alsoPack } from '../field/pack'
import { fetchRack } from './queries'

/** The racks go along, for a weight read off in the barn. */
alsoPack(fetchRack)

/** A weight read off a scale where the line does not reach. */
export const weighing = command(
  'drying.weighing',
  ({ runId, body }: { runId: string; body: Schemas['WeighingRequest'] }, headers) =>
    ask(api.POST('/api/drying/runs/{id}/weighings', { params: { path: { id: runId } }, body, headers })),
  {
    fields: [
      { at: ['body', 'massG'], label: 'Weight', kind: 'number', unit: 'g' },
      { at: ['body', 'at'], label: 'When', kind: 'moment' },
    ],
    reasons: ['body', 'acknowledged'],
  },
)
