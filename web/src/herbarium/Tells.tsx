import type { Schemas } from '../api/client'

/** What tells two plants apart at a stage, the decisive first; what was already looked at is shown weaker. */
export function Tells({
  comparison,
  harmful,
  seen = [],
  most = 40,
}: {
  comparison: Schemas['ComparisonView']
  harmful: boolean
  seen?: string[]
  most?: number
}) {
  const { tells, tellable } = comparison
  return (
    <>
      <h3 className="mt-2 font-semibold">
        {tells.length === 0
          ? 'Nothing tells them apart at this stage'
          : `${tells.length} characters tell them apart`}
      </h3>
      {harmful && !tellable && (
        <p className="text-madder text-sm font-medium">
          Not enough to pick by at this stage: six are wanted, on different parts of the plant.
        </p>
      )}
      <ul className="text-sm">
        {tells.slice(0, most).map((c) => (
          <li key={c.character} className="border-line border-b py-0.5">
            <strong className={seen.includes(c.character) ? 'text-soft' : ''}>{c.name}</strong>
            {c.decisive && <span className="text-water ml-1 font-semibold">◆ decisive</span>}
            <br />
            {c.here} <span className="text-soft">here, not</span> {c.there}
          </li>
        ))}
      </ul>
    </>
  )
}
