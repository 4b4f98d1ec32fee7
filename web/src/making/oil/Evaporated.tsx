import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { OILS } from './Oil'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

const DECOCTIONS: StockIn[] = [{ called: 'decoction' }]

export const Evaporated = withLots(function Evaporated({ lots }) {
  const [decoction, setDecoction] = useTyped<StockIn>('decoction', () =>
    firstStock(lots, ['TEA', 'WASH'], { called: 'decoction' }),
  )
  const [carrier, setCarrier] = useTyped<StockIn>('carrier', () =>
    firstStock(lots, ['CARRIER_OIL'], { called: 'olive oil' }),
  )
  const [ml, setMl] = useTyped('ml', 200)
  const [oil, setOil] = useTyped('oil', 100)
  const lot = lots.find((l) => l.id === decoction.lotId)
  const body = {
    kind: 'EVAPORATED_OIL' as const,
    decoction,
    decoctionMl: ml,
    carrier,
    oilMl: oil,
  }
  return (
    <BenchOf
      title="A decoction into oil"
      called={`${lot?.herbs[0]?.commonName ?? 'Herb'} oil, simmered`}
      body={body}
      onBody={(field, id) => {
        const next = setPath({ decoction, carrier }, field, id)
        setDecoction(next.decoction)
        setCarrier(next.carrier)
      }}
    >
      <Stock
        label="Decoction"
        lots={lots}
        forms={['TEA', 'WASH']}
        value={decoction}
        usual={DECOCTIONS}
        onChange={setDecoction}
      />
      <Slider label="Of it" unit="mL" value={ml} min={10} max={2000} step={10} onChange={setMl} />
      <Stock
        label="Carrier oil"
        lots={lots}
        forms={['CARRIER_OIL']}
        value={carrier}
        usual={OILS}
        onChange={setCarrier}
      />
      <Slider label="Of the oil" unit="mL" value={oil} min={10} max={1000} step={10} onChange={setOil} />
    </BenchOf>
  )
})
