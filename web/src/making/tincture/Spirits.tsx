import { useKeepsTo } from '../../household/queries'
import type { Schemas } from '../../api/client'
import { Toggle } from '../../ui/controls'
import { figure } from '../../ui/words'
import { stockOf, usable, type LotView } from '../lots'
import { Stock, type StockIn } from '../Stock'

type Press = Schemas['Tincturing']['press']

export const PRESS: { value: Press; label: string; hint: string }[] = [
  { value: 'EARLY', label: 'press early', hint: 'after 14 days' },
  { value: 'MEDIUM', label: 'press at four weeks', hint: 'after 28 days' },
  { value: 'LONG', label: 'press late', hint: 'after 42 days' },
  { value: 'LEAVE', label: 'left on the herb', hint: 'poured off as it is needed' },
]

/** When this household presses, by its school. */
export function usePress(): Press {
  const keepsTo = useKeepsTo()
  if (keepsTo('LEAVE_ON_HERB')) return 'LEAVE'
  return keepsTo('PRESS_EARLY') ? 'EARLY' : keepsTo('PRESS_LONG') ? 'LONG' : 'MEDIUM'
}

export const SPIRITS: StockIn[] = [
  { called: 'grain spirit', strengthPercent: 96 },
  { called: 'table spirit', strengthPercent: 40 },
]

/** All usable spirits, open bottles first, at most sixteen; the usual two where there are none. */
export function spiritsOf(lots: LotView[]): StockIn[] {
  const own = stockOf(lots, ['SPIRIT']).filter(usable)
  return own.length > 0
    ? [...own]
        .sort((a, b) => Number(Boolean(b.openedOn)) - Number(Boolean(a.openedOn)))
        .slice(0, 16)
        .map((l) => ({ lotId: l.id }))
    : SPIRITS.slice(0, 1)
}

/** Which spirit, where none stands on the shelf; else from which of them: all, as it comes out best, unless some are left out. */
export function Spirits({
  lots,
  value,
  onChange,
}: {
  lots: LotView[]
  value: StockIn[]
  onChange: (spirits: StockIn[]) => void
}) {
  const own = stockOf(lots, ['SPIRIT']).filter(usable).slice(0, 16)
  if (value.some((s) => s.lotId)) {
    const used = (id: string) => value.some((s) => s.lotId === id)
    return own.length < 2 ? null : (
      <fieldset>
        <legend className="text-soft text-sm font-medium">Pour from</legend>
        {own.map((l) => (
          <Toggle
            key={l.id}
            label={`${l.name}${l.strengthPercent == null ? '' : `, ${figure(l.strengthPercent)} %`}${l.openedOn ? ', open' : ''}`}
            checked={used(l.id)}
            onChange={(yes) => {
              const left = own.filter((o) => (o.id === l.id ? yes : used(o.id)))
              // Something must be poured from.
              if (left.length > 0) onChange(left.map((o) => ({ lotId: o.id })))
            }}
          />
        ))}
      </fieldset>
    )
  }
  return (
    <Stock
      label="Spirit"
      lots={lots}
      forms={['SPIRIT']}
      value={value[0] ?? {}}
      usual={SPIRITS}
      onChange={(s) => onChange([s])}
    />
  )
}
