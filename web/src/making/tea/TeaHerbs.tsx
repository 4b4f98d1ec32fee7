import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { NumberInput } from '../../ui/controls'
import { numberOf } from '../../ui/read'
import { lasting } from '../../ui/words'
import { Herbs } from '../Herbs'
import type { LotView } from '../lots'

export type TeaHerb = Schemas['TeaHerb']
type Method = NonNullable<TeaHerb['method']>
type Cut = NonNullable<TeaHerb['cut']>

const METHODS: { value: Method | 'DERIVED'; label: string; hint: string }[] = [
  { value: 'DERIVED', label: 'by the part', hint: 'soft parts infused, tough ones simmered' },
  { value: 'INFUSION', label: 'infusion', hint: 'hot water, covered' },
  { value: 'DECOCTION', label: 'decoction', hint: 'simmered' },
  { value: 'LONG_INFUSION', label: 'long infusion', hint: 'hours, kept warm' },
  { value: 'COLD_MACERATION', label: 'cold maceration', hint: 'overnight in the refrigerator' },
]
const USUAL = 'USUAL'
const OWN = 'OWN'
/** Minutes. */
const TIMES = [5, 10, 15, 20, 30, 60, 240, 480, 720]
const CUTS: { value: Cut; label: string }[] = [
  { value: 'CUT', label: 'cut' },
  { value: 'WHOLE', label: 'whole' },
  { value: 'POWDER', label: 'powdered' },
]

/** The herbs of one pot, each with its own way and cut. */
export function TeaHerbs({
  lots,
  value,
  onChange,
  most,
}: {
  lots: LotView[]
  value: TeaHerb[]
  onChange: (herbs: TeaHerb[]) => void
  most: number
}) {
  const set = (i: number, change: Partial<TeaHerb>) =>
    onChange(value.map((h, k) => (k === i ? { ...h, ...change } : h)))
  return (
    <Herbs
      lots={lots}
      value={value.map((t) => t.herb)}
      onChange={(herbs) =>
        onChange(
          herbs.map((herb) => ({
            ...(value.find((t) => t.herb === herb || (t.herb.lotId && t.herb.lotId === herb.lotId)) ?? {}),
            herb,
          })),
        )
      }
      most={most}
      extra={(i) => (
        <div className="grid grid-cols-2 gap-2">
          <Choose
            label={value.length > 1 ? `How, herb ${i + 1}` : 'How'}
            value={value[i]?.method ?? 'DERIVED'}
            choices={METHODS}
            onChange={(m) => set(i, { method: m === 'DERIVED' ? undefined : m })}
          />
          <Choose
            label="It is"
            value={value[i]?.cut ?? 'CUT'}
            choices={CUTS}
            onChange={(cut) => set(i, { cut })}
          />
          <HowLong
            label={value.length > 1 ? `For how long, herb ${i + 1}` : 'For how long'}
            minutes={value[i]?.minutes}
            onChange={(minutes) => set(i, { minutes })}
          />
        </div>
      )}
    />
  )
}

/** The usual of its way, a time most people mean, or minutes of one's own. */
function HowLong({
  label,
  minutes,
  onChange,
}: {
  label: string
  minutes: number | undefined
  onChange: (minutes: number | undefined) => void
}) {
  const listed = minutes === undefined || TIMES.includes(minutes)
  const [typed, setTyped] = useState<string | undefined>(listed ? undefined : String(minutes))
  return (
    <>
      <Choose
        label={label}
        value={typed !== undefined ? OWN : minutes === undefined ? USUAL : String(minutes)}
        choices={[
          { value: USUAL, label: 'as usual' },
          ...TIMES.map((t) => ({
            value: String(t),
            label: lasting(t),
            ...(t === 480 ? { hint: 'overnight' } : {}),
          })),
          { value: OWN, label: 'other minutes' },
        ]}
        onChange={(v) => {
          setTyped(v === OWN ? '' : undefined)
          onChange(v === OWN || v === USUAL ? undefined : Number(v))
        }}
      />
      {typed !== undefined && (
        <NumberInput
          label={`Minutes${label.slice('For how long'.length)}`}
          hint="empty: as usual"
          value={typed}
          onChange={(v) => {
            setTyped(v)
            onChange(numberOf(v))
          }}
        />
      )}
    </>
  )
}
