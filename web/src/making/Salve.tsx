import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { useLots } from '../shelf/queries'
import { Choose, Slider } from '../ui/controls'
import { Figure, Loaded } from '../ui/page'
import { FIRMNESS as FIRMNESS_WORDS } from '../ui/dictionary'
import { date, figure } from '../ui/words'
import { LotChoice, BenchPage, usable } from './parts'
import { useBench, type Common } from './useBench'

type Request = Schemas['SalveBatchRequest']
const FIRMNESS: Request['firmness'][] = ['SOFT', 'MEDIUM', 'FIRM', 'STICK']

export function Salve() {
  const lots = useLots()
  return <Loaded query={lots}>{(all) => <SalveBench lots={all} />}</Loaded>
}

function SalveBench({ lots }: { lots: Schemas['LotView'][] }) {
  const oils = lots.filter(
    (l) => l.kind === 'OIL' || (l.kind === 'BOTTLE' && l.unit === 'mL' && !(l.strengthPercent ?? 0)),
  )
  const [oil, setOil] = useState(oils.find((l) => l.kind === 'BOTTLE' && usable(l))?.id ?? oils[0]?.id ?? '')
  const [wax, setWax] = useState(lots.find((l) => l.kind === 'WAX' && usable(l))?.id ?? '')
  const [capacity, setCapacity] = useState(30)
  const [count, setCount] = useState(3)
  const [firmness, setFirmness] = useState<Request['firmness']>('MEDIUM')
  const [storage, setStorage] = useState(20)
  const lot = lots.find((l) => l.id === oil)
  const called = `${lot?.herbs[0]?.commonName ?? 'Plain'} salve`
  const body: Omit<Request, keyof Common> | null =
    oil && wax
      ? {
          oil,
          wax,
          tins: [{ capacityMl: capacity, count }],
          firmness,
          storageTemperatureC: storage,
        }
      : null
  const { plan: p, panel } = useBench({
    kind: 'salve',
    called,
    body,
    check: (b, signal) => ask(api.POST('/api/making/salves/check', { body: b, signal })),
    start: (b) => ask(api.POST('/api/making/salves', { body: b })),
  })
  return (
    <BenchPage
      title="Salve"
      panel={panel}
      have={
        <>
          <LotChoice
            label="Infused oil"
            lots={oils}
            kinds={['OIL', 'BOTTLE']}
            value={oil}
            onChange={setOil}
          />
          <LotChoice label="Wax" lots={lots} kinds={['WAX']} value={wax} onChange={setWax} />
          <Slider label="Tin" unit="mL" value={capacity} min={5} max={120} step={5} onChange={setCapacity} />
          <Slider label="Tins" unit="of them" value={count} min={1} max={20} step={1} onChange={setCount} />
          <Choose
            label="Firmness"
            value={firmness}
            choices={FIRMNESS.map((f) => ({ value: f, label: FIRMNESS_WORDS[f] }))}
            onChange={setFirmness}
          />
          <Slider label="Kept at" unit="°C" value={storage} min={0} max={35} step={1} onChange={setStorage} />
        </>
      }
      vessel={<Tins count={count} waxPercent={p?.waxPercent ?? 0} capacity={capacity} />}
      follows={
        <>
          <dl className="grid grid-cols-2 gap-x-3 gap-y-2">
            <Figure
              label="Oil"
              value={figure(p?.oilG ?? NaN)}
              unit="g"
              note={`${figure(p?.oilMl ?? NaN)} mL`}
            />
            <Figure
              label="Wax"
              value={figure(p?.waxG ?? NaN)}
              unit="g"
              note={`${figure(p?.waxPercent ?? NaN)} % of ${figure(p?.totalG ?? NaN)} g`}
            />
            <Figure label="Keeps until" value={date(p?.keepsUntil)} />
          </dl>
        </>
      }
    />
  )
}

/** The tins, as many as will be filled, with the wax in its share. */
function Tins({ count, waxPercent, capacity }: { count: number; waxPercent: number; capacity: number }) {
  const columns = Math.min(count, 5)
  const rows = Math.ceil(count / columns)
  const size = 20 + Math.sqrt(capacity) * 3
  return (
    <svg
      viewBox={`0 0 ${columns * 84} ${rows * 70 + 10}`}
      role="img"
      aria-label={`${count} tins of ${capacity} mL, ${figure(waxPercent)} % wax`}
      className="max-h-96 w-full self-center"
    >
      {Array.from({ length: count }, (_, i) => {
        const x = (i % columns) * 84 + 42
        const y = Math.floor(i / columns) * 70 + 40
        const r = Math.min(38, size)
        const h = 24
        return (
          <g key={i}>
            <path
              d={`M${x - r} ${y - h / 2}v${h}a${r} 9 0 0 0 ${2 * r} 0v-${h}`}
              fill="var(--line)"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <ellipse
              cx={x}
              cy={y - h / 2}
              rx={r}
              ry="9"
              fill="var(--amber-pale)"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <ellipse
              cx={x}
              cy={y - h / 2}
              rx={r * Math.sqrt(waxPercent / 100)}
              ry={9 * Math.sqrt(waxPercent / 100)}
              fill="var(--amber)"
              opacity="0.7"
            />
          </g>
        )
      })}
    </svg>
  )
}
