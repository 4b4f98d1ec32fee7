import { useState } from 'react'
import { Button } from './controls'
import { ProblemNotice } from './page'

/** The one thing that asks twice: mould can't be taken back. */
export function Mould({ onMould, busy, error }: { onMould: () => void; busy: boolean; error: unknown }) {
  const [sure, setSure] = useState(false)
  return (
    <div className="space-y-2">
      {sure ? (
        <>
          <p className="text-sm">
            The whole lot is lost; no part of it can be saved. This can't be taken back.
          </p>
          <div className="flex flex-wrap gap-2">
            <Button kind="grave" onClick={onMould} disabled={busy}>
              Mould: throw all of it away
            </Button>
            <Button onClick={() => setSure(false)}>No, keep it</Button>
          </div>
        </>
      ) : (
        <Button kind="grave" onClick={() => setSure(true)}>
          I see or smell mould
        </Button>
      )}
      <ProblemNotice error={error} />
    </div>
  )
}
