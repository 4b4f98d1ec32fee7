import type { Schemas } from '../api/client'
import { LOT_STATE } from './dictionary'

/** Whether a lot may be used, by word and edge; nothing that still steeps is called usable. */
export function State({
  state,
  expired,
  steeping = false,
}: {
  state: Schemas['LotView']['state']
  expired?: boolean
  steeping?: boolean
}) {
  if (steeping && state === 'USABLE') {
    return <span className="border-water text-water border-2 px-1.5 text-sm font-semibold">steeping</span>
  }
  const usable = state === 'USABLE' && !expired
  const word = state === 'USABLE' && expired ? 'past its date' : LOT_STATE[state]
  const tone = usable
    ? 'text-lichen border-lichen'
    : state === 'HOLD' || expired
      ? 'text-amber border-amber border-dashed'
      : 'text-madder border-madder border-double border-4'
  return <span className={`border-2 px-1.5 text-sm font-semibold whitespace-nowrap ${tone}`}>{word}</span>
}
