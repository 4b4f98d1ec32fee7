import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider, Toggle } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { useTaxon } from '../../herbarium/queries'
import { figure } from '../../ui/words'
import { firstHerb, useHerbName } from '../Herbs'
import { setPath } from '../setPath'
import { TeaHerbs, type TeaHerb } from './TeaHerbs'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

type Liquid = NonNullable<Schemas['Brewing']['liquid']>

const LIQUIDS: { value: Liquid; label: string; hint?: string }[] = [
  { value: 'WATER', label: 'water' },
  { value: 'MILK', label: 'milk', hint: 'draws what fat draws' },
  { value: 'VINEGAR_AND_WATER', label: 'vinegar and water', hint: 'one part to three' },
]

export const Tea = withLots(function Tea({ lots }) {
  const [wanted, setWanted] = useTyped('wanted', 250)
  const [own, setHerbs] = useTyped<TeaHerb[]>('herbs')
  const first = firstHerb(lots, 3, 'INTERNAL')
  const lot = lots.find((l) => l.id === (own?.[0]?.herb ?? first).lotId)
  const card = useTaxon(lot?.taxonId ?? own?.[0]?.herb.taxonId ?? '')
  const part = lot?.part ?? own?.[0]?.herb.part
  const advice = card.data?.parts.find((p) => p.part === part)?.tea
  // As strong as the card has it, until somebody says otherwise.
  const byCard = advice ? Math.max(1, Math.round((advice.gramsPerCup / advice.cupMl) * wanted)) : undefined
  const herbs = own ?? [{ herb: { ...first, massG: byCard ?? first.massG ?? 3 } }]
  const [liquid, setLiquid] = useTyped<Liquid>('liquid', 'WATER')
  const [honey, setHoney] = useTyped('honey', false)
  const body = { kind: 'TEA' as const, herbs, wantedMl: wanted, liquid, honey, route: 'INTERNAL' as const }
  const name = useHerbName(
    lots,
    herbs.map((h) => h.herb),
  )
  return (
    <BenchOf
      title="Tea"
      called={herbs.length > 1 ? `${name} tea with ${herbs.length - 1} more` : `${name} tea`}
      body={body}
      onBody={(field, id) => setHerbs(setPath({ herbs }, field, id).herbs)}
    >
      <TeaHerbs lots={lots} value={herbs} onChange={setHerbs} most={60} />
      {advice && (
        <p className="text-soft text-sm">
          Card: {figure(advice.gramsPerCup)} g to {figure(advice.cupMl)} mL, {figure(advice.minutes)} minutes
          ({advice.source.title}, {advice.source.year}; not checked by this household)
        </p>
      )}
      <Slider label="Wanted" unit="mL" value={wanted} min={100} max={2000} step={50} onChange={setWanted} />
      <Choose label="In" value={liquid} choices={LIQUIDS} onChange={setLiquid} />
      <Toggle label="Sweetened with honey" checked={honey} onChange={setHoney} />
    </BenchOf>
  )
})
