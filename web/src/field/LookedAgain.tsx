import type { Schemas } from '../api/client'
import { Toggle } from '../ui/controls'

/** Characters that tell, ticked when they were looked at again on what is picked; the decisive ones first. */
export function LookedAgain({
  taxon,
  stage,
  most,
  tells,
  onTells,
  singly,
  onSingly,
}: {
  taxon: Schemas['TaxonView']
  stage: string
  most: number
  tells: string[]
  onTells: (tells: string[]) => void
  singly: boolean
  onSingly: (singly: boolean) => void
}) {
  const decisive = taxon.lookAlikes.flatMap((l) => l.decisive)
  const telling = taxon.characters
    .filter((c) => c.stages.some((s) => s === stage))
    .sort((a, b) => Number(decisive.includes(b.character)) - Number(decisive.includes(a.character)))
    .slice(0, most)
  const flip = (c: string) => onTells(tells.includes(c) ? tells.filter((t) => t !== c) : [...tells, c])
  return (
    <>
      <p className="text-soft mb-1 text-sm">
        Tick at least three characters that agree with {taxon.commonNames[0] ?? taxon.name}.
      </p>
      <ul>
        {telling.map((c) => (
          <li key={c.character + c.stages.join()}>
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-7 shrink-0"
                checked={tells.includes(c.character)}
                onChange={() => flip(c.character)}
              />
              <span>
                {c.name}: <span className="text-soft">{c.states.map((s) => s.words).join(' or ')}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <Toggle label="Every piece examined singly" checked={singly} onChange={onSingly} />
    </>
  )
}
