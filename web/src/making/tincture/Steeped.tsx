import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider, Toggle } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import type { LotForm, LotView } from '../lots'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

type Into = Schemas['Steeping']['into']

const VINEGAR: StockIn = { called: 'wine vinegar', strengthPercent: 6 }
const LIQUIDS: Record<Into, { label: string; hint: string; form: LotForm; usual: StockIn; called: string }> =
  {
    VINEGAR: {
      label: 'vinegar',
      hint: '5 % acidity or more',
      form: 'VINEGAR',
      usual: VINEGAR,
      called: 'vinegar',
    },
    GLYCERINE: {
      label: 'glycerine',
      hint: 'at least 55 % of the end, without alcohol',
      form: 'GLYCERINE',
      usual: { called: 'vegetable glycerine', strengthPercent: 99 },
      called: 'glycerite',
    },
    HONEY: {
      label: 'honey',
      hint: 'with vinegar an oxymel; never under one year',
      form: 'HONEY',
      usual: { called: 'honey' },
      called: 'honey',
    },
    WINE: {
      label: 'fortified wine',
      hint: '15 % or more at the end',
      form: 'WINE',
      usual: { called: 'fortified wine', strengthPercent: 18 },
      called: 'wine',
    },
  }
const INTOS = Object.keys(LIQUIDS) as Into[]

const firstLiquid = (lots: LotView[], into: Into) =>
  firstStock(lots, [LIQUIDS[into].form], LIQUIDS[into].usual)

export const Steeped = withLots(function Steeped({ lots }) {
  const [herbs, setHerbs] = useTyped<HerbIn[]>('herbs', () => [firstHerb(lots, 20, 'INTERNAL')])
  const [into, setInto] = useTyped<Into>('into', 'VINEGAR')
  const [liquid, setLiquid] = useTyped<StockIn>('liquid', () => firstLiquid(lots, 'VINEGAR'))
  const [ratio, setRatio] = useTyped('ratio', 8)
  const [share, setShare] = useTyped('share', 0)
  const [vinegar, setVinegar] = useTyped<StockIn>('vinegar', () => firstLiquid(lots, 'VINEGAR'))
  const [outside, setOutside] = useTyped('outside', false)
  const oxymel = into === 'HONEY' && share > 0
  const body = {
    kind: 'STEEPED' as const,
    herbs,
    ratio,
    into,
    liquid,
    ...(oxymel ? { vinegar, vinegarFraction: share / 100 } : {}),
    route: outside ? ('EXTERNAL' as const) : ('INTERNAL' as const),
  }
  return (
    <BenchOf
      title="In vinegar, honey, glycerine or wine"
      called={`${useHerbName(lots, herbs)} ${oxymel ? 'oxymel' : LIQUIDS[into].called}`}
      body={body}
      onBody={(field, id) => {
        const next = setPath({ herbs, liquid, vinegar }, field, id)
        setHerbs(next.herbs)
        setLiquid(next.liquid)
        setVinegar(next.vinegar)
      }}
    >
      <Choose
        label="Steeped in"
        value={into}
        choices={INTOS.map((i) => ({ value: i, label: LIQUIDS[i].label, hint: LIQUIDS[i].hint }))}
        onChange={(next) => {
          setInto(next)
          setLiquid(firstLiquid(lots, next))
        }}
      />
      <Stock
        label={`Which ${LIQUIDS[into].label}`}
        lots={lots}
        forms={[LIQUIDS[into].form]}
        value={liquid}
        usual={[LIQUIDS[into].usual]}
        onChange={setLiquid}
      />
      {into === 'HONEY' && (
        <Slider
          label="Vinegar with it: an oxymel"
          unit="%"
          value={share}
          min={0}
          max={90}
          step={5}
          onChange={setShare}
        />
      )}
      {oxymel && (
        <Stock
          label="Which vinegar"
          lots={lots}
          forms={['VINEGAR']}
          value={vinegar}
          usual={[VINEGAR]}
          onChange={setVinegar}
        />
      )}
      <Herbs lots={lots} value={herbs} onChange={setHerbs} />
      <Slider label="Ratio, 1 g to" unit="mL" value={ratio} min={2} max={20} step={0.5} onChange={setRatio} />
      <Toggle label="For the outside of the body only" checked={outside} onChange={setOutside} />
    </BenchOf>
  )
})
