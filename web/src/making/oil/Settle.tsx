import { api, ask, ifMatch, type Schemas } from '../../api/client'
import { useCommand } from '../../ui/command'
import { Button } from '../../ui/controls'
import { only } from '../../ui/may'
import { ProblemNotice, Section } from '../../ui/page'

type BatchView = Schemas['BatchView']
type Water = NonNullable<BatchView['water']>

/** Water under a pressed oil: it is held until the oil is poured off. */
export const Settle = only('record', function Settle({ batch }: { batch: BatchView }) {
  const settle = useCommand('shelf', {
    mutationFn: (water: Water) =>
      ask(
        api.POST('/api/making/batches/{id}/settle', {
          params: { path: { id: batch.id }, header: ifMatch(batch.version) },
          body: { water },
        }),
      ),
  })
  if (batch.status !== 'PRESSED' || !batch.water) return null
  if (batch.water === 'PARTED') {
    return (
      <p className="text-amber font-medium">It was poured off water: two weeks, cold, for the skin only.</p>
    )
  }
  return (
    <Section title="Under the oil">
      <p className="mb-2">
        {batch.water === 'SEEN'
          ? 'Pour the oil off the water; throw the cloudy rest away.'
          : 'No water was seen. Look again before you fill it.'}
      </p>
      <ProblemNotice error={settle.error} />
      <Button
        kind={batch.water === 'SEEN' ? 'main' : 'quiet'}
        disabled={settle.isPending}
        onClick={() => settle.mutate(batch.water === 'SEEN' ? 'PARTED' : 'SEEN')}
      >
        {batch.water === 'SEEN' ? 'The oil is poured off' : 'There is water under it after all'}
      </Button>
    </Section>
  )
})
