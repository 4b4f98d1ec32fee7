import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Button, Toggle } from '../../ui/controls'
import { GOOD_FOR, keysOf } from '../../ui/dictionary'
import { ProblemNotice, Section } from '../../ui/page'
import { capital } from '../../ui/words'
import { useChange } from '../Edit'
import { AddEntry } from './AddEntry'
import { Characters } from './Characters'
import { ENTRIES } from './entries'
import type { Entry } from './fields'
import { LookAlikes } from './LookAlikes'

type TaxonView = Schemas['TaxonView']
type CardView = Schemas['CardView']
type Kind = keyof typeof ENTRIES

const TITLES: Record<Kind, string> = {
  part: 'Parts that are gathered',
  use: 'What it is used for',
  dose: 'Doses',
  tea: 'How tea is made of it',
  tincture: 'How a tincture is made of it',
  caution: 'Cautions',
  hazard: 'Hazards',
  constituent: 'What it holds',
  food: 'As food',
}

/** A plant of the household's own: what its card is good for, and every thing of the card by form. */
export function OwnPlant({ t, card }: { t: TaxonView; card: CardView }) {
  const [open, setOpen] = useState('')
  const toggle = (what: string) => setOpen(open === what ? '' : what)
  return (
    <div className="mb-3">
      <Section title="What this card is good for">
        <div className="space-y-3">
          <Steps steps={card.goodFor} />
          <Whole t={t} card={card} />
          <Folded title="What it looks like" open={open === 'looks'} onToggle={() => toggle('looks')}>
            <Characters t={t} />
          </Folded>
          <Folded title="What it is taken for" open={open === 'alike'} onToggle={() => toggle('alike')}>
            <LookAlikes t={t} />
          </Folded>
          {keysOf(TITLES).map((kind) => (
            <Folded
              key={kind}
              title={TITLES[kind]}
              count={ENTRIES[kind].there(card.card).length}
              open={open === kind}
              onToggle={() => toggle(kind)}
            >
              <Entries t={t} card={card.card} entry={ENTRIES[kind]} />
            </Folded>
          ))}
        </div>
      </Section>
    </div>
  )
}

/** Step by step: what can be done with it, and what is wanting for the next. */
function Steps({ steps }: { steps: CardView['goodFor'] }) {
  const next = steps.find((s) => s.wanting.length > 0)
  return (
    <>
      <ol className="grid gap-1 sm:grid-cols-5">
        {steps.map((s) => (
          <li
            key={s.step}
            className={`border-t-8 px-2 py-1 ${s.wanting.length === 0 ? 'border-lichen font-semibold' : 'border-line text-soft'}`}
          >
            {capital(GOOD_FOR[s.step])}
            <span className="block text-sm font-normal">{s.wanting.length === 0 ? 'yes' : 'not yet'}</span>
          </li>
        ))}
      </ol>
      {next && (
        <div>
          <p className="font-medium">Still wanting, to {GOOD_FOR[next.step]}</p>
          <ul className="list-disc pl-5">
            {next.wanting.map((m) => (
              <li key={m}>{m}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  )
}

function Folded({
  title,
  count,
  open,
  onToggle,
  children,
}: {
  title: string
  count?: number
  open: boolean
  onToggle: () => void
  children: React.ReactNode
}) {
  return (
    <section className="border-line border-t">
      <h3>
        <button
          type="button"
          aria-expanded={open}
          className="hover:bg-water-pale flex min-h-11 w-full items-center gap-2 text-left font-semibold"
          onClick={onToggle}
        >
          <span aria-hidden className={open ? 'rotate-90' : ''}>
            ▸
          </span>
          {title}
          {count !== undefined && <span className="text-soft font-normal">{count}</span>}
        </button>
      </h3>
      {open && <div className="space-y-3 pb-3">{children}</div>}
    </section>
  )
}

/** What stands on the card of one kind, and one more of it. */
function Entries({ t, card, entry }: { t: TaxonView; card: Schemas['CardFile']; entry: Entry }) {
  const [adding, setAdding] = useState(false)
  const change = useChange(t.id)
  return (
    <>
      <ul>
        {entry.there(card).map((x) => (
          <li key={x.words} className="border-line flex flex-wrap items-center gap-3 border-b py-1">
            <span className="flex-1">{x.words}</span>
            <Button
              aria-label={`Take off: ${x.words}`}
              disabled={change.isPending}
              onClick={() => change.mutate((now) => withoutIt(now, entry, x.words))}
            >
              Take off
            </Button>
          </li>
        ))}
      </ul>
      <ProblemNotice error={change.error} />
      {adding ? (
        <AddEntry t={t} entry={entry} onDone={() => setAdding(false)} />
      ) : (
        <Button onClick={() => setAdding(true)}>Add {entry.one}</Button>
      )}
    </>
  )
}

/** Taken off the card as it is now, which somebody else may have changed meanwhile. */
const withoutIt = (card: Schemas['CardFile'], entry: Entry, words: string) =>
  entry.there(card).find((x) => x.words === words)?.without ?? card

/** Called whole it can be gathered, where it is told for sure and the stand allows it; a draft is put aside again. */
function Whole({ t, card }: { t: TaxonView; card: CardView }) {
  const change = useChange(t.id)
  return (
    <div className="space-y-2">
      <Toggle
        label="I looked up what it is taken for, in a flora of this region; the look-alikes on this page are all there are"
        checked={t.lookAlikesChecked}
        onChange={(lookAlikesChecked) => change.mutate((c) => ({ ...c, lookAlikesChecked }))}
      />
      <ProblemNotice error={change.error} />
      <Button
        kind={t.draft ? 'main' : 'quiet'}
        disabled={change.isPending || (t.draft && (card.missing.length > 0 || t.parts.length === 0))}
        onClick={() => change.mutate((c) => ({ ...c, draft: !t.draft }))}
      >
        {t.draft ? 'It is whole' : 'Put it aside as a draft'}
      </Button>
    </div>
  )
}
