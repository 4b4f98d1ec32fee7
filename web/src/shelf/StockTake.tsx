import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, errorAt, ifMatch, type Schemas } from '../api/client'
import { ScaleReader } from '../drying/ScaleReader'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input, NumberInput } from '../ui/controls'
import { OnPaper } from '../ui/Sheet'
import { Empty, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { figure } from '../ui/words'
import { inOrder } from './find'
import { useLots } from './queries'
import { pageOnly } from '../ui/may'
import { useSecond } from '../ui/Second'

type LotView = Schemas['LotView']

/** All that stands on the shelf in one pass, place by place: as it says, or what is really there. */
export const StockTake = pageOnly('record', function StockTake() {
  const lots = useLots()
  const [counted, setCounted] = useState<string[]>([])
  return (
    <Page
      title="Stock-take"
      actions={
        <>
          <OnPaper href="/api/shelf/list.pdf?counting=true">A list to count by</OnPaper>
          <ButtonLink to="/shelf">To the shelf</ButtonLink>
        </>
      }
    >
      <Loaded query={lots}>
        {(all) => {
          const there = all
            .filter(
              (l) =>
                (l.stage === 'STOCK' || l.stage === 'FILLED') &&
                !l.holder &&
                (l.remaining > 0 || counted.includes(l.id)),
            )
            .sort(inOrder('place'))
          const places = [...new Set(there.map((l) => l.place))]
          if (there.length === 0) return <Empty>Nothing stands on the shelf yet.</Empty>
          return (
            <>
              <p role="status" className="mb-3 text-lg">
                <strong>{counted.length}</strong> of {there.length} counted
              </p>
              <div className="space-y-4">
                {places.map((place) => (
                  <Section key={place} title={place || 'No place noted'}>
                    <ul>
                      {there
                        .filter((l) => l.place === place)
                        .map((l) => (
                          <Row
                            key={l.id}
                            lot={l}
                            done={counted.includes(l.id)}
                            onDone={() => setCounted((c) => [...c.filter((id) => id !== l.id), l.id])}
                          />
                        ))}
                    </ul>
                  </Section>
                ))}
              </div>
            </>
          )
        }}
      </Loaded>
    </Page>
  )
})

function Row({ lot, done, onDone }: { lot: LotView; done: boolean; onDone: () => void }) {
  const [open, setOpen] = useState(false)
  return (
    <li className="border-line border-b py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <span className="least-48 flex-1">
          <strong className="font-medium">{lot.name}</strong>{' '}
          <span className="text-soft text-sm">{lot.code}</span>
        </span>
        <span className="text-lg">
          <strong>{figure(lot.remaining)}</strong> {lot.unit}
        </span>
        {done && !open ? (
          <span className="text-lichen min-h-11 py-2 font-semibold">✓ counted</span>
        ) : (
          <span className="flex gap-2">
            <CountAs lot={lot} onDone={onDone} />
            <Button aria-label={`Something else: ${lot.name} ${lot.code}`} onClick={() => setOpen(!open)}>
              {open ? 'Cancel' : 'Something else'}
            </Button>
          </span>
        )}
      </div>
      {open && (
        <Count
          lot={lot}
          onDone={() => {
            setOpen(false)
            onDone()
          }}
        />
      )}
    </li>
  )
}

function CountAs({ lot, onDone }: { lot: LotView; onDone: () => void }) {
  const [id] = useState(() => v7())
  const count = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/count', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { id, amount: lot.remaining, on: isoToday() },
        }),
      ),
    after: onDone,
  })
  return (
    <>
      <Button
        disabled={count.isPending}
        aria-label={`As it says: ${lot.name} ${lot.code}`}
        onClick={() => count.mutate()}
      >
        As it says
      </Button>
      <ProblemNotice error={count.error} />
    </>
  )
}

type More = NonNullable<Schemas['CountRequest']['more']>

const MORE: { value: More; label: string; hint: string }[] = [
  {
    value: 'MEASURED_WRONG',
    label: 'It was measured wrongly at first',
    hint: 'all of it has the origin on record; a keeper says so, or two together',
  },
  {
    value: 'UNKNOWN',
    label: 'Nobody knows, or from somewhere else',
    hint: 'it becomes a lot of its own, of unknown origin and not for use',
  },
]

/** What is really there; what is far off wants a reason. */
export function Count({ lot, onDone }: { lot: LotView; onDone: () => void }) {
  const [id] = useState(() => v7())
  const [amount, setAmount] = useState('')
  const [reason, setReason] = useState('')
  const second = useSecond()
  const [more, setMore] = useState<More>()
  const count = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/count', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: {
            id,
            amount: number(amount),
            reason,
            on: isoToday(),
            ...(more ? { more, second: second.second } : {}),
          },
        }),
      ),
    after: onDone,
  })
  const asked = errorAt(count.error, 'reason')
  const whereFrom = more !== undefined || errorAt(count.error, 'more') !== undefined
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault()
        count.mutate()
      }}
    >
      <div className="w-40">
        <NumberInput
          label="Really there"
          unit={lot.unit}
          value={amount}
          onChange={setAmount}
          error={errorAt(count.error, 'amount')}
        />
      </div>
      {lot.unit === 'g' && <ScaleReader load={{ lotId: lot.id }} onStable={(g) => setAmount(String(g))} />}
      <div className="w-72 max-w-full">
        <Input
          label="Why it differs"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          error={asked}
          hint="needed where it is far off"
        />
      </div>
      {whereFrom && (
        <div className="w-full">
          <Choose
            label="Where the rest is from"
            value={more ?? ''}
            onChange={setMore}
            error={errorAt(count.error, 'more')}
            choices={MORE}
          />
        </div>
      )}
      <div className="w-full empty:hidden">{second.panel(count.error)}</div>
      <Button kind="main" type="submit" disabled={count.isPending || amount.trim() === ''}>
        That is there
      </Button>
      {!asked && <ProblemNotice error={count.error} />}
    </form>
  )
}
