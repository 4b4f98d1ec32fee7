import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { useLots } from '../shelf/queries'
import { Choose, Slider, Toggle } from '../ui/controls'
import { Figure, Loaded } from '../ui/page'
import { date, figure, range } from '../ui/words'
import { LotChoice, BenchPage, usable } from './parts'
import { useBench, type Common } from './useBench'

type Request = Schemas['TeaBatchRequest']
type Method = NonNullable<Request['method']>

const METHODS: { value: Method | 'DERIVED'; label: string; hint: string }[] = [
  { value: 'DERIVED', label: 'by the part', hint: 'soft parts infused, tough ones simmered' },
  { value: 'INFUSION', label: 'infusion', hint: 'hot water, covered' },
  { value: 'DECOCTION', label: 'decoction', hint: 'simmered' },
  { value: 'LONG_INFUSION', label: 'long infusion', hint: 'hours, kept warm' },
  { value: 'COLD_MACERATION', label: 'cold maceration', hint: 'cold water, in the refrigerator' },
]

export function Tea() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <TeaBench lots={all} />}</Loaded>
}

function TeaBench({ lots }: { lots: Schemas['LotView'][] }) {
  const [jar, setJar] = useState(
    lots.find((l) => l.kind === 'JAR' && usable(l) && l.route === 'INTERNAL')?.id ?? '',
  )
  const [mass, setMass] = useState(3)
  const [wanted, setWanted] = useState(250)
  const [method, setMethod] = useState<Method | 'DERIVED'>('DERIVED')
  const [honey, setHoney] = useState(false)
  const lot = lots.find((l) => l.id === jar)
  const called = `${lot?.herbs[0]?.commonName ?? 'Herb'} tea`
  const body: Omit<Request, keyof Common> | null = jar
    ? {
        herb: { lotId: jar, massG: mass },
        wantedMl: wanted,
        method: method === 'DERIVED' ? undefined : method,
        honey: honey || undefined,
        route: 'INTERNAL',
      }
    : null
  const { plan: p, panel } = useBench({
    kind: 'tea',
    called,
    body,
    check: (b, signal) => ask(api.POST('/api/making/teas/check', { body: b, signal })),
    start: (b) => ask(api.POST('/api/making/teas', { body: b })),
  })
  const cold = p?.cold ?? false
  return (
    <BenchPage
      title="Tea"
      panel={panel}
      have={
        <>
          <LotChoice label="Jar of herb" lots={lots} kinds={['JAR']} value={jar} onChange={setJar} />
          <Slider label="Herb" unit="g" value={mass} min={0.5} max={30} step={0.5} onChange={setMass} />
          <Slider
            label="Tea wanted"
            unit="mL"
            value={wanted}
            min={100}
            max={2000}
            step={50}
            onChange={setWanted}
          />
          <Choose label="How" value={method} choices={METHODS} onChange={setMethod} />
          <Toggle label="With honey" checked={honey} onChange={setHoney} />
        </>
      }
      vessel={
        <div className="space-y-3">
          <Pot timeline={p?.timeline ?? []} waterMl={p?.waterMl ?? 0} wantedMl={wanted} />
        </div>
      }
      follows={
        <>
          <dl className="grid grid-cols-2 gap-x-3 gap-y-2">
            <Figure
              label={cold ? 'Cold water' : 'Water to heat'}
              value={figure(p?.waterMl ?? NaN)}
              unit="mL"
              note={p?.waterRangeMl ? `between ${range(p.waterRangeMl)} mL` : undefined}
            />
            <Figure label="Strength" value={figure((mass / wanted) * 1000)} unit="g per litre" />
            <Figure
              label="Drink it by"
              value={date(p?.keepsUntil)}
              note={cold ? 'the same day, kept cold' : '24 hours cold, 8 hours in the room'}
            />
          </dl>
        </>
      }
    />
  )
}

/** The pot with what goes in when. */
function Pot({
  timeline,
  waterMl,
  wantedMl,
}: {
  timeline: Schemas['TimelineView'][]
  waterMl: number
  wantedMl: number
}) {
  const end = Math.max(1, ...timeline.map((t) => t.minute))
  const level = 40 + 150 * (1 - Math.min(1, waterMl / 2400))
  const left = 40 + 150 * (1 - Math.min(1, wantedMl / 2400))
  return (
    <figure className="bg-sheet border-line border-t-2 p-3">
      <svg
        viewBox="0 0 420 230"
        role="img"
        aria-label={`Pot with ${figure(waterMl)} mL of water for ${figure(wantedMl)} mL of tea`}
        className="max-h-64 w-full"
      >
        <path d={`M62 ${level}H298V200q0 14 -14 14H76q-14 0 -14 -14Z`} fill="var(--water)" opacity="0.35" />
        <path d={`M62 ${left}H298`} stroke="var(--water)" strokeWidth="2" strokeDasharray="6 4" />
        <path d="M60 30V200q0 16 16 16H284q16 0 16 -16V30" fill="none" stroke="var(--ink)" strokeWidth="4" />
        <path d="M300 60h58q14 0 14 14M60 70H30" fill="none" stroke="var(--ink)" strokeWidth="6" />
        <text x="70" y={level - 6} fontSize="15" fill="var(--ink)">
          {figure(waterMl)} mL in
        </text>
        <text x="190" y={left + 18} fontSize="15" fill="var(--ink)">
          {figure(wantedMl)} mL tea
        </text>
      </svg>
      <ol className="mt-2">
        {timeline.map((t) => (
          <li key={`${t.minute}${t.action}${t.herb}`} className="flex items-center gap-3 py-1">
            <span className="w-20 shrink-0 text-right text-lg font-semibold">{figure(t.minute)} min</span>
            <span
              className="bg-water h-2 shrink-0"
              style={{ width: `${Math.max(4, (1 - t.minute / end) * 120)}px` }}
              aria-hidden
            />
            <span>
              {t.action}
              {t.herb ? `: ${t.herb}` : ''}
            </span>
          </li>
        ))}
      </ol>
    </figure>
  )
}
