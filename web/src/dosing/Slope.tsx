import type { Schemas } from '../api/client'
import { Slider } from '../ui/controls'
import { doseUnit } from '../ui/dictionary'
import { STEP } from './DoseAmount'

/** From a smaller dose to the full one over some days, or back; counted are days with a dose. */
export function Slope({
  label,
  days,
  longest,
  onDays,
  amountLabel,
  amount,
  onAmount,
  dose,
  counted,
}: {
  label: string
  days: number
  longest: number
  onDays: (days: number) => void
  amountLabel: string
  /** In the product's own unit, as the dose. */
  amount: number
  onAmount: (amount: number) => void
  dose: number
  counted: Schemas['DoseUnitView'] | undefined
}) {
  const each = counted?.each ?? 1
  const step = counted ? STEP[counted.unit] : 0.5
  return (
    <>
      <Slider
        label={label}
        unit={days === 1 ? 'day' : 'days'}
        value={days}
        min={0}
        max={Math.max(1, longest)}
        step={1}
        onChange={onDays}
      />
      {days > 0 && counted && (
        <Slider
          label={amountLabel}
          unit={doseUnit(counted.unit, amount / each)}
          value={amount / each}
          min={step}
          max={Math.max(step, dose / each)}
          step={step}
          onChange={(n) => onAmount(n * each)}
        />
      )}
    </>
  )
}
