import { Children, useState } from 'react'
import { Button } from './controls'
import { useNarrow } from './useNarrow'

/** A long form: side by side where there is room, on a phone one short step after the other, moved with one thumb. */
export function Steps({ names, children }: { names: string[]; children: React.ReactNode }) {
  const narrow = useNarrow()
  const [at, setAt] = useState(0)
  const parts = Children.toArray(children)
  if (!narrow) return <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-4">{parts}</div>
  const move = (to: number) => {
    setAt(to)
    window.scrollTo(0, 0)
  }
  return (
    <>
      <p className="text-soft mb-2 text-sm" role="status">
        Step {at + 1} of {parts.length}: {names[at]}
      </p>
      {parts.map((part, i) => (
        <div key={names[i]} hidden={i !== at}>
          {part}
        </div>
      ))}
      <div className="bg-page border-line sticky bottom-14 z-10 mt-3 flex justify-between gap-2 border-t-2 py-2">
        <Button disabled={at === 0} onClick={() => move(at - 1)}>
          Back
        </Button>
        {at < parts.length - 1 && (
          <Button kind="main" onClick={() => move(at + 1)}>
            Next: {names[at + 1]}
          </Button>
        )}
      </div>
    </>
  )
}
