import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { StrikeOut } from '../ui/StrikeOut'
import { WhenOn } from '../ui/When'
import { isoToday } from '../ui/clock'
import { useCommand } from '../ui/command'
import { Button } from '../ui/controls'
import { Only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { date } from '../ui/words'

type BatchView = Schemas['BatchView']

/** The days on which it was shaken, while it steeps. */
export function Shake({ batch }: { batch: BatchView }) {
  const [id, setId] = useState(() => v7())
  const [on, setOn] = useState(isoToday)
  const last = batch.shakes.at(-1)
  const shake = useCommand('making', {
    mutationFn: () =>
      ask(
        api.POST('/api/making/batches/{id}/shakes', {
          params: { path: { id: batch.id } },
          body: { id, on },
        }),
      ),
    onSuccess: () => setId(v7()),
  })
  if (batch.status !== 'STEEPING') return null
  return (
    <Section title="Shaking">
      <ol className="mb-2 flex flex-wrap gap-1" aria-label={`Shaken on ${batch.shakes.length} days`}>
        {batch.shakes.map((s) => (
          <li key={s.id} className="bg-water size-4">
            <span className="sr-only">{date(s.on)}</span>
          </li>
        ))}
      </ol>
      {last && (
        <p className="mb-2 flex flex-wrap items-center justify-between gap-2">
          <span className="text-soft">
            Last on {date(last.on)}, {last.by}
          </span>
          <StrikeOut
            what={`the shaking of ${date(last.on)}`}
            onStrike={(because) =>
              ask(
                api.POST('/api/making/batches/{id}/shakes/{shake}/strike', {
                  params: { path: { id: batch.id, shake: last.id } },
                  body: because,
                }),
              )
            }
          />
        </p>
      )}
      <Only deed="record">
        {' '}
        <WhenOn on={on} onChange={setOn} />
        <Button
          kind={batch.shakeDue ? 'main' : 'quiet'}
          disabled={shake.isPending}
          onClick={() => shake.mutate()}
        >
          {on === isoToday() ? 'Shaken today' : `Shaken on ${date(on)}`}
        </Button>
      </Only>{' '}
      <ProblemNotice error={shake.error} />
    </Section>
  )
}
