import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask, errorAt } from '../api/client'
import { useCommand } from '../ui/command'
import { Button, ButtonLink, Input, TextArea } from '../ui/controls'
import { COME_BACK } from '../ui/dictionary'
import { Only } from '../ui/may'
import { Empty, ProblemNotice, Section } from '../ui/page'
import { addressOf } from '../ui/places'
import { date } from '../ui/words'
import { changeNote, useNotes, useNotesAlong, type Note, type Thing } from './queries'
import { SENSES, WriteNote } from './WriteNote'

/** What was written down about a thing, and a line to write the next. */
export function Notes({ of }: { of: Thing }) {
  return (
    <Section title="Notes">
      <WriteNote key={of.id} of={of} />
      <NotesOf of={of} />
    </Section>
  )
}

export function NotesOf({ of }: { of?: Thing }) {
  const notes = useNotes(of)
  const along = useNotesAlong(of)
  const packed = notes.isError && !notes.data && of?.about === 'STAND' ? along.data : undefined
  const all = packed ?? notes.data?.pages.flatMap((p) => p.notes) ?? []
  return (
    <>
      {notes.isSuccess && all.length === 0 && <Empty>Nothing is written down here yet.</Empty>}
      {notes.isError && (
        <p className="text-soft mt-2">
          {packed
            ? 'The latest as they were packed; older ones can be read when the line is back.'
            : notes.data
              ? 'As they were when they were read last.'
              : 'What was written down before can be read again when the line is back.'}
        </p>
      )}
      <ul className="mt-2">
        {all.map((n) => (
          <NoteRow key={n.id} note={n} named={!of} />
        ))}
      </ul>
      {notes.hasNextPage && (
        <Button disabled={notes.isFetchingNextPage} onClick={() => void notes.fetchNextPage()}>
          Older notes
        </Button>
      )}
    </>
  )
}

const SEEN = ['colour', 'clarity', 'smell', 'feel', 'taste'] as const

/** @param named whether it says what it is about */
export function NoteRow({ note, named }: { note: Note; named: boolean }) {
  const [thrown, setThrown] = useState(false)
  const [changing, setChanging] = useState(false)
  const path = { path: { id: note.id } }
  const throwAway = useCommand([], {
    mutationFn: () => ask(api.DELETE('/api/notes/{id}', { params: path })),
    onSuccess: () => setThrown(true),
  })
  const bringBack = useCommand('notes', {
    mutationFn: () => ask(api.POST('/api/notes/{id}/bring-back', { params: path })),
    onSuccess: () => setThrown(false),
  })
  if (thrown) {
    return (
      <li className="border-line flex flex-wrap items-center gap-3 border-b py-2">
        <span role="status">Thrown away.</span>
        <Button disabled={bringBack.isPending} onClick={() => bringBack.mutate()}>
          Take it back
        </Button>
        <ProblemNotice error={bringBack.error} />
      </li>
    )
  }
  const seen = SEEN.filter((s) => note.seen[s])
  return (
    <li className="border-line border-b py-2">
      <p className="text-soft flex flex-wrap justify-between gap-x-3 text-sm">
        <span>
          {date(note.day)}, {note.writtenBy}
          {named && note.thing && (
            <>
              {' · '}
              <Link className="underline" to={addressOf(note.thing)}>
                {note.thing.name}
              </Link>
            </>
          )}
          {note.place && ` · ${note.place}`}
          {note.latitude != null && ' · on the map'}
        </span>
        <Only deed="record">
          <span className="flex gap-3">
            <button type="button" className="min-h-6 underline" onClick={() => setChanging(!changing)}>
              {changing ? 'as it was' : 'change'}
            </button>
            <button type="button" className="min-h-6 underline" onClick={() => throwAway.mutate()}>
              throw away
            </button>
          </span>
        </Only>
      </p>
      {changing ? (
        <PutRight key={note.version} note={note} onDone={() => setChanging(false)} />
      ) : (
        note.words && <p className="break-words whitespace-pre-line">{note.words}</p>
      )}
      {!changing && seen.length > 0 && (
        <p className="text-sm">
          {seen.map((s, i) => (
            <span key={s}>
              {i > 0 && '; '}
              <span className="text-soft">{s === 'clarity' ? 'looks' : s}</span> {note.seen[s]}
            </span>
          ))}
        </p>
      )}
      {note.pictures.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-2">
          {note.pictures.map((p, i) => (
            <li key={p.id}>
              <img
                src={`/api/notes/pictures/${p.id}`}
                width={p.width}
                height={p.height}
                className="max-h-48 w-auto"
                alt={`Picture ${i + 1} of the note of ${date(note.day)}`}
                loading="lazy"
              />
            </li>
          ))}
        </ul>
      )}
      <Back note={note} />
      {!note.thing && (
        <Only deed="record">
          <div className="mt-1">
            <ButtonLink to={`/field?note=${note.id}`}>Make it a stand</ButtonLink>
          </div>
        </Only>
      )}
      <ProblemNotice error={throwAway.error} />
    </li>
  )
}

/** What was written and seen, and on which day, put right where it stands. */
function PutRight({ note, onDone }: { note: Note; onDone: () => void }) {
  const [words, setWords] = useState(note.words)
  const [day, setDay] = useState(note.day)
  const [seen, setSeen] = useState(note.seen)
  const save = useCommand('notes', {
    mutationFn: () => changeNote(note, { words, day, seen }),
    after: onDone,
  })
  const at = (field: string) => errorAt(save.error, field)
  return (
    <form
      noValidate
      className="my-1 space-y-2"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate()
      }}
    >
      <TextArea
        label={`The note of ${date(note.day)}`}
        rows={3}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        error={at('words')}
      />
      <div className="grid grid-cols-2 gap-2">
        <Input
          label="Its day"
          type="date"
          value={day}
          onChange={(e) => setDay(e.target.value)}
          error={at('day')}
        />
        {SEEN.map((s) => (
          <Input
            key={s}
            label={SENSES[s]}
            value={seen[s]}
            onChange={(e) => setSeen({ ...seen, [s]: e.target.value })}
            error={at(`seen.${s}`)}
          />
        ))}
      </div>
      <ProblemNotice error={save.error} />
      <Button type="submit" disabled={save.isPending}>
        Keep it so
      </Button>
    </form>
  )
}

/** When somebody comes back, and whether they were there. */
function Back({ note }: { note: Note }) {
  const path = { path: { id: note.id } }
  const been = useCommand('notes', {
    mutationFn: () => ask(api.POST('/api/notes/{id}/been-back', { params: path })),
  })
  const again = useCommand('notes', {
    mutationFn: () => ask(api.DELETE('/api/notes/{id}/been-back', { params: path })),
  })
  if (!note.comeBack) return null
  return (
    <div className="mt-1 flex flex-wrap items-center gap-3">
      {note.beenBackOn ? (
        <>
          <span className="text-lichen text-sm">been there again {date(note.beenBackOn)}</span>
          <Only deed="record">
            <button type="button" className="min-h-6 text-sm underline" onClick={() => again.mutate()}>
              not yet
            </button>
          </Only>
        </>
      ) : (
        <>
          <strong className="text-sm">
            Come back {note.due ? date(note.due) : COME_BACK[note.comeBack]}
          </strong>
          <Only deed="record">
            <Button disabled={been.isPending} onClick={() => been.mutate()}>
              Been there
            </Button>
          </Only>
        </>
      )}
      <ProblemNotice error={been.error ?? again.error} />
    </div>
  )
}
