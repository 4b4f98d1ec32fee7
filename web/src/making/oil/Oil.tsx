import type { Schemas } from '../../api/client'
import { useKeepsTo } from '../../household/queries'
import { useLots } from '../../shelf/queries'
import { Choose } from '../../ui/Choose'
import { Slider, Toggle } from '../../ui/controls'
import { Loaded } from '../../ui/page'
import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import type { LotView } from '../lots'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { useTyped } from '../../ui/kept'

type Request = Schemas['Infusing']

const METHODS: { value: Request['method']; label: string; hint: string }[] = [
  { value: 'COLD', label: 'cold, in the dark', hint: 'two to eight weeks' },
  { value: 'SUN', label: 'in the sun', hint: 'turns sooner: three quarters of its life' },
  { value: 'WARM', label: 'warm', hint: '40 to 60 °C for hours' },
  { value: 'SPIRIT_THEN_WARM', label: 'moistened with spirit, then warm', hint: 'air it off first' },
]

export const OILS: StockIn[] = [
  { called: 'olive oil' },
  { called: 'sunflower oil' },
  { called: 'almond oil' },
  { called: 'rapeseed oil' },
]

export function Oil() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <OilBench lots={all} />}</Loaded>
}

function OilBench({ lots }: { lots: LotView[] }) {
  const keepsTo = useKeepsTo()
  const [ownHerbs, setHerbs] = useTyped<HerbIn[]>('herbs')
  const herbs = ownHerbs ?? [
    firstHerb(
      lots,
      30,
      'EXTERNAL',
      keepsTo('FRESH_IN_OIL') ? 'FRESH' : keepsTo('WILTED_IN_OIL') ? 'WILTED' : 'DRIED',
    ),
  ]
  const [carrier, setCarrier] = useTyped<StockIn>('carrier', () =>
    firstStock(lots, ['CARRIER_OIL'], { called: 'olive oil' }),
  )
  const [ratio, setRatio] = useTyped('ratio', 7)
  const [ownMethod, setMethod] = useTyped<Request['method']>('method')
  const method = ownMethod ?? (keepsTo('SUN_OIL') ? 'SUN' : keepsTo('WARM_OIL') ? 'WARM' : 'COLD')
  const [eaten, setEaten] = useTyped('eaten', false)
  const body = {
    kind: 'INFUSED_OIL' as const,
    herbs,
    ratio,
    carrier,
    method,
    route: eaten ? ('INTERNAL' as const) : ('EXTERNAL' as const),
  }
  return (
    <BenchOf
      title="Infused oil"
      called={`${useHerbName(lots, herbs)} oil`}
      body={body}
      onBody={(field, id) => {
        const next = setPath(body, field, id)
        setHerbs(next.herbs)
        setCarrier(next.carrier)
      }}
    >
      <Herbs lots={lots} value={herbs} onChange={setHerbs} />
      <Stock
        label="Carrier oil"
        lots={lots}
        forms={['CARRIER_OIL']}
        value={carrier}
        usual={OILS}
        onChange={setCarrier}
      />
      <Slider label="Ratio, 1 g to" unit="mL" value={ratio} min={2} max={20} step={0.5} onChange={setRatio} />
      <Choose label="How" value={method} choices={METHODS} onChange={setMethod} />
      <Toggle label="It will be eaten" checked={eaten} onChange={setEaten} />
    </BenchOf>
  )
}
