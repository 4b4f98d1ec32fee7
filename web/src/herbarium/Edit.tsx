import { useCommand } from '../ui/command'
import { createContext, useContext, useState } from 'react'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { ProblemNotice } from '../ui/page'

type Card = Schemas['CardFile']
type Kind = 'text' | 'number' | 'percent' | 'range' | 'list'

/** Whether the figures of the card can be changed now. */
export const Editing = createContext(false)

/** A change of one field of a card, kept by the server under its checks. */
export function useChange(id: string) {
  return useCommand('herbarium', {
    mutationFn: async (change: (card: Card) => Card) => {
      const read = await ask(api.GET('/api/herbarium/taxa/{id}/card', { params: { path: { id } } }))
      return ask(
        api.PUT('/api/herbarium/taxa/{id}/card', {
          params: { path: { id }, ...(read.own ? { header: ifMatch(read.version) } : {}) },
          body: change(read.card),
        }),
      )
    },
  })
}

/** A value read in place, and changed in place while the card is open for changes. */
export function Edit({
  taxon,
  label,
  value,
  kind = 'text',
  unit,
  change,
  children,
}: {
  taxon: string
  label: string
  value: string
  kind?: Kind
  unit?: string
  change: (card: Card, value: string) => Card
  children: React.ReactNode
}) {
  const editing = useContext(Editing)
  const [open, setOpen] = useState(false)
  const [text, setText] = useState(value)
  const save = useChange(taxon)
  if (!editing) return <>{children}</>
  if (!open) {
    return (
      <button
        type="button"
        className="border-water hover:bg-water-pale min-h-7 border-b-2 border-dashed text-left"
        onClick={() => {
          setText(value)
          setOpen(true)
        }}
      >
        <span className="sr-only">Change {label}: </span>
        {children}
      </button>
    )
  }
  return (
    <form
      className="my-1 flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate((card) => change(card, text), { onSuccess: () => setOpen(false) })
      }}
    >
      <div className="least-40 flex-1">
        <Input
          label={label}
          {...(unit ? { unit } : {})}
          value={text}
          autoFocus
          inputMode={kind === 'text' || kind === 'list' ? 'text' : 'decimal'}
          onChange={(e) => setText(e.target.value)}
          {...(kind === 'range' ? { hint: 'low to high, as 0.7 to 0.85; empty when unknown' } : {})}
          {...(kind === 'list' ? { hint: 'separated by commas' } : {})}
        />
      </div>
      <Button kind="main" type="submit" disabled={save.isPending}>
        Keep
      </Button>
      <Button onClick={() => setOpen(false)}>Cancel</Button>
      <ProblemNotice error={save.error} />
    </form>
  )
}

/** The card with a part of it replaced. */
export const withPart = (card: Card, part: string, values: Partial<Schemas['PartFile']>): Card => ({
  ...card,
  parts: (card.parts ?? []).map((p) => (p.part === part ? { ...p, ...values } : p)),
})
