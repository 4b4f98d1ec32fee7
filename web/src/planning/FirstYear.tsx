import { v7 } from 'uuid'
import { Link } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { useCommand } from '../ui/command'
import { PART, PRODUCT, STAGE } from '../ui/dictionary'
import { Only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { dayMonth, monthYear } from '../ui/words'
import { amountOf, called, useFirstYear, type WishView } from './year'

type Learn = Schemas['LearnView']

const NOW = ''

/** What to learn, pick and make for whoever has gathered nothing yet, month by month. */
export function FirstYear({ wishes }: { wishes: WishView[] }) {
  const all = useFirstYear().data ?? []
  if (all.length === 0) return null
  // What has begun is there now, whenever it began.
  const monthOf = (l: Learn) => (l.from <= isoToday() ? NOW : l.from.slice(0, 7))
  const months = [...new Set(all.map(monthOf))]
  return (
    <Section title="A first year">
      <p>
        {all.length} plants to begin with, that grow in your region and can be made certain when they are
        picked. Learn the card first, go and look, put the stand on the map, and pick only what you have made
        certain there. Nothing here says that a plant you meet is one of them.
      </p>
      {months.map((m) => (
        <div key={m} className="mt-3">
          <h3 className="text-water border-water border-b-2 font-semibold">
            {m === NOW ? 'Now' : monthYear(`${m}-01`)}
          </h3>
          <ul>
            {all
              .filter((l) => monthOf(l) === m)
              .map((l) => (
                <Plant key={l.taxonId} learn={l} wished={wishes.some((w) => isFor(w, l))} />
              ))}
          </ul>
        </div>
      ))}
    </Section>
  )
}

const isFor = (wish: WishView, l: Learn) =>
  wish.product === l.make && wish.herbs.some((h) => h.taxonId === l.taxonId && h.part === l.part)

function Plant({ learn: l, wished }: { learn: Learn; wished: boolean }) {
  const wish = useCommand(['wishes', 'year'], {
    mutationFn: () =>
      ask(
        api.POST('/api/planning/wishes', {
          body: {
            id: v7(),
            words: called(l.make, [l]),
            product: l.make,
            amount: l.amount,
            from: l.wantedFrom,
            until: l.wantedUntil,
            evenly: l.make === 'TEA',
            mayBuy: false,
            herbs: [{ taxonId: l.taxonId, part: l.part }],
          },
        }),
      ),
  })
  return (
    <li className="border-line flex flex-wrap items-start justify-between gap-x-4 gap-y-1 border-b py-2">
      <div className="least-56 flex-1">
        <Link className="font-semibold underline" to={`/herbarium/${l.taxonId}`}>
          {l.commonName}
        </Link>
        , {PART[l.part].toLowerCase()}
        <span className="text-soft block text-sm">
          about {dayMonth(l.from)} to {dayMonth(l.until)}, {l.stages.map((s) => STAGE[s]).join(' or ')}; for{' '}
          {l.uses.join(', ')}
        </span>
        {l.besides.length > 0 && (
          <span className="block text-sm">
            To be told from:{' '}
            {l.besides.map((b, i) => (
              <span key={b.taxonId}>
                {i > 0 && ', '}
                <Link className="underline" to={`/herbarium/${b.taxonId}`}>
                  {b.commonName}
                </Link>{' '}
                (poisonous)
              </span>
            ))}
          </span>
        )}
        {l.notFor.length > 0 && (
          <span className="text-madder block text-sm">Not for {l.notFor.join(', ')}.</span>
        )}
        <ProblemNotice error={wish.error} />
      </div>
      {wished ? (
        <span className="text-soft min-h-9 text-sm">wished for</span>
      ) : (
        <Only deed="record">
          <button
            type="button"
            className="min-h-9 text-sm underline"
            disabled={wish.isPending}
            onClick={() => wish.mutate()}
          >
            wish for {amountOf(l.amount, l.make)} {l.make !== 'TEA' && `of ${PRODUCT[l.make].name}`}
            <span className="sr-only">: {called(l.make, [l])}</span>
          </button>
        </Only>
      )}
    </li>
  )
}
