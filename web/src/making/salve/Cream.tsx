import { Choose } from '../../ui/Choose'
import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { EssentialOils, UNSCENTED } from './EssentialOils'
import { lotChoice, stockOf } from '../lots'
import { OILS } from '../oil/Oil'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

const EMULSIFIER: StockIn = { called: 'emulsifying wax' }
const PRESERVATIVE: StockIn = { called: 'cosmetic preservative' }

export const Cream = withLots(function Cream({ lots }) {
  const [total, setTotal] = useTyped('total', 60)
  const [oil, setOil] = useTyped<StockIn>('oil', () =>
    firstStock(lots, ['INFUSED_OIL', 'CARRIER_OIL'], { called: 'olive oil' }, 30),
  )
  const [oilPercent, setOilPercent] = useTyped('oilPercent', 30)
  const [emulsifier, setEmulsifier] = useTyped<StockIn>('emulsifier', () =>
    firstStock(lots, ['EMULSIFIER'], EMULSIFIER),
  )
  const [emulsifierPercent, setEmulsifierPercent] = useTyped('emulsifierPercent', 5)
  const [water, setWater] = useTyped<StockIn>('water')
  const [preservative, setPreservative] = useTyped<StockIn>('preservative')
  const [preservativePercent, setPreservativePercent] = useTyped('preservativePercent', 1)
  const [jar, setJar] = useTyped('jar', 30)
  const [scented, setScented] = useTyped('scented', UNSCENTED)
  const waters = stockOf(lots, ['TEA', 'WASH'])
  const lot = lots.find((l) => l.id === oil.lotId)
  const body = {
    kind: 'CREAM' as const,
    totalG: total,
    oil,
    oilPercent,
    emulsifier,
    emulsifierPercent,
    ...(water ? { water } : {}),
    ...(preservative ? { preservative, preservativePercent } : {}),
    ...scented,
    jarMl: jar,
  }
  return (
    <BenchOf
      title="Cream"
      called={`${lot?.herbs[0]?.commonName ?? 'Plain'} cream`}
      body={body}
      onBody={(field, id) => {
        if (field.startsWith('oil')) setOil(setPath({ oil }, field, id).oil)
        if (field.startsWith('emulsifier')) setEmulsifier(setPath({ emulsifier }, field, id).emulsifier)
        if (field.startsWith('preservative')) setPreservative({ lotId: id })
        if (field.startsWith('essential')) setScented(setPath(scented, field, id))
      }}
    >
      <Slider label="To make" unit="g" value={total} min={20} max={500} step={10} onChange={setTotal} />
      <Stock
        label="Oil"
        lots={lots}
        forms={['INFUSED_OIL', 'CARRIER_OIL']}
        value={oil}
        usual={OILS}
        onChange={setOil}
      />
      <Slider
        label="Oil phase"
        unit="%"
        value={oilPercent}
        min={5}
        max={80}
        step={1}
        onChange={setOilPercent}
      />
      <Choose
        label="Water phase"
        value={water?.lotId ?? 'boiled'}
        choices={[{ value: 'boiled', label: 'boiled water' }, ...waters.map(lotChoice)]}
        onChange={(v) => setWater(v === 'boiled' ? undefined : { lotId: v })}
      />
      <Stock
        label="Emulsifier"
        lots={lots}
        forms={['EMULSIFIER']}
        value={emulsifier}
        usual={[EMULSIFIER]}
        onChange={setEmulsifier}
      />
      <Slider
        label="Emulsifier, as its maker says"
        unit="%"
        value={emulsifierPercent}
        min={1}
        max={20}
        step={0.5}
        onChange={setEmulsifierPercent}
      />
      <Choose
        label="Preservative"
        value={preservative ? (preservative.lotId ?? 'described') : 'none'}
        choices={[
          { value: 'none', label: 'none', hint: 'keeps a week, cold' },
          ...stockOf(lots, ['PRESERVATIVE']).map(lotChoice),
          { value: 'described', label: 'a cosmetic preservative', hint: 'not on the shelf yet' },
        ]}
        onChange={(v) =>
          setPreservative(v === 'none' ? undefined : v === 'described' ? PRESERVATIVE : { lotId: v })
        }
      />
      {preservative && (
        <Slider
          label="Preservative, as its maker says"
          unit="%"
          value={preservativePercent}
          min={0.1}
          max={5}
          step={0.1}
          onChange={setPreservativePercent}
        />
      )}
      <EssentialOils lots={lots} value={scented} onChange={setScented} />
      <Slider label="Into jars of" unit="mL" value={jar} min={10} max={120} step={5} onChange={setJar} />
    </BenchOf>
  )
})
