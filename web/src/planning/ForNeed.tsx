import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask } from '../api/client'
import { Choose } from '../ui/Choose'
import { ProblemNotice } from '../ui/page'
import type { Product } from './year'

/** What is not asked for a plant but for what it is to help with: the plants the cards know for it, the likeliest first. */
export function ForNeed({
  product,
  person,
  onChosen,
}: {
  product: Product
  person: string | undefined
  onChosen: (herbs: string[], need: string) => void
}) {
  const [open, setOpen] = useState(false)
  const [said, setSaid] = useState('')
  const [error, setError] = useState<unknown>()
  const needs = useQuery({
    queryKey: ['needs'],
    queryFn: () => ask(api.GET('/api/planning/needs')),
    staleTime: 600_000,
    enabled: open,
  })
  const choose = async (need: string) => {
    setSaid('')
    setError(undefined)
    try {
      const answer = await ask(
        api.GET('/api/planning/needs/wishes', {
          params: { query: { need, product, ...(person ? { person } : {}) } },
        }),
      )
      const herbs = answer.herbs.map((o) => `${o.taxonId} ${o.part}`)
      if (herbs.length > 0) onChosen(herbs, need)
      else setSaid(answer.findings[0]?.action ?? 'No card knows a plant for it that this can be made of.')
    } catch (e) {
      setError(e)
    }
  }
  if (!open) {
    return (
      <div>
        <button type="button" className="min-h-8 text-sm underline" onClick={() => setOpen(true)}>
          for a need, not for a plant
        </button>
      </div>
    )
  }
  return (
    <div>
      <Choose
        label="For what"
        value=""
        onChange={(need) => void choose(need)}
        choices={(needs.data ?? []).filter((n) => !n.grave).map((n) => ({ value: n.name, label: n.name }))}
      />
      {said && <p role="status">{said}</p>}
      <ProblemNotice error={needs.error ?? error} />
    </div>
  )
}
