import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../../api/client'
import { StrikeOut } from '../../ui/StrikeOut'
import { useCommand } from '../../ui/command'
import { Button } from '../../ui/controls'
import { Only } from '../../ui/may'
import { ProblemNotice, Section } from '../../ui/page'

type BatchView = Schemas['BatchView']
type Verdict = Schemas['SpoonView']['verdict']

const SPOONS: { verdict: Verdict; words: string }[] = [
  { verdict: 'TOO_SOFT', words: 'too soft' },
  { verdict: 'RIGHT', words: 'right' },
  { verdict: 'TOO_HARD', words: 'too hard' },
]

/** How a drop set on a cold spoon; the next salve with this wax is planned by it. */
export function ColdSpoon({ batch }: { batch: BatchView }) {
  const [id, setId] = useState(() => v7())
  const params = { path: { id: batch.id } }
  const tried = useQuery({
    queryKey: ['spoons', batch.id],
    queryFn: () => ask(api.GET('/api/making/batches/{id}/spoons', { params })),
  })
  const note = useCommand(['spoons'], {
    mutationFn: (verdict: Verdict) =>
      ask(api.POST('/api/making/batches/{id}/spoons', { params, body: { id, verdict, abovePlan: 0 } })),
    onSuccess: () => setId(v7()),
  })
  const spoons = tried.data?.spoons
  if (!spoons) return null
  return (
    <Section title="Cold spoon">
      {spoons.map((s) => (
        <p key={s.id} className="flex flex-wrap items-baseline justify-between gap-3">
          <span>
            It set {SPOONS.find((x) => x.verdict === s.verdict)?.words}. The next salve with this wax is
            planned by it.
          </span>
          <StrikeOut
            what="how it set"
            onStrike={(because) =>
              ask(
                api.POST('/api/making/batches/{id}/spoons/{spoon}/strike', {
                  params: { path: { id: batch.id, spoon: s.id } },
                  body: because,
                }),
              )
            }
          />
        </p>
      ))}
      {spoons.length === 0 && (
        <>
          <p className="text-soft">How did it set, poured as planned?</p>
          <Only deed="record">
            <div className="mt-2 flex flex-wrap gap-2">
              {SPOONS.map((s) => (
                <Button key={s.verdict} disabled={note.isPending} onClick={() => note.mutate(s.verdict)}>
                  {s.words}
                </Button>
              ))}
            </div>
          </Only>
        </>
      )}
      <ProblemNotice error={note.error} />
    </Section>
  )
}
