import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { firstHerb, Herbs, useHerbName, type HerbIn } from '../Herbs'
import { setPath } from '../setPath'
import { Spirits, spiritsOf } from './Spirits'
import type { StockIn } from '../Stock'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

export const Percolation = withLots(function Percolation({ lots }) {
  const [herb, setHerb] = useTyped<HerbIn>('herb', () => firstHerb(lots, 50, 'INTERNAL'))
  const [ratio, setRatio] = useTyped('ratio', 5)
  const [strength, setStrength] = useTyped('strength', 45)
  const [drops, setDrops] = useTyped('drops', 40)
  const [ownSpirits, setSpirits] = useTyped<StockIn[]>('spirits')
  const spirits = ownSpirits ?? spiritsOf(lots)
  const body = {
    kind: 'PERCOLATION' as const,
    herb,
    ratio,
    strengthPercent: strength,
    spirits,
    dropsPerMl: drops,
    route: 'INTERNAL' as const,
  }
  return (
    <BenchOf
      title="Percolation"
      called={`${useHerbName(lots, [herb])} percolate`}
      body={body}
      onBody={(field, id) => {
        const next = setPath(body, field, id)
        setHerb(next.herb)
        setSpirits(next.spirits)
      }}
    >
      <Herbs lots={lots} value={[herb]} more={false} onChange={([h]) => h && setHerb(h)} />
      <Spirits lots={lots} value={spirits} onChange={setSpirits} />
      <Slider
        label="Product, 1 g to"
        unit="mL"
        value={ratio}
        min={2}
        max={20}
        step={0.5}
        onChange={setRatio}
      />
      <Slider
        label="Strength"
        unit="% vol"
        value={strength}
        min={20}
        max={96}
        step={1}
        onChange={setStrength}
      />
      <Slider
        label="Drops of the tap"
        unit="to 1 mL"
        value={drops}
        min={10}
        max={60}
        step={1}
        onChange={setDrops}
      />
    </BenchOf>
  )
})
