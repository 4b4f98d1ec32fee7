import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Slider } from '../../ui/controls'
import { BenchOf } from '../BenchOf'
import { firstHerb, useHerbName } from '../Herbs'
import { setPath } from '../setPath'
import { TeaHerbs, type TeaHerb } from './TeaHerbs'
import { withLots } from '../WithLots'
import { useTyped } from '../../ui/kept'

type Use = Schemas['Washing']['use']

const USES: Record<Use, { label: string; hint: string; grams: number; ml: number; most: number }> = {
  WASH: { label: 'wash', hint: 'intact skin, small clean cuts', grams: 10, ml: 500, most: 3000 },
  COMPRESS: { label: 'compress', hint: 'a wrung cloth, renewed', grams: 15, ml: 500, most: 2000 },
  GARGLE: { label: 'gargle', hint: 'mouth and throat, spat out', grams: 8, ml: 250, most: 1000 },
  STEAM: { label: 'steam bowl', hint: 'not for children, nor with asthma', grams: 15, ml: 1000, most: 3000 },
  BATH: { label: 'bath', hint: 'lukewarm, twenty minutes', grams: 150, ml: 100_000, most: 200_000 },
}
const ALL = Object.keys(USES) as Use[]

export const Wash = withLots(function Wash({ lots }) {
  const [use, setUse] = useTyped<Use>('use', 'WASH')
  const [herbs, setHerbs] = useTyped<TeaHerb[]>('herbs', () => [
    { herb: firstHerb(lots, USES.WASH.grams, 'EXTERNAL') },
  ])
  const [wanted, setWanted] = useTyped('wanted', USES.WASH.ml)
  const body = { kind: 'WASH' as const, herbs, wantedMl: wanted, use }
  return (
    <BenchOf
      title="Wash, compress, bath, gargle, steam"
      called={`${useHerbName(
        lots,
        herbs.map((h) => h.herb),
      )} ${USES[use].label}`}
      body={body}
      onBody={(field, id) => setHerbs(setPath({ herbs }, field, id).herbs)}
    >
      <Choose
        label="What for"
        value={use}
        choices={ALL.map((u) => ({ value: u, label: USES[u].label, hint: USES[u].hint }))}
        onChange={(u) => {
          setUse(u)
          setWanted(USES[u].ml)
          setHerbs(herbs.map((h) => ({ ...h, herb: { ...h.herb, massG: USES[u].grams } })))
        }}
      />
      <TeaHerbs lots={lots} value={herbs} onChange={setHerbs} most={500} />
      <Slider
        label="Water for it"
        unit="mL"
        value={wanted}
        min={100}
        max={USES[use].most}
        step={use === 'BATH' ? 5000 : 50}
        onChange={setWanted}
      />
    </BenchOf>
  )
})
