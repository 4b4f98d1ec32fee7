import type { Schemas } from '../api/client'
import type { Choice } from '../ui/Choose'
import { date, figure } from '../ui/words'

export type LotView = Schemas['LotView']
export type LotForm = LotView['form']

export const usable = (l: LotView) => l.remaining > 0 && l.state === 'USABLE' && !l.expired

/** What may go in: usable before the rest, then the oldest first, as the work wants it. */
export const firstToUse = (a: LotView, b: LotView) =>
  Number(usable(b)) - Number(usable(a)) || a.madeOn.localeCompare(b.madeOn) || a.code.localeCompare(b.code)

/** Herb in jars, and baskets that are still fresh. */
export const herbLots = (lots: LotView[]) =>
  lots
    .filter(
      (l) =>
        l.remaining > 0 &&
        ((l.form === 'HERB' && (l.stage === 'STOCK' || (l.stage === 'HARVEST' && !l.racked))) ||
          l.form === 'TEA_MIXTURE' ||
          l.form === 'POWDER' ||
          l.form === 'FROZEN_HERB'),
    )
    .sort(firstToUse)

/** What of these forms stands on the shelf. */
export const stockOf = (lots: LotView[], forms: LotForm[]) =>
  lots
    .filter((l) => forms.includes(l.form) && l.stage !== 'BATCH' && l.remaining > 0)
    .sort((a, b) => forms.indexOf(a.form) - forms.indexOf(b.form) || firstToUse(a, b))

export const lotChoice = (l: LotView): Choice<string> => ({
  value: l.id,
  label: `${l.name} ${l.code}`,
  hint: `${figure(l.remaining)} ${l.unit} left${l.bestBefore ? `, best before ${date(l.bestBefore)}` : ''}${
    usable(l) ? '' : ', not usable'
  }`,
})
