import { useCommand } from '../ui/command'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { Only, only } from '../ui/may'
import { ProblemNotice } from '../ui/page'
import { date } from '../ui/words'

type Stand = Schemas['StandView']

/** A stand that nobody watches any more leaves the lists; one that was made by mistake goes altogether. */
export const PutAway = only('record', function PutAway({ stand }: { stand: Stand }) {
  const navigate = useNavigate()
  const [reason, setReason] = useState('')
  const version = { path: { id: stand.id }, header: ifMatch(stand.version) }
  const away = useCommand('field', {
    mutationFn: () => ask(api.POST('/api/field/stands/{id}/put-away', { params: version, body: { reason } })),
  })
  const remove = useCommand('field', {
    mutationFn: async () => {
      await ask(api.DELETE('/api/field/stands/{id}', { params: version }))
      // Away from its page first: it would be asked for again.
      await navigate('/field', { replace: true })
    },
  })
  return (
    <details className="border-line mt-4 border-t-2 pt-1">
      <summary className="text-note min-h-8 cursor-pointer underline">It is gone, or was a mistake</summary>
      <div className="mt-2 grid max-w-4xl gap-4 sm:grid-cols-2">
        <form
          className="space-y-2"
          onSubmit={(e) => {
            e.preventDefault()
            away.mutate()
          }}
        >
          <Input
            label="Why it is no longer watched"
            hint="It leaves the lists; what came from it stays as it is, and it can be brought back."
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <ProblemNotice error={away.error} />
          <Button type="submit" disabled={away.isPending || reason.trim() === ''}>
            Put the stand away
          </Button>
        </form>
        <div className="space-y-2">
          <p className="text-soft text-sm">
            Made by mistake, and nothing was ever picked here: it goes with its looks, stakes and pictures,
            for good.
          </p>
          <ProblemNotice error={remove.error} />
          <Button kind="grave" disabled={remove.isPending} onClick={() => remove.mutate()}>
            Delete the stand
          </Button>
        </div>
      </div>
    </details>
  )
})

export function PutAwayNotice({ stand }: { stand: Stand }) {
  const back = useCommand('field', {
    mutationFn: () =>
      ask(api.POST('/api/field/stands/{id}/bring-back', { params: { path: { id: stand.id } } })),
  })
  return (
    <div className="border-line mb-3 flex flex-wrap items-center gap-3 border-l-8 px-3 py-2">
      <p>
        Put away on {date(stand.putAwayOn ?? '')}: {stand.putAwayReason}
      </p>
      <Only deed="record">
        <Button disabled={back.isPending} onClick={() => back.mutate()}>
          Bring it back
        </Button>
      </Only>
      <ProblemNotice error={back.error} />
    </div>
  )
}
