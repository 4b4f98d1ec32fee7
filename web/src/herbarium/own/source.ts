import type { Schemas } from '../../api/client'
import { EVIDENCE, choicesOf } from '../../ui/dictionary'
import { number } from '../../ui/read'
import type { Field, Values } from './fields'

type Card = Schemas['CardFile']
type Source = Schemas['SourceFile']

/** Where something is written or who says so: asked with every statement of what a plant does. */
export const SOURCE: Field[] = [
  {
    kind: 'text',
    name: 'sourceTitle',
    label: 'Where it is written, or who says so',
    hint: 'book and page, teacher, family',
  },
  { kind: 'number', name: 'sourceYear', label: 'Of the year' },
  {
    kind: 'choice',
    name: 'sourceEvidence',
    label: 'What kind of word that is',
    choices: () => choicesOf(EVIDENCE),
  },
]

/** The card with a source more, and the name it goes by in it. */
export function withSource(card: Card, v: Values): [Card, string] {
  const source: Source = {
    title: v.text('sourceTitle'),
    year: number(v.text('sourceYear')),
    evidence: v.text('sourceEvidence') as Source['evidence'],
  }
  const same = Object.entries(card.sources ?? {}).find(
    ([, s]) => s.title === source.title && s.year === source.year && s.evidence === source.evidence,
  )
  if (same) return [card, same[0]]
  let n = Object.keys(card.sources ?? {}).length + 1
  while (`own${n}` in (card.sources ?? {})) n++
  return [{ ...card, sources: { ...card.sources, [`own${n}`]: source } }, `own${n}`]
}
