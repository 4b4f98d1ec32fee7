import { Trainer } from '../identification/Trainer'
import { Loaded } from '../ui/page'
import { useStands } from './queries'

/** The trainer, beginning with what grows at the household's own stands. */
export function Train() {
  const stands = useStands()
  return (
    <Loaded query={stands}>
      {(all) => <Trainer own={[...new Set(all.flatMap((s) => s.taxonId ?? []))]} />}
    </Loaded>
  )
}
