import type { Schemas } from '../api/client'
import { FORM, PART } from '../ui/dictionary'

type LotView = Schemas['LotView']

/** Everything a person may remember of it. */
const said = (l: LotView) =>
  [
    l.name,
    l.code,
    l.place,
    l.holder,
    l.supplier,
    l.supplierLot,
    FORM[l.form],
    l.part ? PART[l.part] : '',
    ...l.herbs.flatMap((h) => [h.commonName, h.taxonId.replaceAll('-', ' ')]),
  ]
    .join(' ')
    .toLocaleLowerCase()

/** Whether every word occurs, in any order and case. */
export function finds(l: LotView, words: string) {
  const all = said(l)
  return words
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((w) => all.includes(w))
}

export const ORDERS = {
  first: 'to be used first',
  name: 'by name',
  place: 'by place',
  newest: 'newest first',
} as const
export type Order = keyof typeof ORDERS

const FAR = '9999-12-31'
const names = new Intl.Collator('en', { sensitivity: 'base', numeric: true })

/** First in, first out, unless another order is asked for. */
export const inOrder =
  (order: Order) =>
  (a: LotView, b: LotView): number => {
    const code = names.compare(a.code, b.code)
    switch (order) {
      case 'name':
        return names.compare(a.name, b.name) || code
      case 'place':
        return names.compare(a.place, b.place) || names.compare(a.name, b.name) || code
      case 'newest':
        return b.madeOn.localeCompare(a.madeOn) || -code
      default:
        return (
          (a.bestBefore ?? FAR).localeCompare(b.bestBefore ?? FAR) || a.madeOn.localeCompare(b.madeOn) || code
        )
    }
  }
