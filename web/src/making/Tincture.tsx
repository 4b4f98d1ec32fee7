import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useTaxon } from '../herbarium/queries'
import { useKeepsTo } from '../household/queries'
import { useLots } from '../shelf/queries'
import { Jar } from '../shelf/Vessel'
import { Choose, Slider, Toggle } from '../ui/controls'
import { Figure, Loaded, RangeBar, Section } from '../ui/page'
import { date, figure, range } from '../ui/words'
import { lotChoices, LotChoice, BenchPage, usable } from './parts'
import { useBench, type Common } from './useBench'

type Request = Schemas['TinctureBatchRequest']
type LotView = Schemas['LotView']

const PRESS: { value: Request['press']; label: string; hint: string }[] = [
  { value: 'EARLY', label: 'press early', hint: 'after 14 days' },
  { value: 'MEDIUM', label: 'press at four weeks', hint: 'after 28 days' },
  { value: 'LONG', label: 'press late', hint: 'after 42 days' },
]

export function Tincture() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <TinctureBench lots={all} />}</Loaded>
}

function TinctureBench({ lots }: { lots: LotView[] }) {
  const [search] = useSearchParams()
  const jars = lotChoices(lots, ['JAR'])
  const firstUsable = lots.find((l) => l.kind === 'JAR' && usable(l) && l.route === 'INTERNAL')
  const [jar, setJar] = useState(search.get('lot') ?? firstUsable?.id ?? jars[0]?.value ?? '')
  const [mass, setMass] = useState(20)
  const [ratio, setRatio] = useState(5)
  const [ownStrength, setStrength] = useState<number>()
  const [basis, setBasis] = useState<Request['basis']>('MENSTRUUM')
  const keepsTo = useKeepsTo()
  const [ownWater, setWaterCounts] = useState<boolean>()
  const waterCounts = ownWater ?? keepsTo('PLANT_WATER_COUNTS')
  const [jarMl, setJarMl] = useState(250)
  const [ownPress, setPress] = useState<Request['press']>()
  const press = ownPress ?? (keepsTo('PRESS_EARLY') ? 'EARLY' : keepsTo('PRESS_LONG') ? 'LONG' : 'MEDIUM')
  const [route, setRoute] = useState<Request['route']>('INTERNAL')
  const lot = lots.find((l) => l.id === jar)
  const card = useTaxon(lot?.taxonId ?? '')
  const advice = card.data?.parts.find((p) => p.part === lot?.part)?.spirit
  // By the household's school: as the card has it, table spirit for all, or the strongest to hand.
  const strongest = Math.max(
    40,
    ...lots.filter((l) => l.kind === 'SPIRIT' && usable(l)).map((l) => l.strengthPercent ?? 0),
  )
  const strength =
    ownStrength ??
    (keepsTo('TABLE_SPIRIT') ? 40 : keepsTo('STRONGEST') ? strongest : (advice?.menstruumPercent ?? 45))
  // Open bottles first; more than sixteen are not poured from at once.
  const spirits = lots
    .filter((l) => l.kind === 'SPIRIT' && usable(l))
    .sort((a, b) => Number(Boolean(b.openedOn)) - Number(Boolean(a.openedOn)))
    .slice(0, 16)
    .map((l) => l.id)
  const called = `${lot?.herbs[0]?.commonName ?? 'Herb'} tincture`

  const body: Omit<Request, keyof Common> | null =
    jar && spirits.length > 0
      ? {
          herbs: [{ lotId: jar, massG: mass }],
          ratio,
          waterCounts,
          basis,
          strengthPercent: strength,
          spirits,
          jarMl,
          press,
          route,
        }
      : null
  const { plan: p, panel } = useBench({
    kind: 'tincture',
    called,
    body,
    check: (b, signal) => ask(api.POST('/api/making/tinctures/check', { body: b, signal })),
    start: (b) => ask(api.POST('/api/making/tinctures', { body: b })),
  })

  return (
    <BenchPage
      title="Tincture"
      panel={panel}
      have={
        <>
          <LotChoice label="Jar of herb" lots={lots} kinds={['JAR']} value={jar} onChange={setJar} />
          <Slider label="Herb" unit="g" value={mass} min={1} max={200} step={1} onChange={setMass} />
          <Slider
            label="Ratio, 1 g to"
            unit="mL"
            value={ratio}
            min={1}
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
          <Choose
            label="This strength is that of"
            value={basis}
            onChange={setBasis}
            choices={[
              {
                value: 'MENSTRUUM',
                label: 'the menstruum, as poured',
                hint: 'menstruum: the liquid that draws',
              },
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
          <Toggle
            label="The plant's water counts as liquid"
            checked={waterCounts}
            onChange={setWaterCounts}
          />
          <Toggle
            label="For the outside of the body only"
            checked={route === 'EXTERNAL'}
            onChange={(on) => setRoute(on ? 'EXTERNAL' : 'INTERNAL')}
          />
          {advice && (
            <p className="text-soft text-sm">
              Card: 1:{figure(advice.ratio)} in {figure(advice.menstruumPercent)} % ({advice.source.title},{' '}
              {advice.source.year}; not checked by this household)
            </p>
          )}
        </>
      }
      vessel={
        <div>
          {p?.jar ? (
            <Jar
              jarMl={p.jar.jarMl}
              herbMl={p.jar.herbMl}
              liquidMl={p.jar.liquidLevelMl}
              label={`Jar of ${figure(p.jar.jarMl)} mL, filled to ${figure(p.jar.liquidLevelMl)} mL, herb taking ${figure(p.jar.herbMl)} mL${p.jar.fits ? '' : '; it does not fit'}`}
            />
          ) : (
            <p className="text-soft p-6">
              {p ? 'It cannot be made like this; see why beside it.' : 'Choose a jar.'}
            </p>
          )}
          <Section title="Pour">
            {spirits.length === 0 && <p>No usable spirit on the shelf. Add one first.</p>}
            <ul className="text-lg">
              {p?.pours.map((pour) => (
                <li key={pour.name} className="flex justify-between gap-4">
                  <span>{pour.name}</span>
                  <span>
                    <strong>{figure(pour.massG)} g</strong>{' '}
                    <span className="text-soft text-base">{figure(pour.volumeMl)} mL</span>
                  </span>
                </li>
              ))}
            </ul>
          </Section>
        </div>
      }
      follows={
        <>
          <dl className="grid grid-cols-2 gap-x-3 gap-y-2">
            <Figure
              label="Menstruum"
              value={figure(p?.menstruumMl ?? NaN)}
              unit="mL"
              note={`at ${figure(p?.menstruumPercent ?? NaN)} % vol`}
            />
            <Figure label="Final strength" value={range(p?.finalPercent)} unit="% vol" />
            <Figure
              label="Pressed yield"
              value={range(p?.pressedMl)}
              unit="mL"
              note={p?.drainedMl ? `only drained ${range(p.drainedMl)} mL` : undefined}
            />
            <Figure label="Dried herb in 1 mL" value={range(p?.driedEquivalentGPerMl)} unit="g" />
            <Figure label="Keeps until" value={date(p?.keepsUntil)} />
          </dl>
          {p?.finalPercent && (
            <RangeBar
              low={p.finalPercent.low}
              high={p.finalPercent.high}
              min={0}
              max={97}
              marks={[{ at: 20, label: 'spoils below' }]}
            />
          )}
        </>
      }
    />
  )
}
