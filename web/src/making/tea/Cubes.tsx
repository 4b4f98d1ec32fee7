import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { stockOf } from '../lots'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

export const Cubes = withLots(function Cubes({ lots }) {
  const [liquid, setLiquid] = useTyped<StockIn>('liquid', () => firstStock(lots, ['TEA'], { called: 'tea' }))
  const lot = stockOf(lots, ['TEA']).find((l) => l.id === liquid.lotId)
  const [ownMl, setMl] = useTyped<number>('ml')
  const ml = ownMl ?? (Math.floor(lot?.remaining ?? 0) || 250)
  const [hole, setHole] = useTyped('hole', 20)
  const [holes, setHoles] = useTyped('holes', 12)
  const body = {
    kind: 'ICE_CUBES' as const,
    liquid,
    volumeMl: ml,
    holeMl: hole,
    holes,
    route: 'INTERNAL' as const,
  }
  return (
    <BenchOf
      title="Ice cubes"
      called={`${lot?.name ?? 'Tea'}, frozen`}
      body={body}
      onBody={(field, id) => setLiquid(setPath({ liquid }, field, id).liquid)}
    >
      <Stock
        label="Tea"
        lots={lots}
        forms={['TEA']}
        value={liquid}
        usual={[{ called: 'tea' }]}
        onChange={setLiquid}
      />
      <Slider label="Of it" unit="mL" value={ml} min={20} max={2000} step={10} onChange={setMl} />
      <Slider
        label="One hole of the tray"
        unit="mL"
        value={hole}
        min={5}
        max={60}
        step={1}
        onChange={setHole}
      />
      <Slider label="Holes in a tray" unit="" value={holes} min={4} max={40} step={1} onChange={setHoles} />
    </BenchOf>
  )
})
