import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { NumberInput, Slider, Toggle } from '../../ui/controls'
import { number } from '../../ui/read'
import { useVessels } from '../../shelf/vessels'
import { BenchOf } from '../BenchOf'
import { firstToUse, lotChoice, LotView, stockOf, usable, type LotForm } from '../lots'
import { setPath } from '../setPath'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'
import { VesselView } from '../../shelf/vessels'

type Request = Schemas['Mixing']
type Part = Request['parts'][number]
type Role = NonNullable<Part['role']>
type Potency = NonNullable<Part['potency']>
type Taste = Part['tastes'][number]

const FORMS: LotForm[] = ['TINCTURE', 'MIXTURE', 'GLYCERITE', 'HERBAL_VINEGAR', 'OXYMEL']
const ROLES: { value: Role; label: string; hint: string }[] = [
  { value: 'LEAD', label: 'leads', hint: 'what it is for' },
  { value: 'SUPPORT', label: 'supports', hint: 'the same way' },
  { value: 'HARMONISER', label: 'harmonises', hint: 'tempers the rest' },
  { value: 'TASTE', label: 'for the taste', hint: '' },
]
const POTENCIES: { value: Potency; label: string }[] = [
  { value: 'GENTLE', label: 'gentle' },
  { value: 'MODERATE', label: 'moderate' },
  { value: 'STRONG', label: 'strong' },
]
const TASTES: { value: Taste; label: string }[] = [
  { value: 'BITTER', label: 'bitter' },
  { value: 'AROMATIC', label: 'aromatic' },
  { value: 'SWEET', label: 'sweet' },
  { value: 'ASTRINGENT', label: 'astringent' },
  { value: 'PUNGENT', label: 'pungent' },
  { value: 'BLAND', label: 'bland' },
]

export const Formula = withLots(function Formula({ lots }) {
  const shelf = stockOf(lots, FORMS).sort(firstToUse)
  const part = (lotId: string | undefined, role: Role): Part => ({
    from: lotId ? { lotId } : { called: 'tincture' },
    volumeMl: 20,
    role,
    potency: 'MODERATE',
    tastes: [],
  })
  const [parts, setParts] = useTyped<Part[]>('parts', () => {
    const first = shelf.filter(usable).slice(0, 2)
    return [part(first[0]?.id, 'LEAD'), part((first[1] ?? first[0])?.id, 'SUPPORT')]
  })
  // As typed, by the number of the part: what 100 mL of it cost the household.
  const [costs, setCosts] = useTyped<Record<number, string>>('costs', {})
  const [daily, setDaily] = useTyped('daily', 0)
  const vessels = useVessels()
  const [ownSizes, setSizes] = useTyped<Size[]>('sizes')
  const free = (vessels.data ?? []).filter((v) => v.kind === 'BOTTLE' && v.free > 0)
  // The household's own that are free, before any that are only thought of.
  const sizes =
    ownSizes ??
    (free.length > 0
      ? free.map((v) => ({ capacity: String(v.capacityMl), count: String(v.free) }))
      : [
          { capacity: '50', count: '2' },
          { capacity: '20', count: '2' },
        ])
  const [outside, setOutside] = useTyped('outside', false)
  const set = (i: number, change: Partial<Part>) =>
    setParts(parts.map((p, k) => (k === i ? { ...p, ...change } : p)))
  const body = {
    kind: 'FORMULA' as const,
    parts: parts.map((p, i) => {
      const hundred = number(costs[i] ?? '')
      return hundred >= 0 ? { ...p, costPerMl: hundred / 100 } : p
    }),
    ...(daily > 0 ? { dailyMl: daily } : {}),
    bottles: sizes
      .map((s) => ({ capacityMl: number(s.capacity), count: number(s.count) }))
      .filter((s) => s.capacityMl > 0 && Number.isInteger(s.count)),
    route: outside ? ('EXTERNAL' as const) : ('INTERNAL' as const),
  }
  return (
    <BenchOf
      title="Formula"
      called="Formula"
      body={body}
      onBody={(field, id) => setParts(setPath({ parts }, field, id).parts)}
    >
      {parts.map((p, i) => (
        <OnePart
          key={i}
          i={i}
          p={p}
          shelf={shelf}
          set={set}
          costs={costs}
          setCosts={setCosts}
          parts={parts}
          setParts={setParts}
        />
      ))}
      <button
        type="button"
        className="min-h-8 underline"
        onClick={() => setParts([...parts, part(shelf.find(usable)?.id, 'HARMONISER')])}
      >
        Another part
      </button>
      <Slider
        label="To be taken a day, if known"
        unit="mL"
        value={daily}
        min={0}
        max={30}
        step={0.5}
        onChange={setDaily}
      />
      <Bottles free={free} ownSizes={ownSizes} sizes={sizes} setSizes={setSizes} />
      <Toggle label="For the outside of the body only" checked={outside} onChange={setOutside} />
    </BenchOf>
  )
})

