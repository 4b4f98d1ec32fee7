import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { OnPaper } from '../ui/Sheet'
import { Button, ButtonLink, Input } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { State } from '../ui/State'
import { date, days, figure } from '../ui/words'
import { Board } from './Board'
import { BoughtForm } from './BoughtForm'
import { finds, inOrder, ORDERS, type Order } from './find'
import { useLots, useRunningOut } from './queries'
import { SupplyForm } from './SupplyForm'
import { Only } from '../ui/may'

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

const LOOK = 'sallowbrook.shelf'

export function Shelf() {
  const lots = useLots()
  const [search] = useSearchParams()
  const [added, setAdded] = useState(0)
  const [adding, setAdding] = useState<'herb' | 'supply' | null>(search.get('add') === 'have' ? 'herb' : null)
  const [words, setWords] = useState('')
  const [order, setOrder] = useState<Order>('first')
  const [list, setListed] = useState(() => localStorage.getItem(LOOK) === 'list')
  const opens = (what: 'herb' | 'supply') => () => setAdding(adding === what ? null : what)
  const setList = (as: boolean) => {
    localStorage.setItem(LOOK, as ? 'list' : 'boards')
    setListed(as)
  }
  return (
    <Page
      title="Shelf"
      actions={
        <>
          <Only deed="record">
            <OnPaper href="/api/shelf/list.pdf?counting=false">On paper</OnPaper>
            <ButtonLink to="/shelf/labels">Labels</ButtonLink>
            <ButtonLink to="/shelf/stock-take">Stock-take</ButtonLink>
          </Only>
          <ButtonLink to="/shelf/vessels">Jars and bottles</ButtonLink>
          <Only deed="record">
            <Button onClick={opens('herb')}>{adding === 'herb' ? 'Cancel' : 'I already have herb'}</Button>
            <Button onClick={opens('supply')}>
              {adding === 'supply' ? 'Cancel' : 'I already have spirit, oil and the like'}
            </Button>
          </Only>
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
        {(all) => {
          const there = all
            .filter((l) => SHELVES.some((s) => s.on(l)) && l.remaining > 0 && finds(l, words))
            .sort(inOrder(order))
          return (
            <>
              <div className="mb-3 flex flex-wrap items-end gap-3">
                <div className="w-72 max-w-full">
                  <Input
                    label="Find"
                    type="search"
                    value={words}
                    onChange={(e) => setWords(e.target.value)}
                    placeholder="name, plant, place, number"
                  />
                </div>
                <div className="w-48">
                  <Choose<Order>
                    label="Order"
                    value={order}
                    choices={(Object.keys(ORDERS) as Order[]).map((o) => ({ value: o, label: ORDERS[o] }))}
                    onChange={setOrder}
                  />
                </div>
                <Button onClick={() => setList(!list)}>{list ? 'Show the boards' : 'Show a list'}</Button>
                {words && (
                  <p role="status" className="pb-2">
                    {there.length} found
                  </p>
                )}
              </div>
              <div className="space-y-4">
                {SHELVES.map((shelf) => {
                  const on = there.filter(shelf.on)
                  if (words && on.length === 0) return null
                  return (
                    <Section key={shelf.title} title={shelf.title}>
                      {on.length === 0 && <Empty>{shelf.empty}</Empty>}
                      {list ? (
                        <ul className="gap-x-8 lg:columns-2">
                          {on.map((l) => (
                            <LotRow key={l.id} lot={l} />
                          ))}
                        </ul>
                      ) : (
                        <Board lots={on} label={shelf.title} />
                      )}
                    </Section>
                  )
                })}
                {words && there.length === 0 && (
                  <Empty>Nothing on the shelf is called that. What is used up stands below.</Empty>
                )}
              </div>
            </>
          )
        }}
      </Loaded>
      <RunsOut />
      <Past
        title="Used up and thrown away"
        name="lots"
        find
        load={(page, find) => ask(api.GET('/api/shelf/lots/past', { params: { query: { page, find } } }))}
        to={(id) => `/shelf/${id}`}
      />
    </Page>
  )
}

/** What will be gone soon, as fast as it was used lately. */
function RunsOut() {
  const soon = useRunningOut()
  if (!soon.data || soon.data.length === 0) return null
  return (
    <div className="mt-4">
      <Section title="Running out">
        <ul className="gap-x-8 lg:columns-2">
          {soon.data.map((r) => (
            <li key={r.lotId} className="border-line flex justify-between gap-3 border-b py-1">
              <Link className="underline" to={`/shelf/${r.lotId}`}>
                {r.name}
              </Link>
              <span>
                {r.left > 0 ? (
                  <>
                    <strong>{days(r.lastsDays)}</strong> more, at {figure(r.usedADay * 7)} {r.unit} a week
                  </>
                ) : (
                  <strong>gone</strong>
                )}
              </span>
            </li>
          ))}
        </ul>
        <p className="text-soft text-sm">As fast as it was used in the last three months.</p>
      </Section>
    </div>
  )
}

function LotRow({ lot }: { lot: LotView }) {
  return (
    <li className="border-line flex break-inside-avoid items-center gap-3 border-b py-2">
      <div className="min-w-0 flex-1">
        <Link to={`/shelf/${lot.id}`} className="font-medium break-words underline">
          {lot.name}
        </Link>
        <p className="text-soft text-sm">
          {lot.code} · {figure(lot.remaining)} of {figure(lot.amount)} {lot.unit}
          {lot.strengthPercent ? ` · ${figure(lot.strengthPercent)} %` : ''}
          {lot.place ? ` · ${lot.place}` : ''}
          {lot.bestBefore ? ` · best before ${date(lot.bestBefore)}` : ''}
          {lot.holder ? ` · with ${lot.holder}` : ''}
        </p>
      </div>
      <State state={lot.state} expired={lot.expired} />
    </li>
  )
}
