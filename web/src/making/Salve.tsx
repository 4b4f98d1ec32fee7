import { useState } from 'react'
import type { Schemas } from '../api/client'
import { useLots } from '../shelf/queries'
import { Choose, Slider } from '../ui/controls'
import { FIRMNESS as FIRMNESS_WORDS } from '../ui/dictionary'
import { Loaded } from '../ui/page'
import { BenchOf } from './BenchOf'
import type { LotView } from './lots'
import { OILS } from './Oil'
import { setPath } from './setPath'
import { firstStock, Stock, type StockIn } from './Stock'

type Request = Schemas['Salving']
const FIRMNESS: Request['firmness'][] = ['SOFT', 'MEDIUM', 'FIRM', 'STICK']
const WAXES: StockIn[] = [{ called: 'beeswax' }, { called: 'candelilla wax' }, { called: 'carnauba wax' }]

export function Salve() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <SalveBench lots={all} />}</Loaded>
}

function SalveBench({ lots }: { lots: LotView[] }) {
  const [oil, setOil] = useState<StockIn>(() =>
    firstStock(lots, ['INFUSED_OIL', 'CARRIER_OIL'], { called: 'olive oil' }, 80),
  )
  const [wax, setWax] = useState<StockIn>(() => firstStock(lots, ['WAX'], { called: 'beeswax' }))
  const [capacity, setCapacity] = useState(30)
  const [count, setCount] = useState(1)
  const [firmness, setFirmness] = useState<Request['firmness']>('MEDIUM')
  const [storage, setStorage] = useState(20)
  const lot = lots.find((l) => l.id === oil.lotId)
  const body = {
    kind: 'SALVE' as const,
    oil,
    wax,
    tins: [{ capacityMl: capacity, count }],
    firmness,
    storageTemperatureC: storage,
  }
  return (
    <BenchOf
      title="Salve"
      called={`${lot?.herbs[0]?.commonName ?? 'Plain'} salve`}
      body={body}
      onBody={(field, id) => {
        const next = setPath(body, field, id)
        setOil(next.oil)
        setWax(next.wax)
      }}
    >
      <Stock
        label="Infused oil"
        lots={lots}
        forms={['INFUSED_OIL', 'CARRIER_OIL']}
        value={oil}
        usual={OILS}
        onChange={setOil}
      />
      <Stock label="Wax" lots={lots} forms={['WAX']} value={wax} usual={WAXES} onChange={setWax} />
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
}
