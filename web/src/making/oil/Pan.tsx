import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../../api/client'
import { Button, NumberInput } from '../../ui/controls'
import { Findings } from '../../ui/Findings'
import { Because, Figure, ProblemNotice, Section } from '../../ui/page'
import { number } from '../../ui/read'
import { StrikeOut } from '../../ui/StrikeOut'
import { figure, moment } from '../../ui/words'
import { Only } from '../../ui/may'

type BatchView = Schemas['BatchView']

/** Oil with water in it: weighed until it is no heavier than the oil was. */
export function Pan({ batch }: { batch: BatchView }) {
  const [id, setId] = useState(() => v7())
  const [grams, setGrams] = useState('')
  const pan = useQuery({
    queryKey: ['pan', batch.id],
    queryFn: () => ask(api.GET('/api/making/batches/{id}/pan', { params: { path: { id: batch.id } } })),
  })
  const weigh = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/making/batches/{id}/pan', {
          params: { path: { id: batch.id } },
          body: { id, massG: number(grams) },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
      setGrams('')
    },
  })
  const p = pan.data
  if (!p || batch.status !== 'PRESSED') return null
  return (
    <Section title="In the pan">
      <dl className="grid grid-cols-2 gap-3">
        <Figure label="Must come back to" value={figure(p.oilG)} unit="g" note="the oil alone" />
        {p.waterLeftG != null && (
          <Figure
            label="Water left, at most"
            value={figure(p.waterLeftG)}
            unit="g"
            note={p.done ? 'none that a scale shows: fill it' : 'heat it on'}
          />
        )}
      </dl>
      <ol>
        {p.weighed.map((w) => (
          <li
            key={w.id}
            className="border-line flex flex-wrap items-center justify-between gap-3 border-b py-1"
          >
            <span>{moment(w.at)}</span>
            <strong>{figure(w.massG)} g</strong>
            <StrikeOut
              what={`the weight of ${figure(w.massG)} g`}
              onStrike={(because) =>
                ask(
                  api.POST('/api/making/batches/{id}/pan/{weighing}/strike', {
                    params: { path: { id: batch.id, weighing: w.id } },
                    body: because,
                  }),
                )
              }
            />
          </li>
        ))}
      </ol>
      <Only deed="record">
        {' '}
        <form
          className="mt-2 space-y-2"
          onSubmit={(e) => {
            e.preventDefault()
            weigh.mutate()
          }}
        >
          <NumberInput
            label="What is in the pan weighs now"
            unit="g"
            value={grams}
            onChange={setGrams}
            hint="without the pan"
          />
          <ProblemNotice error={weigh.error} />
          <Button kind={p.done ? 'quiet' : 'main'} type="submit" disabled={weigh.isPending}>
            Note this weight
          </Button>
        </form>
      </Only>
      <Findings findings={p.findings.filter((f) => f.severity !== 'NOTE')} label="Findings of the pan" />
      <Because lines={p.because} />
    </Section>
  )
}
