import { Slider, Toggle } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { stockOf } from '../lots'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

const TEAS: StockIn[] = [{ called: 'strong decoction' }]

export const Syrup = withLots(function Syrup({ lots }) {
  const [liquid, setLiquid] = useTyped<StockIn>('liquid', () =>
    firstStock(lots, ['TEA'], { called: 'strong decoction' }),
  )
  const lot = stockOf(lots, ['TEA']).find((l) => l.id === liquid.lotId)
  const [ownMl, setMl] = useTyped<number>('ml')
  const ml = ownMl ?? (Math.floor(lot?.remaining ?? 0) || 250)
  const [honey, setHoney] = useTyped('honey', false)
  const sugarOr = honey ? ({ called: 'honey' } as StockIn) : ({ called: 'sugar' } as StockIn)
  const [own, setSweet] = useTyped<StockIn>('sweet')
  const sweet = own ?? firstStock(lots, [honey ? 'HONEY' : 'SUGAR'], sugarOr)
  const [brix, setBrix] = useTyped('brix', 65)
  const body = {
    kind: 'SYRUP' as const,
    liquid,
    liquidMl: ml,
    sweet,
    honey,
    sugarPercent: brix,
    route: 'INTERNAL' as const,
  }
  return (
    <BenchOf
      title="Syrup"
      called={`${lot?.name ?? 'Herb'} syrup`}
      body={body}
      onBody={(field, id) => {
        const next = setPath({ liquid, sweet }, field, id)
        setLiquid(next.liquid)
        setSweet(next.sweet)
      }}
    >
      <Stock
        label="Tea or decoction"
        lots={lots}
        forms={['TEA']}
        value={liquid}
        usual={TEAS}
        onChange={setLiquid}
      />
      <Slider label="Of it" unit="mL" value={ml} min={50} max={2000} step={10} onChange={setMl} />
      <Toggle
        label="With honey instead of sugar"
        checked={honey}
        onChange={(on) => {
          setHoney(on)
          setSweet(undefined)
        }}
      />
      <Stock
        label={honey ? 'Honey' : 'Sugar'}
        lots={lots}
        forms={[honey ? 'HONEY' : 'SUGAR']}
        value={sweet}
        usual={[sugarOr]}
        onChange={setSweet}
      />
      <Slider
        label="Sugar in the syrup"
        unit="%"
        value={brix}
        min={30}
        max={75}
        step={1}
        onChange={setBrix}
      />
    </BenchOf>
  )
})
