import type { Schemas } from '../../api/client'
import type { Choice } from '../../ui/Choose'

type TaxonView = Schemas['TaxonView']
type Card = Schemas['CardFile']

/** What is typed and chosen in one of these forms, by the names of its fields. */
export class Values {
  constructor(private readonly of: Record<string, string | string[]>) {}

  /** As it stands in its field, with a blank that is still being typed on. */
  typed(name: string): string {
    const value = this.of[name]
    return typeof value === 'string' ? value : ''
  }

  text(name: string): string {
    return this.typed(name).trim()
  }

  list<T extends string>(name: string): T[] {
    const value = this.of[name]
    return Array.isArray(value) ? (value as T[]) : []
  }

  months(name: string): number[] {
    return this.list(name).map(Number)
  }

  empty(name: string): boolean {
    return this.text(name) === '' && this.list(name).length === 0
  }
}

interface Common {
  /** As on the card where it stands there, so that a refusal finds it. */
  name: string
  label: string
  hint?: string
  optional?: boolean
  /** Asked only then. */
  when?: (v: Values) => boolean
}

export type Field = Common &
  (
    | { kind: 'text' }
    | { kind: 'number'; unit?: string }
    | { kind: 'choice'; choices: (t: TaxonView, v: Values) => Choice<string>[] }
    | { kind: 'toggles'; choices: (t: TaxonView, v: Values) => Choice<string>[] }
    | { kind: 'months' }
  )

/** A thing that a card has several of: how one is added by form, and what stands there and can be taken off again. */
export interface Entry {
  /** "a part" */
  one: string
  fields: Field[]
  add: (card: Card, v: Values) => Card
  /** Where the added one will stand in the card as the server names it: "parts[2]". */
  at: (t: TaxonView) => string
  there: (card: Card) => { words: string; without: Card }[]
}
