import { month } from '../ui/words'

/** Twelve months to choose from. */
export function Months({
  label,
  value,
  onChange,
}: {
  label: string
  value: number[]
  onChange: (m: number[]) => void
}) {
  return (
    <fieldset className="mb-2">
      <legend className="text-soft text-sm font-medium">{label}</legend>
      <div className="grid grid-cols-6 sm:grid-cols-12">
        {Array.from({ length: 12 }, (_, i) => i + 1).map((m) => (
          <button
            key={m}
            type="button"
            aria-pressed={value.includes(m)}
            className={`border-line min-h-8 border text-sm ${value.includes(m) ? 'bg-water text-sheet font-semibold' : 'bg-sheet'}`}
            onClick={() =>
              onChange(value.includes(m) ? value.filter((x) => x !== m) : [...value, m].sort((a, b) => a - b))
            }
          >
            {month(m)}
          </button>
        ))}
      </div>
    </fieldset>
  )
}
