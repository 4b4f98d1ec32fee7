import { useState } from 'react'
import { api, ask, ifMatch, refusedBy, type Schemas } from '../api/client'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Choose } from '../ui/Choose'
import { WhenOn } from '../ui/When'
import { isoToday } from '../ui/clock'
import { useCommand } from '../ui/command'
import { Button, NumberInput } from '../ui/controls'
import { only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { range } from '../ui/words'

type BatchView = Schemas['BatchView']
type Water = NonNullable<BatchView['water']>

const WATERS: { value: Water; label: string; hint: string }[] = [
  { value: 'NONE_SEEN', label: 'no water seen', hint: 'after it settled overnight' },
  { value: 'SEEN', label: 'water lies under it', hint: 'a layer, drops or a cloud' },
  { value: 'PARTED', label: 'water was there; the oil is poured off', hint: 'two weeks, cold, for the skin' },
]

/** What came out of it; of an oil, what lies under it as well. */
export const Press = only('record', function Press({ batch }: { batch: BatchView }) {
  const [amount, setAmount] = useState('')
  const [water, setWater] = useState<Water>('NONE_SEEN')
  const [on, setOn] = useState(isoToday)
  const reasons = useAcknowledged()
  const settles = batch.follows.includes('SETTLE')
  const press = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/making/batches/{id}/press', {
          params: { path: { id: batch.id }, header: ifMatch(batch.version) },
          body: {
            yieldAmount: number(amount),
            on,
            ...(settles ? { water } : {}),
            acknowledged: reasons.list,
          },
        }),
      ),
  })
  return (
    <Section title="Press">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          press.mutate()
        }}
      >
        <NumberInput
          label="What came out"
          unit={batch.plan.unit}
          value={amount}
          onChange={setAmount}
          hint={`expected ${range(batch.plan.yield)} ${batch.plan.unit}`}
        />
        {settles && <Choose label="Under the oil" value={water} choices={WATERS} onChange={setWater} />}
        <WhenOn on={on} onChange={setOn} />
        <ProblemNotice error={press.error} />
        <Acknowledge findings={refusedBy(press.error)} reasons={reasons} />
        <Button type="submit" disabled={press.isPending}>
          Record the pressing
        </Button>
      </form>
    </Section>
  )
})
