import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { ProblemNotice } from '../ui/page'
import { EVIDENCE } from '../ui/dictionary'

type Source = Schemas['SourceView']
type Check = Schemas['CheckView']

/** Where a figure comes from, whether the household has looked it up, and the tick to do so. */
export function Sourced({ source, taxon, checks }: { source: Source; taxon: string; checks: Check[] }) {
  const check = checks.find((c) => c.figure === source.figure)
  return (
    <span className="text-soft text-sm">
      {source.title}, {source.year}; {EVIDENCE[source.evidence]};{' '}
      {check ? (
        <strong className="text-lichen">
          ✓ checked by {check.checkedBy} in {check.book}, p. {check.page}
        </strong>
      ) : (
        <strong>not checked by this household</strong>
      )}{' '}
      <Tick source={source} taxon={taxon} check={check} />
    </span>
  )
}

function Tick({ source, taxon, check }: { source: Source; taxon: string; check: Check | undefined }) {
  const [book, setBook] = useState(check?.book ?? '')
  const [page, setPage] = useState(check?.page ?? '')
  const queries = useQueryClient()
  const path = { id: taxon }
  const done = () =>
    Promise.all([
      queries.invalidateQueries({ queryKey: ['checks', taxon] }),
      queries.invalidateQueries({ queryKey: ['taxon', taxon] }),
    ])
  const tick = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/herbarium/taxa/{id}/checks', {
          params: { path },
          body: { figure: source.figure, book, page },
        }),
      ),
    onSuccess: done,
  })
  const untick = useMutation({
    mutationFn: () =>
      ask(
        api.DELETE('/api/herbarium/taxa/{id}/checks', { params: { path, query: { figure: source.figure } } }),
      ),
    onSuccess: done,
  })
  return (
    <Popover className="relative inline-block">
      <PopoverButton className="text-note min-h-6 underline">{check ? 'change' : 'tick'}</PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        focus
        className="bg-sheet border-water z-30 w-72 space-y-2 border-2 p-3"
      >
        {({ close }) => (
          <form
            className="space-y-2"
            onSubmit={(e) => {
              e.preventDefault()
              tick.mutate(undefined, { onSuccess: () => close() })
            }}
          >
            <p className="text-sm">Only after looking it up in a book of your own.</p>
            <Input label="Book and edition" value={book} onChange={(e) => setBook(e.target.value)} />
            <Input label="Page" value={page} onChange={(e) => setPage(e.target.value)} />
            <ProblemNotice error={tick.error ?? untick.error} />
            <div className="flex gap-2">
              <Button kind="main" type="submit" disabled={tick.isPending}>
                It says the same
              </Button>
              {check && <Button onClick={() => untick.mutate()}>Take back</Button>}
            </div>
          </form>
        )}
      </PopoverPanel>
    </Popover>
  )
}
