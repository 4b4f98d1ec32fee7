import { useState } from 'react'
import type { Answer } from '../identification/Look'
import { Button, Input, Toggle } from '../ui/controls'
import { ProblemNotice } from '../ui/page'
import { VERDICT } from '../ui/dictionary'
import { NONE, PictureField, type Chosen } from './PictureField'
import { only } from '../ui/may'

export interface Kept {
  otherPlants?: boolean
  secondObserver?: string
  book?: string
}

/** What is kept with the verdict, and the pictures taken while looking. */
export type OnKeep = (kept: Kept, pictures: Chosen) => void

/** Keeps what was seen with a stand: who else looked, book and page. The verdict is reckoned again by the server. */
export const KeepIdentification = only(
  'record',
  function KeepIdentification({
    answer,
    before,
    error,
    busy,
    onKeep,
    children,
  }: {
    answer: Answer
    /** Whether somebody looked at the stand before. */
    before: boolean
    error: unknown
    busy: boolean
    onKeep: OnKeep
    children?: React.ReactNode
  }) {
    const [second, setSecond] = useState('')
    const [book, setBook] = useState('')
    const [pictures, setPictures] = useState(NONE)
    const [others, setOthers] = useState(false)
    const status =
      answer.again.length > 0 && answer.verdict.status === 'CONFIRMED' ? 'NOT_YET' : answer.verdict.status
    return (
      <form
        className="bg-sheet border-line space-y-2 border-t-2 px-3 py-2"
        onSubmit={(e) => {
          e.preventDefault()
          onKeep(
            { otherPlants: others, ...(second ? { secondObserver: second } : {}), ...(book ? { book } : {}) },
            pictures,
          )
        }}
      >
        <h2 className="font-semibold">Keep it with the stand</h2>
        {children}
        {answer.again.length > 0 && <p>Two answers were not looked at again, so it is kept as not yet.</p>}
        {before && (
          <Toggle
            label="At other plants of the stand than the look before"
            checked={others}
            onChange={setOthers}
          />
        )}
        <Input label="Who else looked" value={second} onChange={(e) => setSecond(e.target.value)} />
        <Input label="Book, edition and page" value={book} onChange={(e) => setBook(e.target.value)} />
        <PictureField label="Pictures of what you saw" chosen={pictures} onChange={setPictures} />
        <ProblemNotice error={error} />
        <Button kind="main" type="submit" disabled={busy}>
          Keep this verdict: {VERDICT[status]}
        </Button>
      </form>
    )
  },
)
