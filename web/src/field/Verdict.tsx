import type { Schemas } from '../api/client'
import { STAGE } from '../ui/dictionary'
import { month } from '../ui/words'

type StandView = Schemas['StandView']

/** What is known of a stand's identity, in one word. */
export function StandVerdict({ stand }: { stand: StandView }) {
  if (stand.doubted) return <Word tone="text-madder border-madder border-double border-4">doubted</Word>
  switch (stand.identification?.status) {
    case 'CONFIRMED':
      if (stand.secondLook === 'WANTED') {
        return <Word tone="text-amber border-amber border-dashed">confirmed once, of two</Word>
      }
      return <Word tone="text-lichen border-lichen">confirmed</Word>
    case 'SECOND_WANTED':
      return stand.certain ? (
        <Word tone="text-lichen border-lichen">confirmed by two looks</Word>
      ) : (
        <Word tone="text-amber border-amber border-dashed">a second look is wanted</Word>
      )
    case 'NOT_YET':
      return <Word tone="text-amber border-amber border-dashed">not yet</Word>
    case 'STOP':
      return <Word tone="text-madder border-madder border-double border-4">stop</Word>
    default:
      return <Word tone="text-soft border-line border-dotted">not identified</Word>
  }
}

function Word({ tone, children }: { tone: string; children: React.ReactNode }) {
  return <span className={`border-2 px-1.5 text-sm font-semibold whitespace-nowrap ${tone}`}>{children}</span>
}

/** When, and by what, it can be told; nothing for one that is certain. */
export function Settles({ stand }: { stand: StandView }) {
  const at = stand.settles
  if (!at) return null
  return (
    <span className="block">
      Can be told {STAGE[at.stage]}
      {at.months.length > 0 && `, ${at.months.map(month).join(', ')}`}
      {at.characters.length > 0 && `, by ${at.characters.slice(0, 3).join('; ').toLowerCase()}`}
    </span>
  )
}
