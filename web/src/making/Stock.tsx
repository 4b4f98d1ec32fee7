import type { Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Slider } from '../ui/controls'
import { lotChoice, stockOf, usable, type LotForm, type LotView } from './lots'

export type StockIn = Schemas['StockIn']

/** The oldest usable lot of these forms that holds enough, or the fullest; where there is none, one that is described. */
export function firstStock(lots: LotView[], forms: LotForm[], otherwise: StockIn, least = 0): StockIn {
  const all = stockOf(lots, forms).filter(usable)
  const lot = all.find((l) => l.remaining >= least) ?? [...all].sort((a, b) => b.remaining - a.remaining)[0]
  return lot ? { lotId: lot.id } : otherwise
}

/** Spirit, oil, wax and their like: from the shelf, or one of the usual kinds to reckon with. */
export function Stock({
  label,
  lots,
  forms,
  value,
  usual,
  onChange,
}: {
  label: string
  lots: LotView[]
  forms: LotForm[]
  value: StockIn
  /** What it may be when it is not on the shelf. */
  usual: StockIn[]
  onChange: (stock: StockIn) => void
}) {
  const described = (s: StockIn) => `described ${s.called ?? ''}`
  return (
    <>
      <Choose
        label={label}
        value={value.lotId ?? described(value)}
        choices={[
          ...stockOf(lots, forms).map(lotChoice),
          ...usual.map((u) => ({
            value: described(u),
            label: u.called ?? '',
            hint: 'not on the shelf yet',
          })),
        ]}
        onChange={(v) => onChange(usual.find((u) => described(u) === v) ?? { lotId: v })}
      />
      {!value.lotId && value.strengthPercent !== undefined && (
        <Slider
          label="Its strength"
          unit="%"
          value={value.strengthPercent}
          min={1}
          max={97}
          step={1}
          onChange={(strengthPercent) => onChange({ ...value, strengthPercent })}
        />
      )}
    </>
  )
}
