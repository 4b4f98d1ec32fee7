import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { Button } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { State } from '../ui/State'
import { date, figure } from '../ui/words'
import { BoughtForm } from './BoughtForm'
import { useLots } from './queries'
import { SupplyForm } from './SupplyForm'

type LotView = Schemas['LotView']

const SHELVES: { title: string; on: (l: LotView) => boolean; empty: string }[] = [
  {
    title: 'Jars of dried herb',
    on: (l) => l.form === 'HERB' && l.stage === 'STOCK',
    empty: 'No jar yet. Dry a harvest on the rack, or add what you bought.',
  },
  {
    title: 'Bottles and tins',
    on: (l) => l.stage === 'FILLED',
    empty: 'Nothing made yet. Start at the bench.',
  },
  {
    title: 'Spirits, oils, wax and the like',
    on: (l) => l.stage === 'STOCK' && l.form !== 'HERB',
    empty: 'None yet. Add what you keep to make things with.',
  },
]

export function Shelf() {
  const lots = useLots()
  const [search] = useSearchParams()
  const [added, setAdded] = useState(0)
  const [adding, setAdding] = useState<'herb' | 'supply' | null>(search.get('add') === 'have' ? 'herb' : null)
  const opens = (what: 'herb' | 'supply') => () => setAdding(adding === what ? null : what)
  return (
    <Page
      title="Shelf"
      actions={
        <>
          <Button onClick={opens('herb')}>{adding === 'herb' ? 'Leave it' : 'I already have herb'}</Button>
          <Button onClick={opens('supply')}>
            {adding === 'supply' ? 'Leave it' : 'I already have spirit, oil and the like'}
          </Button>
        </>
      }
    >
      {/* Many in one sitting: the form stays for the next until it is left. */}
      {adding === 'herb' && <BoughtForm key={`herb ${added}`} onDone={() => setAdded(added + 1)} />}
      {adding === 'supply' && <SupplyForm key={`supply ${added}`} onDone={() => setAdded(added + 1)} />}
      {adding && added > 0 && (
        <p role="status" className="mb-3 font-medium">
          {added} put on the shelf. Add the next, or leave it.
        </p>
      )}
      <Loaded query={lots}>
        {(all) => (
          <div className="grid gap-4 lg:grid-cols-3">
            {SHELVES.map((shelf) => {
              const on = all.filter((l) => shelf.on(l) && l.remaining > 0)
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
