import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react'
import { useCommand } from '../ui/command'
import { createContext, useContext, useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { EVIDENCE } from '../ui/dictionary'
import { Only } from '../ui/may'

type Source = Schemas['SourceView']
type Check = Schemas['CheckView']

/** The card's sources, each once, in the order in which it first cites them. */
const Cited = createContext<Source[]>([])

export function sourcesOf(t: Schemas['TaxonView']): Source[] {
  const all = [
    ...t.parts.flatMap((p) => [p.spirit?.source, p.tea?.source, ...p.doses.map((d) => d.source)]),
    ...t.uses.map((u) => u.source),
    ...t.cautions.map((c) => c.source),
    t.source,
  ].filter((x) => x !== undefined)
  return all.filter((x, i) => all.findIndex((y) => same(x, y)) === i)
}

const same = (a: Source, b: Source) => a.title === b.title && a.year === b.year && a.evidence === b.evidence

export function Citing({ taxon, children }: { taxon: Schemas['TaxonView']; children: React.ReactNode }) {
  return <Cited.Provider value={sourcesOf(taxon)}>{children}</Cited.Provider>
}

/** Said once for the whole card: where its figures come from, and how many the household has looked up. */
export function Sources({ checks }: { checks: Check[] }) {
  const sources = useContext(Cited)
  return (
    <Section title="Sources">
      <ol className="list-inside list-decimal text-sm">
        {sources.map((s) => (
          <li key={s.title + s.evidence}>
            {s.title}, {s.year}; {EVIDENCE[s.evidence]}
          </li>
        ))}
      </ol>
      <p className="mt-2 text-sm">
        {checks.length === 0 ? (
          <>
            <strong>None of it is checked by this household.</strong> A number beside a figure is its source;
            press it to say that your own book agrees.
          </>
        ) : (
          <>
            <strong className="text-lichen">✓</strong> stands where this household has checked a figure in its
            own book; nothing else is.
          </>
        )}
      </p>
    </Section>
  )
}

/** The number of a figure's source, ticked when the household has looked it up; pressed, it says more. */
export function Sourced({ source, taxon, checks }: { source: Source; taxon: string; checks: Check[] }) {
  const sources = useContext(Cited)
  const check = checks.find((c) => c.figure === source.figure)
  return (
    <Tick
      source={source}
      number={sources.findIndex((s) => same(s, source)) + 1}
      taxon={taxon}
      check={check}
    />
  )
}

function Tick({
  source,
  number,
  taxon,
  check,
}: {
  source: Source
  number: number
  taxon: string
  check: Check | undefined
}) {
  const [book, setBook] = useState(check?.book ?? '')
  const [page, setPage] = useState(check?.page ?? '')
  const path = { id: taxon }
  const tick = useCommand(['checks', 'taxon'], {
    mutationFn: () =>
      ask(
        api.POST('/api/herbarium/taxa/{id}/checks', {
          params: { path },
          body: { figure: source.figure, book, page },
        }),
      ),
  })
  const untick = useCommand(['checks', 'taxon'], {
    mutationFn: () =>
      ask(
        api.DELETE('/api/herbarium/taxa/{id}/checks', { params: { path, query: { figure: source.figure } } }),
      ),
  })
  return (
    <Popover className="relative inline-block">
      <PopoverButton
        className={`min-h-6 min-w-6 text-sm underline ${check ? 'text-lichen font-semibold' : 'text-note'}`}
        aria-label={`Source ${number}: ${source.title}, ${check ? 'checked by this household' : 'not checked'}`}
      >
        {number}
        {check && ' ✓'}
      </PopoverButton>
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
            <p className="text-sm">
              {source.title}, {source.year}; {EVIDENCE[source.evidence]}.
            </p>
            {check && (
              <p className="text-lichen text-sm font-semibold">
                ✓ checked by {check.checkedBy} in {check.book}, p. {check.page}
              </p>
            )}
            <Only deed="keep">
              <p className="text-sm">Tick it only after looking it up in a book of your own.</p>
              <Input label="Book and edition" value={book} onChange={(e) => setBook(e.target.value)} />
              <Input label="Page" value={page} onChange={(e) => setPage(e.target.value)} />
              <ProblemNotice error={tick.error ?? untick.error} />
              <div className="flex gap-2">
                <Button kind="main" type="submit" disabled={tick.isPending}>
                  It says the same
                </Button>
                {check && <Button onClick={() => untick.mutate()}>Take back</Button>}
              </div>
            </Only>
          </form>
        )}
      </PopoverPanel>
    </Popover>
  )
}
