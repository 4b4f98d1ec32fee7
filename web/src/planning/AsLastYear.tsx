import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { useCommand } from '../ui/command'
import { PRODUCT } from '../ui/dictionary'
import { ProblemNotice, Section } from '../ui/page'
import { figure } from '../ui/words'
import { called, useProposals } from './year'

type Proposal = Schemas['AgainView']

/** What was used in the past year, to be wished for again by one touch. */
export function AsLastYear() {
  const proposals = useProposals().data ?? []
  const wish = useCommand(['wishes', 'year'], {
    mutationFn: (p: Proposal) => {
      const today = isoToday()
      return ask(
        api.POST('/api/planning/wishes', {
          body: {
            id: v7(),
            words: `${called(p.product, [p])}, as much as last year`,
            product: p.product,
            amount: p.used,
            from: today,
            until: `${Number(today.slice(0, 4)) + 1}${today.slice(4).replace('-02-29', '-02-28')}`,
            evenly: true,
            mayBuy: false,
            herbs: [{ taxonId: p.taxonId, part: p.part }],
          },
        }),
      )
    },
  })
  if (proposals.length === 0) return null
  return (
    <Section title="In the past year">
      <ul>
        {proposals.map((p) => (
          <li
            key={p.product + p.taxonId + p.part}
            className="border-line flex flex-wrap items-center justify-between gap-x-4 border-b py-1"
          >
            <span>
              {called(p.product, [p])}
              <span className="text-soft block text-sm">
                {figure(p.used)} {PRODUCT[p.product].unit} used
                {p.thrownAway > 0 && `, ${figure(p.thrownAway)} ${PRODUCT[p.product].unit} thrown away`}
              </span>
            </span>
            <button
              type="button"
              className="min-h-9 text-sm underline"
              disabled={wish.isPending}
              onClick={() => wish.mutate(p)}
            >
              as much again<span className="sr-only">: {called(p.product, [p])}</span>
            </button>
          </li>
        ))}
      </ul>
      <ProblemNotice error={wish.error} />
    </Section>
  )
}
