import { useState } from 'react'
import { type Schemas } from '../../api/client'
import { isoToday } from '../../ui/clock'
import { Button } from '../../ui/controls'
import { Fill } from '../Fill'

type BatchView = Schemas['BatchView']

/** Some of it now, the rest stays: asked for, not in the way of the pressing. */
export function PourOff({ batch }: { batch: BatchView }) {
  const [open, setOpen] = useState(false)
  if (batch.pourOffFrom == null || batch.pourOffFrom > isoToday()) return null
  return open ? (
    <Fill batch={batch} pouringOff />
  ) : (
    <Button onClick={() => setOpen(true)}>Pour some off, the rest stays on the herb</Button>
  )
}
