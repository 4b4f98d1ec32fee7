import { useCommand } from '../ui/command'
import { useState } from 'react'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { Mould } from '../ui/Mould'
import { ProblemNotice, Section } from '../ui/page'
import { only } from '../ui/may'
import { useSecond } from '../ui/Second'

/** Sets a lot and all that was made from it aside at once, and takes the doubt back. */
export const DoubtLot = only('record', function DoubtLot({ lot }: { lot: Schemas['LotView'] }) {
  const second = useSecond()
  const [reason, setReason] = useState('')
  const doubted = lot.doubt != null
  const send = useCommand('field', {
    mutationFn: () => {
      const how = {
        params: { path: { id: lot.id }, header: ifMatch(lot.version) },
      }
      return ask(
        doubted
          ? api.POST('/api/tracing/lots/{id}/clear', {
              ...how,
              body: { reason, second: second.second },
            })
          : api.POST('/api/tracing/lots/{id}/doubt', { ...how, body: { reason } }),
      )
    },
    onSuccess: () => setReason(''),
  })
  const mould = useCommand('field', {
    mutationFn: () =>
      ask(
        api.POST('/api/tracing/lots/{id}/mould', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
        }),
      ),
  })
  return (
    <Section title={doubted ? 'Doubted' : 'Is something wrong with it?'}>
      {doubted && <p className="mb-2">{lot.doubt}</p>}
      <Input
        label={doubted ? 'What cleared it up' : 'Why it is doubted'}
        hint={
          doubted
            ? 'What else is doubted keeps its lots aside.'
            : 'It and everything made from it is set aside at once.'
        }
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <div className="mt-2 space-y-2">
        <ProblemNotice error={send.error} />
        {second.panel(send.error)}
        <Button kind={doubted ? 'quiet' : 'grave'} onClick={() => send.mutate()} disabled={send.isPending}>
          {doubted ? 'Take the doubt back' : 'Doubt this lot'}
        </Button>
        {send.data && (
          <p role="status" className="font-medium">
            {send.data.length === 1 ? 'One lot' : `${send.data.length} lots`}{' '}
            {doubted ? 'set aside.' : 'usable or on hold again.'}
          </p>
        )}
        <Mould onMould={() => mould.mutate()} busy={mould.isPending} error={mould.error} />
      </div>
    </Section>
  )
})
