import { useCommand } from '../ui/command'
import { useState } from 'react'
import { api, ask, errorAt, ifMatch, type Schemas } from '../api/client'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import type { operations } from '../api/schema'
import { Button, Input, NumberInput } from '../ui/controls'
import { number, numberOf } from '../ui/read'
import { figure } from '../ui/words'
import { ProblemNotice, Section } from '../ui/page'
import { Count } from './StockTake'
import { only } from '../ui/may'
import { Apart, Together } from './Together'
import { useSecond } from '../ui/Second'

type LotView = Schemas['LotView']
type Opened = 'amount' | 'details' | 'gone' | 'split' | 'together'

/** What may be put right of a lot: how much, how it is called, where it stands, and that it is gone. */
export const EditLot = only('record', function EditLot({ lot }: { lot: LotView }) {
  const [open, setOpen] = useState<Opened | null>(null)
  const toggles = (what: Opened) => () => setOpen(open === what ? null : what)
  // What was opened meanwhile stays open.
  const closes = (what: Opened) => () => setOpen((now) => (now === what ? null : now))
  return (
    <Section title="Put right">
      <div className="flex flex-wrap gap-2">
        <Button onClick={toggles('amount')}>{open === 'amount' ? 'Cancel' : 'How much is there'}</Button>
        <Button onClick={toggles('details')}>{open === 'details' ? 'Cancel' : 'Name, place, opened'}</Button>
        {lot.remaining > 0 && (
          <Button onClick={toggles('gone')}>{open === 'gone' ? 'Cancel' : 'Some or all is gone'}</Button>
        )}
        {lot.remaining > 0 &&
          lot.state === 'USABLE' &&
          !lot.expired &&
          lot.piece == null &&
          (lot.stage === 'STOCK' || lot.stage === 'FILLED') && (
            <>
              <Button onClick={toggles('split')}>{open === 'split' ? 'Cancel' : 'Into other jars'}</Button>
              {!lot.holder && (
                <Button onClick={toggles('together')}>
                  {open === 'together' ? 'Cancel' : 'Together with another'}
                </Button>
              )}
            </>
          )}
        {lot.splitFrom && lot.remaining > 0 && lot.remaining >= lot.amount && !lot.holder && (
          <PourBack lot={lot} />
        )}
        {lot.together && !lot.neverFilled && lot.remaining >= lot.amount && !lot.holder && (
          <Apart lot={lot} />
        )}
      </div>
      {open === 'gone' && lot.remaining > 0 && <Gone lot={lot} onDone={closes('gone')} />}
      {open === 'split' && <Split lot={lot} onDone={closes('split')} />}
      {open === 'together' && lot.remaining > 0 && <Together lot={lot} onDone={closes('together')} />}
      {open === 'amount' && <Count lot={lot} onDone={closes('amount')} />}
      {open === 'details' && <Details key={lot.version} lot={lot} onDone={closes('details')} />}
    </Section>
  )
})

type End = NonNullable<operations['finish']['parameters']['query']>['end']

const ENDS: { end: End; words: string }[] = [
  { end: 'USED_UP', words: 'Used up' },
  { end: 'THROWN_AWAY', words: 'Thrown away' },
  { end: 'COMPOST', words: 'To the compost' },
]

/** How much of it, and what became of it; a line of the account that can be struck out. */
function Gone({ lot, onDone }: { lot: LotView; onDone: () => void }) {
  const [amount, setAmount] = useState('')
  const typed = numberOf(amount)
  const finish = useCommand('shelf', {
    mutationFn: (end: End) =>
      ask(
        api.POST('/api/shelf/lots/{id}/finish', {
          params: {
            path: { id: lot.id },
            query: { end, ...(typed === undefined ? {} : { amount: typed }) },
            header: ifMatch(lot.version),
          },
        }),
      ),
    after: onDone,
  })
  return (
    <div className="mt-2 space-y-2">
      <NumberInput
        label="How much of it"
        unit={lot.unit}
        hint={`empty: all that is left, ${figure(lot.remaining)} ${lot.unit}`}
        value={amount}
        onChange={setAmount}
        error={errorAt(finish.error, 'amount')}
      />
      <div className="flex flex-wrap gap-2">
        {ENDS.map(({ end, words }) => (
          <Button
            key={end}
            disabled={finish.isPending || Number.isNaN(typed)}
            onClick={() => finish.mutate(end)}
          >
            {words}
          </Button>
        ))}
      </div>
      <ProblemNotice error={finish.error} />
    </div>
  )
}

/** Some of it into jars of their own; the label, the date and what it is made of go with it. */
function Split({ lot, onDone }: { lot: LotView; onDone: () => void }) {
  const [id] = useState(() => v7())
  const [amount, setAmount] = useState('')
  const [jars, setJars] = useState('1')
  const go = useNavigate()
  const split = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/split', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { id, amount: number(amount), jars: number(jars) },
        }),
      ),
    after: async (first) => {
      onDone()
      await go(`/shelf/${first.id}`)
    },
  })
  return (
    <form
      noValidate
      className="mt-2 space-y-2"
      onSubmit={(e) => {
        e.preventDefault()
        split.mutate()
      }}
    >
      <NumberInput
        label="Into each"
        unit={lot.unit}
        hint={`${figure(lot.remaining)} ${lot.unit} are left`}
        value={amount}
        onChange={setAmount}
        error={errorAt(split.error, 'amount')}
      />
      <NumberInput
        label="Jars or bottles"
        value={jars}
        onChange={setJars}
        error={errorAt(split.error, 'jars')}
      />
      <ProblemNotice error={split.error} />
      <Button kind="main" type="submit" disabled={split.isPending}>
        Fill them from it
      </Button>
    </form>
  )
}

/** As full as when it was filled it can go back where it came from. */
function PourBack({ lot }: { lot: LotView }) {
  const go = useNavigate()
  const back = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/pour-back', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
        }),
      ),
    after: (whole) => go(`/shelf/${whole.id}`),
  })
  return (
    <>
      <Button disabled={back.isPending} onClick={() => back.mutate()}>
        Pour it back
      </Button>
      <ProblemNotice error={back.error} />
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
