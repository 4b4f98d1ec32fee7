import { number } from '../ui/read'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, type Schemas, errorAt } from '../api/client'
import { Button, Choose, Input, NumberInput, Toggle } from '../ui/controls'
import { Empty, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { State } from '../ui/State'
import { date, figure } from '../ui/words'
import { BoughtForm } from './BoughtForm'
import { useLots } from './queries'

type LotView = Schemas['LotView']
type Kind = LotView['kind']

const SHELVES: { title: string; kinds: Kind[]; empty: string }[] = [
  {
    title: 'Jars of dried herb',
    kinds: ['JAR'],
    empty: 'No jar yet. Dry a harvest on the rack, or add what you bought.',
  },
  {
    title: 'Bottles and tins',
    kinds: ['BOTTLE', 'TIN', 'FLASK'],
    empty: 'Nothing made yet. Start at the bench.',
  },
  {
    title: 'Spirits, oils, wax',
    kinds: ['SPIRIT', 'OIL', 'WAX'],
    empty: 'None yet. Add what you keep to make things with.',
  },
]

export function Shelf() {
  const lots = useLots()
  const [adding, setAdding] = useState<'herb' | 'supply' | null>(null)
  const opens = (what: 'herb' | 'supply') => () => setAdding(adding === what ? null : what)
  return (
    <Page
      title="Shelf"
      actions={
        <>
          <Button onClick={opens('herb')}>{adding === 'herb' ? 'Leave it' : 'Add bought herb'}</Button>
          <Button onClick={opens('supply')}>
            {adding === 'supply' ? 'Leave it' : 'Add spirit, oil or wax'}
          </Button>
        </>
      }
    >
      {adding === 'herb' && <BoughtForm onDone={() => setAdding(null)} />}
      {adding === 'supply' && <SupplyForm onDone={() => setAdding(null)} />}
      <Loaded query={lots}>
        {(all) => (
          <div className="grid gap-4 lg:grid-cols-3">
            {SHELVES.map((shelf) => {
              const on = all.filter((l) => shelf.kinds.includes(l.kind) && l.remaining > 0)
              return (
                <Section key={shelf.title} title={shelf.title}>
                  {on.length === 0 && <Empty>{shelf.empty}</Empty>}
                  <ul>
                    {on.map((l) => (
                      <LotRow key={l.id} lot={l} />
                    ))}
                  </ul>
                </Section>
              )
            })}
          </div>
        )}
      </Loaded>
      <Past
        title="Used up"
        name="lots"
        load={(page) => ask(api.GET('/api/shelf/lots/past', { params: { query: { page } } }))}
        to={(id) => `/shelf/${id}`}
      />
    </Page>
  )
}

function LotRow({ lot }: { lot: LotView }) {
  const left = lot.amount > 0 ? lot.remaining / lot.amount : 0
  return (
    <li className="border-line flex items-center gap-3 border-b py-2">
      <svg viewBox="0 0 24 34" className="h-10 shrink-0" aria-hidden>
        <rect x="2" y={32 - 24 * left} width="20" height={24 * left} fill="var(--amber)" opacity="0.6" />
        <path d="M2 8h20v24H2ZM5 2h14v6H5Z" fill="none" stroke="var(--ink)" strokeWidth="2" />
      </svg>
      <div className="min-w-0 flex-1">
        <Link to={`/shelf/${lot.id}`} className="font-medium underline">
          {lot.name}
        </Link>
        <p className="text-soft text-sm">
          {lot.code} · {figure(lot.remaining)} of {figure(lot.amount)} {lot.unit}
          {lot.bestBefore ? ` · best before ${date(lot.bestBefore)}` : ''}
          {lot.holder ? ` · with ${lot.holder}` : ''}
        </p>
      </div>
      <State state={lot.state} expired={lot.expired} />
    </li>
  )
}

function SupplyForm({ onDone }: { onDone: () => void }) {
  const queries = useQueryClient()
  const [id] = useState(() => v7())
  const [kind, setKind] = useState<'SPIRIT' | 'OIL' | 'WAX'>('SPIRIT')
  const [name, setName] = useState('')
  const [amount, setAmount] = useState('')
  const [strength, setStrength] = useState('')
  const [denatured, setDenatured] = useState(false)
  const [open, setOpen] = useState(false)
  const [best, setBest] = useState('')
  const [place, setPlace] = useState('')
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/supplies', {
          body: {
            id,
            kind,
            name,
            amount: number(amount),
            strengthPercent: kind === 'SPIRIT' ? number(strength) : undefined,
            denatured: kind === 'SPIRIT' && denatured,
            open,
            bestBefore: best || undefined,
            place,
          },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries()
      onDone()
    },
  })
  const at = (field: string) => errorAt(save.error, field)
  return (
    <form
      className="mb-4"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate()
      }}
    >
      <Section title="Onto the shelf">
        <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
          <Choose
            label="What"
            value={kind}
            onChange={setKind}
            choices={[
              { value: 'SPIRIT', label: 'spirit' },
              { value: 'OIL', label: 'oil' },
              { value: 'WAX', label: 'wax' },
            ]}
          />
          <Input label="Name" value={name} onChange={(e) => setName(e.target.value)} error={at('name')} />
          <NumberInput
            label="How much"
            unit={kind === 'WAX' ? 'g' : 'mL'}
            value={amount}
            onChange={setAmount}
            error={at('amount')}
          />
          {kind === 'SPIRIT' && (
            <NumberInput
              label="Strength"
              unit="% vol"
              value={strength}
              onChange={setStrength}
              error={at('strengthPercent')}
            />
          )}
          <Input label="Best before" type="date" value={best} onChange={(e) => setBest(e.target.value)} />
          <Input
            label="Where it stands"
            value={place}
            onChange={(e) => setPlace(e.target.value)}
            error={at('place')}
          />
          <Toggle label="Opened" checked={open} onChange={setOpen} />
          {kind === 'SPIRIT' && (
            <Toggle label="Denatured, methylated or isopropyl" checked={denatured} onChange={setDenatured} />
          )}
        </div>
        <div className="mt-3 space-y-3">
          <ProblemNotice error={save.error} />
          <Button kind="main" type="submit" disabled={save.isPending}>
            Put it on the shelf
          </Button>
        </div>
      </Section>
    </form>
  )
}
