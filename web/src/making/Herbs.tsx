import type { Schemas } from '../api/client'
import { useTaxa } from '../herbarium/queries'
import { Choose } from '../ui/Choose'
import { Slider } from '../ui/controls'
import { MEASURE, PART } from '../ui/dictionary'
import { herbLots, lotChoice, usable, type LotView } from './lots'

export type HerbIn = Schemas['HerbIn']
type Part = NonNullable<HerbIn['part']>
type State = NonNullable<HerbIn['state']>

const DESCRIBED = 'described'
const GRAMS = 'grams'
type Measure = NonNullable<HerbIn['measure']>['unit']
// What comes out of a dropper is no herb.
const MEASURES = (Object.keys(MEASURE) as Measure[]).filter((m) => m !== 'DROP' && m !== 'SQUIRT')
const ANY = 'any'

const STATES: { value: State; label: string }[] = [
  { value: 'DRIED', label: 'dried' },
  { value: 'WILTED', label: 'wilted a day' },
  { value: 'FRESH', label: 'fresh' },
]

/** The oldest usable jar of the route wanted, or a fresh basket; where there is none, dried herb that is only described. */
export function firstHerb(
  lots: LotView[],
  massG: number,
  route?: LotView['route'],
  state: State = 'DRIED',
): HerbIn {
  const basket =
    state === 'DRIED'
      ? undefined
      : herbLots(lots).find((l) => l.stage === 'HARVEST' && usable(l) && (!route || l.route === route))
  if (basket) return { lotId: basket.id, state, massG: Math.min(massG, Math.floor(basket.remaining) || 1) }
  const jars = herbLots(lots).filter((l) => l.stage === 'STOCK' && usable(l))
  const jar = jars.find((l) => l.route === route) ?? (route === 'INTERNAL' ? undefined : jars[0])
  return jar ? { lotId: jar.id, massG: Math.min(massG, Math.floor(jar.remaining) || 1) } : { massG }
}

/** What the first of the herbs is called. */
export function useHerbName(lots: LotView[], herbs: HerbIn[]) {
  const taxa = useTaxa()
  const first = herbs[0]
  const lot = lots.find((l) => l.id === first?.lotId)
  return lot?.herbs[0]?.commonName ?? taxa.data?.find((t) => t.id === first?.taxonId)?.commonName ?? 'Herb'
}

/** One or several herbs, each from the shelf or only described, with its grams. */
export function Herbs({
  lots,
  value,
  onChange,
  most = 200,
  more = true,
  extra,
}: {
  lots: LotView[]
  value: HerbIn[]
  onChange: (herbs: HerbIn[]) => void
  most?: number
  more?: boolean
  extra?: (i: number) => React.ReactNode
}) {
  const set = (i: number, change: Partial<HerbIn>) =>
    onChange(value.map((h, k) => (k === i ? { ...h, ...change } : h)))
  return (
    <div className="space-y-3">
      {value.map((h, i) => (
        <div key={i} className={i > 0 ? 'border-line border-t pt-2' : ''}>
          <HerbRow
            lots={lots}
            herb={h}
            label={i === 0 ? 'Herb' : `Herb ${i + 1}`}
            most={most}
            onChange={(change) => set(i, change)}
          />
          {extra?.(i)}
          {value.length > 1 && (
            <button
              type="button"
              className="text-soft min-h-8 text-sm underline"
              onClick={() => onChange(value.filter((_, k) => k !== i))}
            >
              leave herb {i + 1} out
            </button>
          )}
        </div>
      ))}
      {more && (
        <button
          type="button"
          className="min-h-8 underline"
          onClick={() => onChange([...value, firstHerb(lots, 5, 'INTERNAL')])}
        >
          Another herb
        </button>
      )}
    </div>
  )
}

