import type { ComponentType } from 'react'
import type { Schemas } from '../api/client'
import { Pan } from './oil/Pan'
import { Settle } from './oil/Settle'
import { ColdSpoon } from './salve/ColdSpoon'
import { Shake } from './Shake'
import { PourOff } from './tincture/PourOff'

type BatchView = Schemas['BatchView']

/** What is done with a batch beside pressing and filling: each shows itself while it can be done. */
export const DONE: Record<BatchView['follows'][number], ComponentType<{ batch: BatchView }>> = {
  SHAKE: Shake,
  POUR_OFF: PourOff,
  SETTLE: Settle,
  WEIGH_PAN: Pan,
  SPOON: ColdSpoon,
}
