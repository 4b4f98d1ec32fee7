import type { Schemas } from '../api/client'
import { StateDrawing } from '../herbarium/drawing'
import { Button } from '../ui/controls'

const NEUTRAL = {}

/**
 * One thing to look at, big enough for a thumb. Its states are drawn by themselves, on no plant, in the order of the
 * vocabulary or its reverse: neither follows what somebody expects.
 */
export function Question({
  character,
  why,
  small,
  reversed,
  onState,
  onUnseeable,
}: {
  character: Schemas['CharacterView']
  why?: string | undefined
  small?: boolean
  reversed?: boolean
  onState: (state: string) => void
  onUnseeable?: () => void
}) {
  return (
    <fieldset
      className={`bg-sheet px-3 py-2 ${small ? 'border-line border-t-2' : 'border-water border-t-4'}`}
    >
      <legend className={`float-left w-full font-semibold ${small ? '' : 'text-xl'}`}>
        {character.name}
      </legend>
      <p className="text-soft clear-both text-sm">{character.howToLook}</p>
      {why && <p className="text-water text-sm font-medium">{why}</p>}
      <div className={`mt-2 grid gap-2 ${small ? '' : 'sm:grid-cols-2'}`}>
        {(reversed ? [...character.states].reverse() : character.states).map((s) => (
          <Button key={s.id} className="justify-start! text-left" onClick={() => onState(s.id)}>
            {!small && <StateDrawing character={character.id} state={s.id} on={NEUTRAL} />}
            <span>{s.words}</span>
          </Button>
        ))}
        {onUnseeable && (
          <Button className="text-soft justify-start! border-dashed" onClick={onUnseeable}>
            cannot see it
          </Button>
        )}
      </div>
    </fieldset>
  )
}
