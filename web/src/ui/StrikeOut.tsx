import { useCommand } from './command'
import { useState } from 'react'
import { errorAt } from '../api/client'
import { Button, Input } from './controls'
import { ProblemNotice } from './page'
import { only } from './may'
import { useSecond, type Because } from './Second'

/** What was noted and was wrong: struck out with a reason, it stays in the record and leaves every reckoning. */
export const StrikeOut = only(
  'record',
  function StrikeOut({
    what,
    word = 'was wrong',
    onStrike,
  }: {
    /** Which of several alike, for whoever hears it read: "the weighing of 212 g". */
    what: string
    word?: string
    onStrike: (because: Because) => Promise<unknown>
  }) {
    const [open, setOpen] = useState(false)
    const second = useSecond()
    const [reason, setReason] = useState('')
    const strike = useCommand('field', {
      mutationFn: () => onStrike({ reason, second: second.second }),
      onSuccess: async () => {
        setOpen(false)
      },
    })
    if (!open) {
      return (
        <button
          type="button"
          className="text-soft min-h-8 text-sm underline"
          aria-label={`${word}: ${what}`}
          onClick={() => setOpen(true)}
        >
          {word}
        </button>
      )
    }
    return (
      <form
        className="border-line my-1 w-full space-y-2 border-l-4 pl-3 text-left"
        onSubmit={(e) => {
          e.preventDefault()
          strike.mutate()
        }}
      >
        <Input
          label={`Why ${what} is struck out`}
          value={reason}
          autoFocus
          error={errorAt(strike.error, 'reason')}
          onChange={(e) => setReason(e.target.value)}
        />
        {!errorAt(strike.error, 'reason') && <ProblemNotice error={strike.error} />}
        {second.panel(strike.error)}
        <div className="flex gap-2">
          <Button type="submit" disabled={strike.isPending || reason.trim() === ''}>
            Strike it out
          </Button>
          <Button onClick={() => setOpen(false)}>Cancel</Button>
        </div>
      </form>
    )
  },
)
