import type { Schemas } from '../api/client'
import { PART, STAGE } from '../ui/dictionary'
import { month } from '../ui/words'

type Taxon = Schemas['TaxonView']
type Stage = Taxon['months'][number]['stage']

/** The plant round the year: when each stage is seen and when each part is gathered. Choosing a stage shows it. */
export function Year({
  taxon,
  stage,
  onStage,
}: {
  taxon: Taxon
  stage: Stage
  onStage: (stage: Stage) => void
}) {
  const months = Array.from({ length: 12 }, (_, i) => i + 1)
  const row = (held: number[], tone: string) =>
    months.map((m) => (
      <td key={m} className={`border-sheet h-4 border-x ${held.includes(m) ? tone : ''}`}>
        <span className="sr-only">{held.includes(m) ? month(m) : ''}</span>
      </td>
    ))
  return (
    <table className="w-full table-fixed text-sm" aria-label="Round the year">
      <thead>
        <tr>
          <th className="w-28" scope="col">
            <span className="sr-only">stage or part</span>
          </th>
          {months.map((m) => (
            <th key={m} scope="col" className="text-soft text-xs font-normal" aria-label={month(m)}>
              {month(m).slice(0, 1)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {taxon.months.map((s) => (
          <tr key={s.stage}>
            <th scope="row" className="text-left font-normal">
              <button
                type="button"
                aria-pressed={s.stage === stage}
                className={`min-h-7 underline ${s.stage === stage ? 'text-water font-bold' : ''}`}
                onClick={() => onStage(s.stage)}
              >
                {STAGE[s.stage]}
              </button>
              {/* On paper there are no buttons. */}
              <span className="hidden print:inline">{STAGE[s.stage]}</span>
            </th>
            {row(s.months, s.stage === stage ? 'bg-water' : 'bg-lichen')}
          </tr>
        ))}
        {taxon.parts.map((p) => (
          <tr key={p.part}>
            <th scope="row" className="text-left font-semibold">
              gather {PART[p.part]}
            </th>
            {row(p.months, 'bg-amber')}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
