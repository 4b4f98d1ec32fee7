import { useCommand } from '../ui/command'
import { useState } from 'react'
import { api, ask, errorAt, ifMatch, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { Count } from './StockTake'
import { only } from '../ui/may'
import { useSecond } from '../ui/Second'

type LotView = Schemas['LotView']

/** What may be put right of a lot: how much, how it is called, where it stands, and that it is gone. */
export const EditLot = only('record', function EditLot({ lot }: { lot: LotView }) {
  const [open, setOpen] = useState<'amount' | 'details' | null>(null)
  const toggles = (what: 'amount' | 'details') => () => setOpen(open === what ? null : what)
  // What was opened meanwhile stays open.
  const closes = (what: 'amount' | 'details') => () => setOpen((now) => (now === what ? null : now))
  return (
    <Section title="Put right">
      <div className="flex flex-wrap gap-2">
        <Button onClick={toggles('amount')}>{open === 'amount' ? 'Leave it' : 'How much is there'}</Button>
        <Button onClick={toggles('details')}>
          {open === 'details' ? 'Leave it' : 'Name, place, opened'}
        </Button>
        {lot.remaining > 0 && <Gone lot={lot} />}
      </div>
      {open === 'amount' && <Count lot={lot} onDone={closes('amount')} />}
      {open === 'details' && <Details key={lot.version} lot={lot} onDone={closes('details')} />}
    </Section>
  )
})

function Gone({ lot }: { lot: LotView }) {
  const finish = useCommand('shelf', {
    mutationFn: (thrownAway: boolean) =>
      ask(
        api.POST('/api/shelf/lots/{id}/finish', {
          params: { path: { id: lot.id }, query: { thrownAway }, header: ifMatch(lot.version) },
        }),
      ),
  })
  return (
    <>
      <Button disabled={finish.isPending} onClick={() => finish.mutate(false)}>
        Used up
      </Button>
      <Button disabled={finish.isPending} onClick={() => finish.mutate(true)}>
        Thrown away
      </Button>
      <ProblemNotice error={finish.error} />
    </>
  )
}

function Details({ lot, onDone }: { lot: LotView; onDone: () => void }) {
  const [name, setName] = useState(lot.name)
  const [place, setPlace] = useState(lot.place)
  const [opened, setOpened] = useState(lot.openedOn ?? '')
  const [number, setNumber] = useState(lot.supplierLot)
  const [desiccant, setDesiccant] = useState(lot.desiccantOn ?? '')
  const second = useSecond()
  const [reason, setReason] = useState('')
  // Opened later than was noted, or not at all: it would keep longer.
  const later = lot.openedOn != null && (opened === '' || opened > lot.openedOn)
  const save = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.PUT('/api/shelf/lots/{id}', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: {
            name,
            place,
            openedOn: opened || undefined,
            supplierLot: number,
            desiccantOn: desiccant || undefined,
            ...(later ? { reason, second: second.second } : {}),
          },
        }),
      ),
    after: onDone,
  })
  const at = (field: string) => errorAt(save.error, field)
  return (
    <form
      className="mt-2 space-y-2"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate()
      }}
    >
      <Input label="Name" value={name} onChange={(e) => setName(e.target.value)} error={at('name')} />
      <Input
        label="Where it stands"
        value={place}
        onChange={(e) => setPlace(e.target.value)}
        error={at('place')}
      />
      <Input
        label="Opened on"
        hint="empty: not yet"
        type="date"
        value={opened}
        onChange={(e) => setOpened(e.target.value)}
        error={at('openedOn')}
      />
      {later && (
        <Input
          label="Why it was not opened then"
          hint="it would keep longer by this"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          error={at('reason')}
        />
      )}
      <Input
        label="Number on its label"
        hint="of what was bought"
        value={number}
        onChange={(e) => setNumber(e.target.value)}
        error={at('supplierLot')}
      />
      <Input
        label="Desiccant put in on"
        hint="empty: none; Today reminds after half a year"
        type="date"
        value={desiccant}
        onChange={(e) => setDesiccant(e.target.value)}
        error={at('desiccantOn')}
      />
      <ProblemNotice error={save.error} />
      {second.panel(save.error)}
      <Button kind="main" type="submit" disabled={save.isPending}>
        Keep it so
      </Button>
    </form>
  )
}
