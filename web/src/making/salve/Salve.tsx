import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider } from '../../ui/controls'
import { FIRMNESS as FIRMNESS_WORDS } from '../../ui/dictionary'
import { BenchOf } from '../BenchOf'
import { EssentialOils, UNSCENTED } from './EssentialOils'
import { OILS } from '../oil/Oil'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'
import { LotView } from '../lots'

type Request = Schemas['Salving']
type OilIn = Request['oils'][number]
const FIRMNESS: Request['firmness'][] = ['SOFT', 'MEDIUM', 'FIRM', 'STICK']
const WAXES: StockIn[] = [{ called: 'beeswax' }, { called: 'candelilla wax' }, { called: 'carnauba wax' }]
const BUTTERS: StockIn[] = [{ called: 'shea butter' }, { called: 'cocoa butter' }]

export const Salve = withLots(function Salve({ lots }) {
  const [oils, setOils] = useTyped<OilIn[]>('oils', () => [
    { stock: firstStock(lots, ['INFUSED_OIL', 'CARRIER_OIL'], { called: 'olive oil' }, 80), parts: 1 },
  ])
  const [wax, setWax] = useTyped<StockIn>('wax', () => firstStock(lots, ['WAX'], { called: 'beeswax' }))
  const [butter, setButter] = useTyped<StockIn>('butter')
  const [butterPercent, setButterPercent] = useTyped('butterPercent', 15)
  const [scented, setScented] = useTyped('scented', UNSCENTED)
  const [capacity, setCapacity] = useTyped('capacity', 30)
  const [count, setCount] = useTyped('count', 1)
  const [firmness, setFirmness] = useTyped<Request['firmness']>('firmness', 'MEDIUM')
  const [storage, setStorage] = useTyped('storage', 20)
  const lot = lots.find((l) => l.id === oils[0]?.stock.lotId)
  const body = {
    kind: 'SALVE' as const,
    oils,
    wax,
    ...(butter ? { butter, butterPercent } : {}),
    ...scented,
    tins: [{ capacityMl: capacity, count }],
    firmness,
    storageTemperatureC: storage,
  }
  const set = (i: number, change: Partial<OilIn>) =>
    setOils(oils.map((o, k) => (k === i ? { ...o, ...change } : o)))
  return (
    <BenchOf
      title="Salve"
      called={`${lot?.herbs[0]?.commonName ?? 'Plain'} salve`}
      body={body}
      onBody={(field, id) => {
        if (field.startsWith('oils')) setOils(setPath({ oils }, field, id).oils)
        if (field.startsWith('wax')) setWax({ lotId: id })
        if (field.startsWith('butter')) setButter({ lotId: id })
        if (field.startsWith('essential')) setScented(setPath(scented, field, id))
      }}
    >
      {oils.map((o, i) => (
        <div key={i} className={i > 0 ? 'border-line space-y-2 border-t pt-2' : 'space-y-2'}>
          <Stock
            label={i === 0 ? 'Infused oil' : `Oil ${i + 1}`}
            lots={lots}
            forms={['INFUSED_OIL', 'CARRIER_OIL']}
            value={o.stock}
            usual={OILS}
            onChange={(stock) => set(i, { stock })}
          />
          {oils.length > 1 && (
            <>
              <Slider
                label={`Parts of oil ${i + 1}`}
                unit="parts"
                value={o.parts}
                min={0.5}
                max={10}
                step={0.5}
                onChange={(parts) => set(i, { parts })}
              />
              <button
                type="button"
                className="text-soft min-h-8 text-sm underline"
                onClick={() => setOils(oils.filter((_, k) => k !== i))}
              >
                leave oil {i + 1} out
              </button>
            </>
          )}
        </div>
      ))}
      <button
        type="button"
        className="block min-h-8 underline"
        onClick={() => setOils([...oils, { stock: { called: 'olive oil' }, parts: 1 }])}
      >
        Another oil
      </button>
      <Stock label="Wax" lots={lots} forms={['WAX']} value={wax} usual={WAXES} onChange={setWax} />
      <Butter
        butter={butter}
        lots={lots}
        setButter={setButter}
        butterPercent={butterPercent}
        setButterPercent={setButterPercent}
      />
      <EssentialOils lots={lots} value={scented} onChange={setScented} />
      <Slider label="Tin" unit="mL" value={capacity} min={5} max={120} step={5} onChange={setCapacity} />
      <Slider label="Tins" unit="of them" value={count} min={1} max={20} step={1} onChange={setCount} />
      <Choose
        label="Firmness"
        value={firmness}
        choices={FIRMNESS.map((f) => ({ value: f, label: FIRMNESS_WORDS[f] }))}
        onChange={setFirmness}
      />
      <Slider label="Kept at" unit="°C" value={storage} min={0} max={35} step={1} onChange={setStorage} />
    </BenchOf>
  )
})

/** Shea, cocoa and their like, or none. */
function Butter({
  butter,
  lots,
  setButter,
  butterPercent,
  setButterPercent,
}: {
  butter: StockIn | undefined
  lots: LotView[]
  setButter: (butter: StockIn | undefined) => void
  butterPercent: number
  setButterPercent: (percent: number) => void
}) {
  return (
    <>
      {butter ? (
        <>
          <Stock
            label="Butter"
            lots={lots}
            forms={['BUTTER']}
            value={butter}
            usual={BUTTERS}
            onChange={setButter}
          />
          <Slider
            label="Butter in the oil"
            unit="%"
            value={butterPercent}
            min={5}
            max={80}
            step={5}
            onChange={setButterPercent}
          />
          <button
            type="button"
            className="text-soft min-h-8 text-sm underline"
            onClick={() => setButter(undefined)}
          >
            leave the butter out
          </button>
        </>
      ) : (
        <button
          type="button"
          className="block min-h-8 underline"
          onClick={() => setButter(firstStock(lots, ['BUTTER'], { called: 'shea butter' }))}
        >
          With butter
        </button>
      )}
    </>
  )
}
