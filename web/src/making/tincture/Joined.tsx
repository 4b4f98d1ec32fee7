import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { stockOf } from '../lots'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

type Order = Schemas['Joining']['order']

const TINCTURES: StockIn[] = [{ called: 'tincture', strengthPercent: 60 }]
const DECOCTIONS: StockIn[] = [{ called: 'decoction' }]
const ORDERS: { value: Order; label: string; hint: string }[] = [
  { value: 'SPIRIT_FIRST', label: 'spirit first', hint: 'the pressed herb is simmered afterwards' },
  { value: 'DECOCTION_FIRST', label: 'decoction first', hint: 'the boiled herb goes into spirit' },
]

export const Joined = withLots(function Joined({ lots }) {
  const [tincture, setTincture] = useTyped<StockIn>('tincture', () =>
    firstStock(lots, ['TINCTURE'], { called: 'tincture', strengthPercent: 60 }),
  )
  const lot = stockOf(lots, ['TINCTURE']).find((l) => l.id === tincture.lotId)
  const [decoction, setDecoction] = useTyped<StockIn>('decoction', () =>
    firstStock(
      // It is the same herb that is extracted twice.
      lots.filter((l) => l.herbs.some((h) => h.taxonId === lot?.herbs[0]?.taxonId)),
      ['TEA'],
      { called: 'decoction' },
    ),
  )
  const [ml, setMl] = useTyped('ml', 50)
  const [target, setTarget] = useTyped('target', 30)
  const [order, setOrder] = useTyped<Order>('order', 'SPIRIT_FIRST')
  const body = {
    kind: 'JOINED' as const,
    tincture,
    tinctureMl: ml,
    decoction,
    targetPercent: target,
    order,
    route: 'INTERNAL' as const,
  }
  return (
    <BenchOf
      title="Two extractions joined"
      called={`${lot?.herbs[0]?.commonName ?? 'Herb'}, twice extracted`}
      body={body}
      onBody={(field, id) => {
        const next = setPath({ tincture, decoction }, field, id)
        setTincture(next.tincture)
        setDecoction(next.decoction)
      }}
    >
      <Stock
        label="Tincture"
        lots={lots}
        forms={['TINCTURE']}
        value={tincture}
        usual={TINCTURES}
        onChange={setTincture}
      />
      <Slider label="Of it" unit="mL" value={ml} min={5} max={500} step={5} onChange={setMl} />
      <Stock
        label="Decoction"
        lots={lots}
        forms={['TEA']}
        value={decoction}
        usual={DECOCTIONS}
        onChange={setDecoction}
      />
      <Slider label="To end at" unit="% vol" value={target} min={20} max={60} step={1} onChange={setTarget} />
      <Choose label="In which order" value={order} choices={ORDERS} onChange={setOrder} />
    </BenchOf>
  )
})