/** One of the tinctures, how much of it and what it is for. */
function OnePart({
  i,
  p,
  shelf,
  set,
  costs,
  setCosts,
  parts,
  setParts,
}: {
  i: number
  p: Part
  shelf: LotView[]
  set: (i: number, change: Partial<Part>) => void
  costs: Record<number, string>
  setCosts: (costs: Record<number, string>) => void
  parts: Part[]
  setParts: (parts: Part[]) => void
}) {
  return (
    <div className={i > 0 ? 'border-line space-y-2 border-t pt-2' : 'space-y-2'}>
      <Choose
        label={`Part ${i + 1}`}
        value={p.from.lotId ?? 'described'}
        choices={[
          ...shelf.map(lotChoice),
          { value: 'described', label: 'a tincture that is not there yet', hint: 'strength unknown' },
        ]}
        onChange={(v) => set(i, { from: v === 'described' ? { called: 'tincture' } : { lotId: v } })}
      />
      <Slider
        label="Of it"
        unit="mL"
        value={p.volumeMl}
        min={1}
        max={250}
        step={1}
        onChange={(volumeMl) => set(i, { volumeMl })}
      />
      <div className="grid grid-cols-3 gap-2">
        <Choose label="It" value={p.role ?? ''} choices={ROLES} onChange={(role) => set(i, { role })} />
        <Choose
          label="Potency"
          value={p.potency ?? ''}
          choices={POTENCIES}
          onChange={(potency) => set(i, { potency })}
        />
        <Choose
          label="Taste"
          value={p.tastes[0] ?? ''}
          choices={TASTES}
          onChange={(taste) => set(i, { tastes: [taste] })}
        />
      </div>
      <NumberInput
        label={`What 100 mL of part ${i + 1} cost, if known`}
        value={costs[i] ?? ''}
        onChange={(typed) => setCosts({ ...costs, [i]: typed })}
      />
      {parts.length > 1 && (
        <button
          type="button"
          className="text-soft min-h-8 text-sm underline"
          onClick={() => {
            setParts(parts.filter((_, k) => k !== i))
            setCosts(
              Object.fromEntries(
                parts
                  .map((_, k) => costs[k] ?? '')
                  .filter((_, k) => k !== i)
                  .map((typed, k) => [k, typed]),
              ),
            )
          }}
        >
          leave part {i + 1} out
        </button>
      )}
    </div>
  )
}

/** As it is typed. */
interface Size {
  capacity: string
  count: string
}

/** The household's own bottles that are free, or others. */
function Bottles({
  free,
  ownSizes,
  sizes,
  setSizes,
}: {
  free: VesselView[]
  ownSizes: Size[] | undefined
  sizes: Size[]
  setSizes: (sizes: Size[]) => void
}) {
  return (
    <fieldset className="space-y-2">
      <legend className="text-soft text-sm font-medium">Bottles at hand</legend>
      {free.length > 0 && !ownSizes && <p className="text-soft text-sm">Your own that are free.</p>}
      {sizes.map((s, i) => (
        <div key={i} className="grid grid-cols-2 gap-2">
          <NumberInput
            label={`Size ${i + 1}`}
            unit="mL"
            value={s.capacity}
            onChange={(capacity) => setSizes(sizes.map((x, k) => (k === i ? { ...x, capacity } : x)))}
          />
          <NumberInput
            label={`How many of size ${i + 1}`}
            value={s.count}
            onChange={(count) => setSizes(sizes.map((x, k) => (k === i ? { ...x, count } : x)))}
          />
        </div>
      ))}
    </fieldset>
  )
}
