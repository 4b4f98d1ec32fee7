import { useLots } from '../shelf/queries'
import { Loaded } from '../ui/page'
import type { LotView } from './lots'

/** A bench that begins with what stands on the shelf. */
export function withLots(Bench: (props: { lots: LotView[] }) => React.ReactNode) {
  return function WithLots() {
    const lots = useLots()
    return <Loaded query={lots}>{(all) => <Bench lots={all} />}</Loaded>
  }
}
