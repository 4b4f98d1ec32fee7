import { useSearchParams } from 'react-router'
import type { Schemas } from '../../api/client'
import { useTaxon } from '../../herbarium/queries'
import { useKeepsTo } from '../../household/queries'
import { useLots } from '../../shelf/queries'
import { Choose } from '../../ui/Choose'
import { Slider, Toggle } from '../../ui/controls'
import { Loaded } from '../../ui/page'
import { figure } from '../../ui/words'
import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import { stockOf, usable, type LotView } from '../lots'
import { PRESS, Spirits, spiritsOf, usePress } from './Spirits'
import type { StockIn } from '../Stock'
import { setPath } from '../setPath'
import { useTyped } from '../../ui/kept'

type Request = Schemas['Tincturing']

export function Tincture() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <TinctureBench lots={all} />}</Loaded>
}

function TinctureBench({ lots }: { lots: LotView[] }) {
  const [search] = useSearchParams()
  const asked = search.get('lot')
  const keepsTo = useKeepsTo()
  const [ownHerbs, setHerbs] = useTyped<HerbIn[]>('herbs')
  const herbs = ownHerbs ?? [
    asked
      ? { lotId: asked, massG: 20 }
      : firstHerb(lots, 20, 'INTERNAL', keepsTo('FRESH_PLANT') ? 'FRESH' : 'DRIED'),
  ]
  const [ownRatio, setRatio] = useTyped<number>('ratio')
  const [ownStrength, setStrength] = useTyped<number>('strength')
  const [basis, setBasis] = useTyped<Request['basis']>('basis', 'MENSTRUUM')
  const [ownWater, setWaterCounts] = useTyped<boolean>('waterCounts')
  const waterCounts = ownWater ?? keepsTo('PLANT_WATER_COUNTS')
  const [jarMl, setJarMl] = useTyped('jarMl', 250)
  const [ownPress, setPress] = useTyped<Request['press']>('press')
  const usualPress = usePress()
  const press = ownPress ?? usualPress
  const [route, setRoute] = useTyped<Request['route']>('route', 'INTERNAL')
  const [ownSpirits, setSpirits] = useTyped<StockIn[]>('spirits')
  const spirits = ownSpirits ?? spiritsOf(lots)
  const lot = lots.find((l) => l.id === herbs[0]?.lotId)
  const card = useTaxon(lot?.taxonId ?? herbs[0]?.taxonId ?? '')
  const part = lot?.part ?? herbs[0]?.part
  const advice = card.data?.parts.find((p) => p.part === part)?.spirit
  // By the household's school: as the card has it, table spirit for all, or the strongest to hand.
  const strongest = Math.max(
    40,
    ...stockOf(lots, ['SPIRIT'])
      .filter(usable)
      .map((l) => l.strengthPercent ?? 0),
  )
  const strength =
    ownStrength ??
    (keepsTo('TABLE_SPIRIT') ? 40 : keepsTo('STRONGEST') ? strongest : (advice?.menstruumPercent ?? 45))
  const ratio = ownRatio ?? advice?.ratio ?? 5
  const body = {
    kind: 'TINCTURE' as const,
    herbs,
    ratio,
    waterCounts,
    basis,
    strengthPercent: strength,
    spirits,
    jarMl,
    press,
    route,
  }
  return (
    <BenchOf
      title="Tincture"
      called={`${useHerbName(lots, herbs)} tincture`}
      body={body}
      onBody={(field, id) => {
        const next = setPath(body, field, id)
        setHerbs(next.herbs)
        setSpirits(next.spirits)
      }}
    >
      <Herbs lots={lots} value={herbs} onChange={setHerbs} />
      <Spirits lots={lots} value={spirits} onChange={setSpirits} />
      <Slider label="Ratio, 1 g to" unit="mL" value={ratio} min={1} max={20} step={0.5} onChange={setRatio} />
      <Slider
        label="Strength"
        unit="% vol"
        value={strength}
        min={20}
        max={96}
        step={1}
        onChange={setStrength}
      />
      {advice && (
        <p className="text-soft text-sm">
          Card: 1:{figure(advice.ratio)} in {figure(advice.menstruumPercent)} % ({advice.source.title},{' '}
          {advice.source.year}; not checked by this household)
        </p>
      )}
      <Choose
        label="This strength is that of"
        value={basis}
        onChange={setBasis}
        choices={[
          { value: 'MENSTRUUM', label: 'the menstruum, as poured', hint: 'menstruum: the liquid that draws' },
          { value: 'FINAL', label: 'the finished tincture', hint: "after the plant's own water" },
        ]}
      />
      <Slider
        label="Jar, brimful"
        unit="mL"
        value={jarMl}
        min={50}
        max={2000}
        step={50}
        onChange={setJarMl}
      />
      <Choose label="When to press" value={press} choices={PRESS} onChange={setPress} />
      <Toggle label="The plant's water counts as liquid" checked={waterCounts} onChange={setWaterCounts} />
      <Toggle
        label="For the outside of the body only"
        checked={route === 'EXTERNAL'}
        onChange={(on) => setRoute(on ? 'EXTERNAL' : 'INTERNAL')}
      />
    </BenchOf>
  )
}
