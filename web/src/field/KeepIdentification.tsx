import { useState } from 'react'
import type { Answer, Seen } from '../identification/Identify'
import { Button, Input } from '../ui/controls'
import { ProblemNotice } from '../ui/page'
import { VERDICT } from '../ui/dictionary'
import { NONE, PictureField, type Chosen } from './PictureField'

export interface Kept {
  secondObserver?: string
  book?: string
}

/** What is kept with the verdict, and the pictures taken while looking. */
export type OnKeep = (kept: Kept, pictures: Chosen) => void

/** Keeps what was seen with a stand: day, who else looked, book and page. The verdict is reckoned again by the server. */
export function KeepIdentification({
  answer,
  seen,
  today,
  onSeen,
  error,
  busy,
  onKeep,
  children,
}: {
  answer: Answer | undefined
  seen: Seen
  today: string
  onSeen: (seen: Seen) => void
  error: unknown
  busy: boolean
  onKeep: OnKeep
  children?: React.ReactNode
}) {
  const [second, setSecond] = useState('')
  const [book, setBook] = useState('')
  const [pictures, setPictures] = useState(NONE)
  return (
    <form
      className="bg-sheet border-line space-y-2 border-t-2 px-3 py-2"
      onSubmit={(e) => {
        e.preventDefault()
        onKeep({ ...(second ? { secondObserver: second } : {}), ...(book ? { book } : {}) }, pictures)
      }}
    >
      <h2 className="font-semibold">Keep it with the stand</h2>
      {children}
      <Input
        label="Seen on"
        type="date"
        max={today}
        value={seen.on}
        onChange={(e) => e.target.value && onSeen({ ...seen, on: e.target.value })}
      />
      <Input label="Who else looked" value={second} onChange={(e) => setSecond(e.target.value)} />
      <Input label="Book, edition and page" value={book} onChange={(e) => setBook(e.target.value)} />
      <PictureField label="Pictures of what you saw" chosen={pictures} onChange={setPictures} />
      <ProblemNotice error={error} />
      <Button kind="main" type="submit" disabled={busy || seen.observations.length === 0}>
        Keep this verdict{answer ? `: ${VERDICT[answer.verdict.status]}` : ''}
      </Button>
    </form>
  )
}
