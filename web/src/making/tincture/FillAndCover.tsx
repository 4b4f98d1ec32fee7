import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider, Toggle } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { firstHerb, HerbChoice, useHerbName, type HerbIn } from '../Herbs'
import { setPath } from '../setPath'
import { firstStock, Stock, type StockIn } from '../Stock'
import { PRESS, SPIRITS, usePress } from './Spirits'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

type Request = Schemas['Covering']

export const FillAndCover = withLots(function FillAndCover({ lots }) {
  const [herb, setHerb] = useTyped<HerbIn>('herb', () => firstHerb(lots, 1, 'INTERNAL'))
  const [spirit, setSpirit] = useTyped<StockIn>('spirit', () =>
    firstStock(lots, ['SPIRIT'], SPIRITS[1] ?? {}, 200),
  )
  const [jarMl, setJarMl] = useTyped('jarMl', 250)
  const [fill, setFill] = useTyped('fill', 60)
  const [ownPress, setPress] = useTyped<Request['press']>('press')
  const usualPress = usePress()
  const press = ownPress ?? usualPress
  const [outside, setOutside] = useTyped('outside', false)
  const body = {
    kind: 'FILL_AND_COVER' as const,
    herb: { lotId: herb.lotId, taxonId: herb.taxonId, part: herb.part, state: herb.state },
    jarMl,
    fillFraction: fill / 100,
    spirit,
    press,
    route: outside ? ('EXTERNAL' as const) : ('INTERNAL' as const),
  }
  return (
    <BenchOf
      title="Fill and cover"
      called={`${useHerbName(lots, [herb])} tincture, by eye`}
      body={body}
      onBody={(field, id) => {
        const next = setPath({ herb, spirit }, field, id)
        setHerb({ ...next.herb, massG: 1 })
        setSpirit(next.spirit)
      }}
    >
      <HerbChoice lots={lots} herb={herb} label="Herb" onChange={(c) => setHerb({ ...herb, ...c })} />
      <Slider
        label="Jar, brimful"
        unit="mL"
        value={jarMl}
        min={50}
        max={2000}
        step={50}
        onChange={setJarMl}
      />
      <Slider
        label="Loose herb fills"
        unit="% of it"
        value={fill}
        min={10}
        max={100}
        step={5}
        onChange={setFill}
      />
      <Stock
        label="Covered with"
        lots={lots}
        forms={['SPIRIT']}
        value={spirit}
        usual={SPIRITS}
        onChange={setSpirit}
      />
      <Choose label="When to press" value={press} choices={PRESS} onChange={setPress} />
      <Toggle label="For the outside of the body only" checked={outside} onChange={setOutside} />
    </BenchOf>
  )
})
