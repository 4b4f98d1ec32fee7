import type { Schemas } from '../api/client'
import { StateDrawing } from '../herbarium/drawing'
import { Toggle } from '../ui/controls'
import { usePieces } from './queries'

const NEUTRAL = {}
/** Of what it shows in several ways the first are drawn. */
const DRAWN = 2
/** How many characters of the plant are listed beside those on the piece, and how many where nothing is known of the piece. */
const BESIDE = 6
const ALONE = 14

type Character = Schemas['TaxonView']['characters'][number]

/** Characters ticked when they were looked at again on what is picked: those on the piece in the hand first, drawn. */
export function LookedAgain({
  taxon,
  part,
  stage,
  tells,
  onTells,
  singly,
  onSingly,
}: {
  taxon: Schemas['TaxonView']
  part: string
  stage: string
  tells: string[]
  onTells: (tells: string[]) => void
  singly: boolean
  onSingly: (singly: boolean) => void
}) {
  const pieces = usePieces()
  // Without an answer of what is on the piece all stands in one list; nothing moves under the finger once it stands.
  if (pieces.isPending && pieces.fetchStatus === 'fetching') return <p className="text-soft">One moment …</p>
  const onIt =
    pieces.data?.find((p) => p.taxon === taxon.id && p.part === part && p.stage === stage)?.characters ?? []
  const decisive = taxon.lookAlikes.flatMap((l) => l.decisive)
  const now = taxon.characters.filter((c) => c.stages.some((s) => s === stage))
  const inTheHand = onIt.flatMap((id) => now.find((c) => c.character === id) ?? [])
  const onThePlant = now
    .filter((c) => !onIt.includes(c.character))
    .sort((a, b) => Number(decisive.includes(b.character)) - Number(decisive.includes(a.character)))
    .slice(0, inTheHand.length > 0 ? BESIDE : ALONE)
  const flip = (c: string) => onTells(tells.includes(c) ? tells.filter((t) => t !== c) : [...tells, c])
  const tick = (c: Character, drawn: boolean) => (
    <li key={c.character + c.stages.join()}>
      <label className="flex min-h-11 items-center gap-3 py-1">
        <input
          type="checkbox"
          className="size-7 shrink-0"
          checked={tells.includes(c.character)}
          onChange={() => flip(c.character)}
        />
        <span className="order-2">
          {c.name}: <span className="text-soft">{c.states.map((s) => s.words).join(' or ')}</span>
        </span>
        {drawn && (
          <span className="order-1 flex shrink-0 flex-col sm:flex-row">
            {c.states.slice(0, DRAWN).map((s) => (
              <StateDrawing key={s.state} character={c.character} state={s.state} on={NEUTRAL} />
            ))}
          </span>
        )}
      </label>
    </li>
  )
  return (
    <>
      <p className="text-soft mb-1 text-sm">
        Tick at least three characters that agree with {taxon.commonNames[0] ?? taxon.name}.
      </p>
      {inTheHand.length > 0 && (
        <>
          <h3 className="font-semibold">
            On each piece in the hand{part === 'LEAF' && ', picked with its foot'}
          </h3>
          <ul>{inTheHand.map((c) => tick(c, true))}</ul>
        </>
      )}
      {onThePlant.length > 0 && (
        <>
          {inTheHand.length > 0 && <h3 className="mt-2 font-semibold">On the plant it is taken from</h3>}
          <ul>{onThePlant.map((c) => tick(c, false))}</ul>
        </>
      )}
      <Toggle label="Every piece examined singly" checked={singly} onChange={onSingly} />
    </>
  )
}
