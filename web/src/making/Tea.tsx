import { useState } from 'react'
import type { Schemas } from '../api/client'
import { Choose, Slider, Toggle } from '../ui/controls'
import { BenchOf } from './BenchOf'
import { firstHerb, useHerbName } from './Herbs'
import { setPath } from './setPath'
import { TeaHerbs, type TeaHerb } from './TeaHerbs'
import { withLots } from './WithLots'

type Liquid = NonNullable<Schemas['Brewing']['liquid']>

const LIQUIDS: { value: Liquid; label: string; hint?: string }[] = [
  { value: 'WATER', label: 'water' },
  { value: 'MILK', label: 'milk', hint: 'draws what fat draws' },
  { value: 'VINEGAR_AND_WATER', label: 'vinegar and water', hint: 'one part to three' },
]

export const Tea = withLots(function Tea({ lots }) {
  const [herbs, setHerbs] = useState<TeaHerb[]>(() => [{ herb: firstHerb(lots, 3, 'INTERNAL') }])
  const [wanted, setWanted] = useState(250)
  const [liquid, setLiquid] = useState<Liquid>('WATER')
  const [honey, setHoney] = useState(false)
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
      <Slider label="Wanted" unit="mL" value={wanted} min={100} max={2000} step={50} onChange={setWanted} />
      <Choose label="In" value={liquid} choices={LIQUIDS} onChange={setLiquid} />
      <Toggle label="Sweetened with honey" checked={honey} onChange={setHoney} />
    </BenchOf>
  )
})
