import type { Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Slider } from '../ui/controls'
import { DOSE_UNIT, doseUnit } from '../ui/dictionary'
import { figure } from '../ui/words'

type Unit = Schemas['DoseUnitView']

export const STEP: Record<Unit['unit'], number> = {
  ML: 0.5,
  G: 0.1,
  DROP: 1,
  SQUIRT: 1,
  TEASPOON: 0.25,
  TABLESPOON: 0.25,
  CUP: 0.25,
  FINGERTIP: 0.5,
  PEA: 0.5,
  HEAPED_TEASPOON: 0.25,
  BATCH: 0.25,
  PIECE: 1,
}

/** How much each time, in what it is counted out in; kept in the product's own unit. */
export function DoseAmount({
  unit,
  units,
  countedIn,
  onUnit,
  value,
  most,
  onChange,
}: {
  /** The product's own. */
  unit: string
  units: Unit[]
  countedIn: Unit['unit'] | undefined
  onUnit: (unit: Unit['unit']) => void
  value: number
  most: number
  onChange: (value: number) => void
}) {
  const of = units.find((u) => u.unit === countedIn) ?? units[0]
  const each = of?.each ?? 1
  const step = of ? STEP[of.unit] : 0.5
  const n = value / each
  return (
    <>
      <Slider
        label="Each dose"
        unit={of ? doseUnit(of.unit, n) : unit}
        value={n}
        min={step}
        max={Math.max(step * 10, Math.ceil(most / each))}
        step={step}
        onChange={(so) => {
          // What it is counted in stays as it is while the amount moves.
          if (of) onUnit(of.unit)
          onChange(so * each)
        }}
      />
      {units.length > 1 && of && (
        <Choose
          label="Counted out in"
          value={of.unit}
          onChange={onUnit}
          choices={units.map((u) => ({ value: u.unit, label: DOSE_UNIT[u.unit], hint: u.words }))}
        />
      )}
      {of && of.unit !== 'ML' && of.unit !== 'G' && (
        <p className="text-soft text-sm">
          That is {figure(value)} {unit}; {of.words}.
        </p>
      )}
    </>
  )
}
