import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { useKeepsTo } from '../household/queries'
import { useLots } from '../shelf/queries'
import { Jar } from '../shelf/Vessel'
import { Choose, Slider, Toggle } from '../ui/controls'
import { Figure, Loaded } from '../ui/page'
import { date, figure, range } from '../ui/words'
import { LotChoice, BenchPage, usable } from './parts'
import { useBench, type Common } from './useBench'

type Request = Schemas['OilBatchRequest']

const METHODS: { value: Request['method']; label: string; hint: string }[] = [
  { value: 'COLD', label: 'cold, in the dark', hint: 'two to eight weeks' },
  { value: 'SUN', label: 'in the sun', hint: 'turns sooner: three quarters of its life' },
  { value: 'WARM', label: 'warm', hint: '40 to 60 °C for hours' },
  { value: 'SPIRIT_THEN_WARM', label: 'moistened with spirit, then warm', hint: 'air it off first' },
]

export function Oil() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <OilBench lots={all} />}</Loaded>
}

function OilBench({ lots }: { lots: Schemas['LotView'][] }) {
  const [jar, setJar] = useState(
    lots.find((l) => l.kind === 'JAR' && usable(l) && l.route === 'EXTERNAL')?.id ??
      lots.find((l) => l.kind === 'JAR' && usable(l))?.id ??
      '',
  )
  const [carrier, setCarrier] = useState(lots.find((l) => l.kind === 'OIL' && usable(l))?.id ?? '')
  const [mass, setMass] = useState(30)
  const [ratio, setRatio] = useState(7)
  const keepsTo = useKeepsTo()
  const [ownMethod, setMethod] = useState<Request['method']>()
  const method = ownMethod ?? (keepsTo('SUN_OIL') ? 'SUN' : keepsTo('WARM_OIL') ? 'WARM' : 'COLD')
  const [eaten, setEaten] = useState(false)
  const lot = lots.find((l) => l.id === jar)
  const called = `${lot?.herbs[0]?.commonName ?? 'Herb'} oil`
  const body: Omit<Request, keyof Common> | null =
    jar && carrier
      ? {
          herb: { lotId: jar, massG: mass },
          ratio,
          carrier,
          method,
          eaten,
        }
      : null
  const { plan: p, panel } = useBench({
    kind: 'oil',
    called,
    body,
    check: (b, signal) => ask(api.POST('/api/making/oils/check', { body: b, signal })),
    start: (b) => ask(api.POST('/api/making/oils', { body: b })),
  })
  const herbMl = p?.herbMl ?? 0
  const filled = (p?.oilMl ?? 0) + herbMl
  return (
    <BenchPage
      title="Infused oil"
      panel={panel}
      have={
        <>
          <LotChoice label="Jar of herb" lots={lots} kinds={['JAR']} value={jar} onChange={setJar} />
          <LotChoice label="Carrier oil" lots={lots} kinds={['OIL']} value={carrier} onChange={setCarrier} />
          <Slider label="Herb" unit="g" value={mass} min={1} max={200} step={1} onChange={setMass} />
          <Slider
            label="Ratio, 1 g to"
            unit="mL"
            value={ratio}
            min={2}
            max={20}
            step={0.5}
            onChange={setRatio}
          />
          <Choose label="How" value={method} choices={METHODS} onChange={setMethod} />
          <Toggle label="It will be eaten" checked={eaten} onChange={setEaten} />
        </>
      }
      vessel={
        <>
          {p?.feasible ? (
            <Jar
              jarMl={Math.max(100, Math.ceil(filled / 0.9 / 50) * 50)}
              herbMl={herbMl}
              liquidMl={filled}
              label={`Jar with ${figure(mass)} g of herb under ${figure(p.oilMl ?? 0)} mL of oil`}
            />
          ) : (
            <p className="text-soft p-6">
              {body ? 'It cannot be made like this; see why beside it.' : 'Choose a jar and an oil.'}
            </p>
          )}
        </>
      }
      follows={
        <>
          <dl className="grid grid-cols-2 gap-x-3 gap-y-2">
            <Figure
              label="Oil"
              value={figure(p?.oilG ?? NaN)}
              unit="g"
              note={`${figure(p?.oilMl ?? NaN)} mL`}
            />
            <Figure label="Yield" value={range(p?.yield)} unit="mL" />
            <Figure label="Keeps until" value={p?.keepsUntil ? date(p.keepsUntil) : 'days only: see below'} />
          </dl>
        </>
      }
    />
  )
}
