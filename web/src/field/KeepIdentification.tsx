import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask } from '../api/client'
import { asBegun, type Answer, type Seen } from '../identification/Look'
import { Choose } from '../ui/Choose'
import { Button, Input, Toggle } from '../ui/controls'
import { useKept } from '../ui/kept'
import { ProblemNotice } from '../ui/page'
import { VERDICT } from '../ui/dictionary'
import { NONE, PictureField, type Chosen } from '../ui/PictureField'
import { only } from '../ui/may'
import { useSecond, wantsSecond } from '../ui/Second'

export interface Kept {
  otherPlants?: boolean
  secondObserver?: string
  second?: string
  book?: string
}

/** What is kept with the verdict, and the pictures taken while looking. */
export type OnKeep = (kept: Kept, pictures: Chosen) => void

/** What goes back into the fields of a look that was refused. */
export const asTyped = (id: string, kept: Kept, seen: Seen) => ({
  id,
  begun: asBegun(seen),
  second: kept.secondObserver ?? '',
  book: kept.book ?? '',
  others: kept.otherPlants ?? false,
})

/** Keeps what was seen with a stand: who else looked, book and page. The verdict is reckoned again by the server. */
export const KeepIdentification = only(
  'record',
  function KeepIdentification({
    draft,
    answer,
    before,
    error,
    busy,
    onKeep,
    children,
  }: {
    /** What the unsaved look is kept under. */
    draft: string
    /** Undefined where there is no line. */
    answer: Answer | undefined
    /** Whether somebody looked at the stand before. */
    before: boolean
    error: unknown
    busy: boolean
    onKeep: OnKeep
    children?: React.ReactNode
  }) {
    const [second, setSecond] = useKept(draft, 'second', '')
    const [book, setBook] = useKept(draft, 'book', '')
    const signs = useSecond()
    const [pictures, setPictures] = useState(NONE)
    const [others, setOthers] = useKept(draft, 'others', false)
    const [named, setNamed] = useState('')
    const looksToo = wantsSecond(error)
    const observers = useQuery({
      queryKey: ['observers'],
      queryFn: () => ask(api.GET('/api/household/observers')),
      enabled: looksToo,
    })
    const word = named || signs.second
    const again = answer?.again.length ?? 0
    const status = again > 0 ? 'NOT_YET' : answer?.verdict.status
    return (
      <form
        className="bg-sheet border-line space-y-2 border-t-2 px-3 py-2"
        onSubmit={(e) => {
          e.preventDefault()
          onKeep(
            {
              otherPlants: others,
              ...(second ? { secondObserver: second } : {}),
              ...(word ? { second: word } : {}),
              ...(book ? { book } : {}),
            },
            pictures,
          )
        }}
      >
        <h2 className="font-semibold">Keep it with the stand</h2>
        {children}
        {again > 0 && <p>Two answers were not looked at again, so it is kept as not yet.</p>}
        {before && (
          <Toggle
            label="At other plants of the stand than the look before"
            checked={others}
            onChange={setOthers}
          />
        )}
        <Input
          label="Who else looked"
          hint="for the record"
          value={second}
          onChange={(e) => setSecond(e.target.value)}
        />
        <Input label="Book, edition and page" value={book} onChange={(e) => setBook(e.target.value)} />
        <PictureField label="Pictures of what you saw" chosen={pictures} onChange={setPictures} />
        <ProblemNotice error={error} />
        {looksToo && observers.data && observers.data.length > 0 && (
          <Choose
            label="Looked too, named by the keeper"
            value={named}
            onChange={setNamed}
            choices={[
              { value: '', label: 'nobody of these' },
              ...observers.data.map((o) => ({ value: o.id, label: o.name, hint: o.why })),
            ]}
          />
        )}
        {named === '' && signs.panel(error)}
        <Button kind="main" type="submit" disabled={busy}>
          {status ? `Keep this verdict: ${VERDICT[status]}` : 'Keep what I saw'}
        </Button>
      </form>
    )
  },
)
