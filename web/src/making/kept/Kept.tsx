import { Choose } from '../../ui/Choose'
import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

const SALTS: StockIn[] = [{ called: 'salt' }]
const WAYS = [
  { value: 'SALT' as const, label: 'with salt', hint: 'chopped, in a jar, cold' },
  { value: 'FROST' as const, label: 'frozen', hint: 'flat in a bag' },
]

export const Kept = withLots(function Kept({ lots }) {
  const [herbs, setHerbs] = useTyped<HerbIn[]>('herbs', () => [firstHerb(lots, 100, 'INTERNAL', 'FRESH')])
  const [by, setBy] = useTyped<'SALT' | 'FROST'>('by', 'SALT')
  const [salt, setSalt] = useTyped<StockIn>('salt', () => firstStock(lots, ['SALT'], { called: 'salt' }))
  const [saltG, setSaltG] = useTyped('saltG', 25)
  const body = {
    kind: 'KEPT' as const,
    herbs,
    by,
    ...(by === 'SALT' ? { salt, saltG } : {}),
    route: 'INTERNAL' as const,
  }
  const name = useHerbName(lots, herbs)
  return (
    <BenchOf
      title="Salted or frozen"
      called={by === 'SALT' ? `${name} in salt` : `${name}, frozen`}
      body={body}
      onBody={(field, id) => {
        if (field.startsWith('herbs')) setHerbs(setPath({ herbs }, field, id).herbs)
        if (field.startsWith('salt')) setSalt({ lotId: id })
      }}
    >
      <Herbs lots={lots} value={herbs} most={500} onChange={setHerbs} />
      <Choose label="How" value={by} choices={WAYS} onChange={setBy} />
      {by === 'SALT' && (
        <>
          <Stock label="Salt" lots={lots} forms={['SALT']} value={salt} usual={SALTS} onChange={setSalt} />
          <Slider label="Of salt" unit="g" value={saltG} min={1} max={300} step={1} onChange={setSaltG} />
        </>
      )}
    </BenchOf>
  )
})
