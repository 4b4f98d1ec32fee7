import { Toggle } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import { herbLots, usable } from '../lots'
import { setPath } from '../setPath'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

export const Dry = withLots(function Dry({ lots }) {
  const [herbs, setHerbs] = useTyped<HerbIn[]>('herbs', () => {
    const jars = herbLots(lots).filter((l) => l.stage === 'STOCK' && l.route === 'INTERNAL' && usable(l))
    return jars.length > 1
      ? jars.slice(0, 2).map((l) => ({ lotId: l.id, massG: Math.min(20, Math.floor(l.remaining) || 1) }))
      : [firstHerb(lots, 20, 'INTERNAL')]
  })
  const [ground, setGround] = useTyped('ground', false)
  const [outside, setOutside] = useTyped('outside', false)
  const name = useHerbName(lots, herbs)
  const body = {
    kind: 'DRY' as const,
    herbs,
    ground,
    route: outside ? ('EXTERNAL' as const) : ('INTERNAL' as const),
  }
  return (
    <BenchOf
      title="Tea mixture or powder"
      called={ground ? `${name} powder` : `Tea mixture with ${name}`}
      body={body}
      onBody={(field, id) => setHerbs(setPath({ herbs }, field, id).herbs)}
    >
      <Herbs lots={lots} value={herbs} onChange={setHerbs} most={500} />
      <Toggle label="Ground to a powder" checked={ground} onChange={setGround} />
      <Toggle label="For the outside of the body only" checked={outside} onChange={setOutside} />
    </BenchOf>
  )
})
