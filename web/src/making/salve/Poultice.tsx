import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import { setPath } from '../setPath'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

export const Poultice = withLots(function Poultice({ lots }) {
  const [herbs, setHerbs] = useTyped<HerbIn[]>('herbs', () => [firstHerb(lots, 30, 'EXTERNAL', 'FRESH')])
  const body = { kind: 'POULTICE' as const, herbs }
  return (
    <BenchOf
      title="Poultice"
      called={`${useHerbName(lots, herbs)} poultice`}
      body={body}
      onBody={(field, id) => setHerbs(setPath({ herbs }, field, id).herbs)}
    >
      <Herbs lots={lots} value={herbs} onChange={setHerbs} />
    </BenchOf>
  )
})
