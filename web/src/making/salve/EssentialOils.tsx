import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider, Toggle } from '../../ui/controls'
import { stockOf, type LotView } from '../lots'
import { Stock, type StockIn } from '../Stock'

export type EssentialIn = Schemas['EssentialIn']

/** For whom it is made, and what of essential oil goes in. */
export interface Scented {
  essentialOils: EssentialIn[]
  youngestAgeYears: number
  forExpecting: boolean
}

export const UNSCENTED: Scented = { essentialOils: [], youngestAgeYears: 18, forExpecting: false }

const USUAL: StockIn[] = ['lavender', 'chamomile', 'bergamot', 'clove', 'peppermint'].map((name) => ({
  called: `${name} essential oil`,
}))

const AGES = [
  { value: '18', label: 'grown-ups only' },
  { value: '6', label: 'children from six years too' },
  { value: '2', label: 'children from two years too' },
  { value: '0', label: 'infants too' },
]

/** Each with its grams; its own limit and that of the age are the server's. */
export function EssentialOils({
  lots,
  value,
  onChange,
}: {
  lots: LotView[]
  value: Scented
  onChange: (scented: Scented) => void
}) {
  const oils = value.essentialOils
  const set = (i: number, change: Partial<EssentialIn>) =>
    onChange({ ...value, essentialOils: oils.map((o, k) => (k === i ? { ...o, ...change } : o)) })
  const first = stockOf(lots, ['ESSENTIAL_OIL'])[0]
  return (
    <>
      {oils.map((o, i) => (
        <div key={i} className="border-line space-y-2 border-t pt-2">
          <Stock
            label={i === 0 ? 'Essential oil' : `Essential oil ${i + 1}`}
            lots={lots}
            forms={['ESSENTIAL_OIL']}
            value={o.stock}
            usual={USUAL}
            onChange={(stock) => set(i, { stock })}
          />
          <Slider
            label={i === 0 ? 'Of essential oil' : `Of essential oil ${i + 1}`}
            unit="g"
            value={o.massG}
            min={0.05}
            max={5}
            step={0.05}
            onChange={(massG) => set(i, { massG })}
          />
          <button
            type="button"
            className="text-soft min-h-8 text-sm underline"
            onClick={() => onChange({ ...value, essentialOils: oils.filter((_, k) => k !== i) })}
          >
            leave essential oil {i + 1} out
          </button>
        </div>
      ))}
      {oils.length > 0 && (
        <>
          <Choose
            label="For whom"
            value={String(value.youngestAgeYears)}
            choices={AGES}
            onChange={(age) => onChange({ ...value, youngestAgeYears: Number(age) })}
          />
          <Toggle
            label="Somebody expecting will use it"
            checked={value.forExpecting}
            onChange={(forExpecting) => onChange({ ...value, forExpecting })}
          />
        </>
      )}
      <button
        type="button"
        className="block min-h-8 underline"
        onClick={() =>
          onChange({
            ...value,
            essentialOils: [...oils, { stock: first ? { lotId: first.id } : { ...USUAL[0] }, massG: 0.3 }],
          })
        }
      >
        {oils.length === 0 ? 'With essential oil' : 'Another essential oil'}
      </button>
    </>
  )
}
