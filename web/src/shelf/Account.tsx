import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { date, figure } from '../ui/words'
import { useAccount } from './queries'

type LotView = Schemas['LotView']
type Change = Schemas['ChangeView']

const WHAT: Record<Change['what'], string> = {
  BEFORE: 'was there',
  PUT: 'came in',
  TAKEN: 'went into a batch',
  PRESSED: 'pressed',
  FILLED: 'filled',
  DOSE: 'taken as a dose',
  DRIED: 'dried',
  FINISHED: 'used up',
  THROWN_AWAY: 'thrown away',
  COUNTED: 'counted',
}

/** What came in and went out; a line that was wrong is struck out and stays readable. */
export function Account({ lot }: { lot: LotView }) {
  const account = useAccount(lot.id)
  const [striking, setStriking] = useState('')
  return (
    <Section title="What came and went">
      <ul className="text-sm">
        {(account.data ?? []).map((c) => (
          <li key={c.id} className="border-line border-b py-1">
            <div className="flex justify-between gap-3">
              <span className={c.struckReason == null ? '' : 'text-soft line-through'}>
                {date(c.on)}: {WHAT[c.what]}
                {c.reason ? `, ${c.reason}` : ''} <span className="text-soft">({c.by})</span>
              </span>
              <span className={c.struckReason == null ? 'font-semibold' : 'text-soft line-through'}>
                {c.delta > 0 ? '+' : ''}
                {figure(c.delta)} {lot.unit}
              </span>
            </div>
            {c.struckReason != null && (
              <p className="text-soft">
                struck out by {c.struckBy}: {c.struckReason}
              </p>
            )}
            {c.mayBeStruck && striking !== c.id && (
              <button type="button" className="text-soft min-h-6 underline" onClick={() => setStriking(c.id)}>
                strike it out
              </button>
            )}
            {striking === c.id && <Strike lot={lot} change={c} onDone={() => setStriking('')} />}
          </li>
        ))}
      </ul>
    </Section>
  )
}

function Strike({ lot, change, onDone }: { lot: LotView; change: Change; onDone: () => void }) {
  const queries = useQueryClient()
  const [reason, setReason] = useState('')
  const strike = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/changes/{change}/strike', {
          params: { path: { id: lot.id, change: change.id } },
          body: { reason },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries()
      onDone()
    },
  })
  return (
    <form
      className="my-2 space-y-2"
      onSubmit={(e) => {
        e.preventDefault()
        strike.mutate()
      }}
    >
      <Input label="Why it was wrong" value={reason} onChange={(e) => setReason(e.target.value)} />
      <ProblemNotice error={strike.error} />
      <div className="flex gap-2">
        <Button type="submit" disabled={strike.isPending || reason.trim() === ''}>
          Strike it out
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </form>
  )
}