function HerbRow({
  lots,
  herb,
  label,
  most,
  onChange,
}: {
  lots: LotView[]
  herb: HerbIn
  label: string
  most: number
  onChange: (change: Partial<HerbIn>) => void
}) {
  return (
    <div className="space-y-2">
      <HerbChoice lots={lots} herb={herb} label={label} onChange={onChange} />
      <div className="grid grid-cols-[2fr_3fr] items-end gap-2">
        <Choose
          label={`${label} in`}
          value={herb.measure?.unit ?? GRAMS}
          choices={[
            { value: GRAMS, label: 'grams' },
            ...MEASURES.map((m) => ({ value: m, label: MEASURE[m] })),
          ]}
          onChange={(unit) =>
            onChange(
              unit === GRAMS
                ? { massG: 10, measure: undefined }
                : { massG: undefined, measure: { unit: unit as Measure, amount: 2 } },
            )
          }
        />
        {herb.measure ? (
          <Slider
            label={`Amount of ${label.toLowerCase()}`}
            unit=""
            value={herb.measure.amount}
            min={0.5}
            max={40}
            step={0.5}
            onChange={(amount) => herb.measure && onChange({ measure: { ...herb.measure, amount } })}
          />
        ) : (
          <Slider
            label={`Amount of ${label.toLowerCase()}`}
            unit="g"
            value={herb.massG ?? 0}
            min={1}
            max={most}
            step={1}
            onChange={(massG) => onChange({ massG })}
          />
        )}
      </div>
    </div>
  )
}

/** Which herb: a jar, a fresh basket, or one that is only described. */
export function HerbChoice({
  lots,
  herb,
  label,
  onChange,
}: {
  lots: LotView[]
  herb: HerbIn
  label: string
  onChange: (change: Partial<HerbIn>) => void
}) {
  const shelf = herbLots(lots)
  const described = !herb.lotId
  return (
    <>
      <Choose
        label={label}
        value={herb.lotId ?? DESCRIBED}
        choices={[
          ...shelf.map((l) => ({
            ...lotChoice(l),
            label: l.stage === 'HARVEST' ? `${l.name} ${l.code} (basket)` : lotChoice(l).label,
          })),
          { value: DESCRIBED, label: 'not on the shelf yet', hint: 'say what it is, and reckon' },
        ]}
        onChange={(v) =>
          onChange(
            v === DESCRIBED
              ? { lotId: undefined, state: 'DRIED' }
              : { lotId: v, taxonId: undefined, part: undefined, state: undefined },
          )
        }
      />
      {described && <Described herb={herb} onChange={onChange} />}
      {shelf.find((l) => l.id === herb.lotId)?.stage === 'HARVEST' && (
        <Choose<State>
          label="How it is"
          value={herb.state ?? 'FRESH'}
          choices={STATES.filter((s) => s.value !== 'DRIED')}
          onChange={(state) => onChange({ state })}
        />
      )}
    </>
  )
}

function Described({ herb, onChange }: { herb: HerbIn; onChange: (change: Partial<HerbIn>) => void }) {
  const taxa = useTaxa()
  const gathered = (taxa.data ?? []).filter((t) => t.parts.length > 0)
  const plant = gathered.find((t) => t.id === herb.taxonId)
  return (
    <>
      <Choose
        label="Which plant"
        value={herb.taxonId ?? ANY}
        choices={
          // All at once: a list that is short at first is never looked through by typing.
          taxa.data
            ? [
                { value: ANY, label: 'just herb' },
                ...gathered.map((t) => ({ value: t.id, label: t.commonName, hint: t.name })),
              ]
            : []
        }
        onChange={(id) => {
          const next = gathered.find((t) => t.id === id)
          onChange({ taxonId: next?.id, part: next?.parts[0] })
        }}
      />
      {plant && plant.parts.length > 1 && (
        <Choose<Part>
          label="Which part"
          value={herb.part ?? ''}
          choices={plant.parts.map((p) => ({ value: p, label: PART[p] }))}
          onChange={(part) => onChange({ part })}
        />
      )}
      <Choose<State>
        label="How it is"
        value={herb.state ?? 'DRIED'}
        choices={STATES}
        onChange={(state) => onChange({ state })}
      />
    </>
  )
}
