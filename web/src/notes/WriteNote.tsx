import { useState } from 'react'
import { carry } from '../api/outbox'
import { errorAt, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { useCommand, useRenew } from '../ui/command'
import { Button, Input, TextArea } from '../ui/controls'
import { COME_BACK } from '../ui/dictionary'
import { forget, useKept, useKeptId } from '../ui/kept'
import { KeptHere } from '../ui/KeptHere'
import { only } from '../ui/may'
import { ProblemNotice } from '../ui/page'
import { NONE, PictureField, type Chosen } from '../ui/PictureField'
import { useFields } from '../ui/useFields'
import { degreesOf } from '../ui/read'
import { pictureOfNote, writeNote } from './commands'
import { Here } from './Here'
import type { Thing } from './queries'

type When = Schemas['ComeBackRequest']['when']

export const SENSES = {
  colour: 'Colour',
  clarity: 'Clear or cloudy',
  smell: 'Smell',
  feel: 'Feel',
  taste: 'Taste, of what is safe to swallow',
} as const

/** As the form holds it. */
type Values = Record<
  keyof typeof SENSES | 'words' | 'place' | 'latitude' | 'longitude' | 'day' | 'when' | 'on',
  string
>

const EMPTY = (): Values => ({
  words: '',
  place: '',
  latitude: '',
  longitude: '',
  day: isoToday(),
  when: '',
  on: '',
  colour: '',
  clarity: '',
  smell: '',
  feel: '',
  taste: '',
})

/** A line and a button; what was seen, pictures and where stand behind one touch, when to come back beside it. */
export const WriteNote = only('record', function WriteNote({ of }: { of?: Thing | undefined }) {
  const draft = `note ${of?.about ?? ''} ${of?.id ?? ''}`
  // A form of its own for each note: the next one begins with an id and fields that nothing was sent under.
  const [written, setWritten] = useState(0)
  const [kept, setKept] = useState(false)
  const [refused, setRefused] = useState<string[]>([])
  return (
    <>
      <Form
        key={written}
        of={of}
        draft={draft}
        onDone={(sent, pictures) => {
          setKept(!sent)
          setRefused(pictures)
          setWritten(written + 1)
        }}
      />
      {kept && <KeptHere />}
      {refused.length > 0 && (
        <p role="alert" className="text-madder text-sm">
          The note is kept, without these pictures: {refused.join('; ')}
        </p>
      )}
    </>
  )
})

function Form({
  of,
  draft,
  onDone,
}: {
  of: Thing | undefined
  draft: string
  onDone: (sent: boolean, refused: string[]) => void
}) {
  const id = useKeptId(draft)
  const kept = useKept<Values>(draft, 'values', EMPTY)
  const [pictures, setPictures] = useState<Chosen>(NONE)
  const renew = useRenew('notes')
  const write = useCommand([], {
    mutationFn: async (v: Values) => {
      const refused: string[] = []
      let { sent } = await carry(writeNote, requestOf(id, v, of, pictures), wordsOf(v, of))
      for (const p of pictures.pictures) {
        try {
          const carried = await carry(
            pictureOfNote,
            { noteId: id, pictureId: p.id, file: p.file, name: p.name },
            `A picture, ${p.name}`,
          )
          sent &&= carried.sent
        } catch (e) {
          // The note is on record: sent again without its picture it would be another under the same id.
          refused.push(`${p.name}: ${errorAt(e, 'file') ?? (e instanceof Error ? e.message : String(e))}`)
        }
      }
      return { sent, refused }
    },
    onSuccess: async ({ sent, refused }) => {
      forget(draft)
      if (sent) await renew()
      onDone(sent, refused)
    },
  })
  const f = useFields(
    kept,
    (v) => ({
      words:
        pictures.pictures.length === 0 && [v.words, ...sensesOf(v)].every((w) => w.trim() === '')
          ? 'Write something, say what was seen, or add a picture.'
          : undefined,
      on: v.when === 'DAY' && !v.on ? 'Say which day.' : undefined,
    }),
    write.error,
  )
  return (
    <form noValidate className="space-y-2" onSubmit={f.submit((v) => write.mutate(v))}>
      <TextArea label={of ? 'Write it down' : 'What was seen, and where'} rows={2} {...f.text('words')} />
      {!of && <Where f={f} />}
      <ComingBack f={f} error={write.error} />
      <More f={f} of={of} pictures={pictures} setPictures={setPictures} error={write.error} />
      <ProblemNotice error={write.error} />
      <Button kind="main" type="submit" disabled={write.isPending}>
        {write.isPending ? 'Writing it down' : 'Keep the note'}
      </Button>
    </form>
  )
}

type F = ReturnType<typeof useFields<Values>>

/** What was seen, pictures, another day. */
function More({
  f,
  of,
  pictures,
  setPictures,
  error,
}: {
  f: F
  of: Thing | undefined
  pictures: Chosen
  setPictures: (chosen: Chosen) => void
  error: unknown
}) {
  const senses = (Object.keys(SENSES) as (keyof typeof SENSES)[]).filter(
    // What stands in the field is never told by its taste.
    (s) => s !== 'taste' || of?.about === 'LOT',
  )
  return (
    <details>
      <summary className="text-note min-h-6 cursor-pointer underline">
        Colour, smell, feel, a picture, another day
      </summary>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        {senses.map((s) => (
          <Input
            key={s}
            label={SENSES[s]}
            {...f.text(s)}
            error={errorAt(error, `seen.${s}`)}
            maxLength={200}
          />
        ))}
        <Input label="Day" type="date" max={isoToday()} {...f.text('day')} />
      </div>
      <div className="mt-2">
        <PictureField
          label="Pictures for the note, JPEG, PNG or WebP, up to 12 MB"
          chosen={pictures}
          onChange={setPictures}
          positioned={false}
        />
      </div>
    </details>
  )
}

/** For what is nowhere on record: words, or one touch where the device tells where it is. */
function Where({ f }: { f: F }) {
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="least-48 flex-1">
        <Input label="Where, in words" {...f.text('place')} />
      </div>
      <Here f={f} />
    </div>
  )
}

/** One touch for when to come back; a second one takes it off again. */
function ComingBack({ f, error }: { f: F; error: unknown }) {
  return (
    <fieldset>
      <legend className="text-soft text-sm font-medium">Come back</legend>
      <div className="flex flex-wrap items-end gap-1">
        {(Object.keys(COME_BACK) as When[]).map((when) => {
          const on = f.values.when === when
          return (
            <button
              key={when}
              type="button"
              aria-pressed={on}
              className={`min-h-11 border-2 px-3 text-sm ${on ? 'bg-water text-sheet border-water font-semibold' : 'bg-sheet border-line'}`}
              onClick={() => f.set({ when: on ? '' : when })}
            >
              {COME_BACK[when]}
            </button>
          )
        })}
        {f.values.when === 'DAY' && (
          <Input
            label="The day"
            type="date"
            min={isoToday()}
            {...f.text('on')}
            error={f.wrongAt('on') ?? errorAt(error, 'comeBack.on')}
          />
        )}
      </div>
    </fieldset>
  )
}

const sensesOf = (v: Values) => [v.colour, v.clarity, v.smell, v.feel, v.taste]

function requestOf(id: string, v: Values, of: Thing | undefined, pictures: Chosen): Schemas['NoteRequest'] {
  const latitude = degreesOf(v.latitude)
  const longitude = degreesOf(v.longitude)
  return {
    id,
    ...(of ? { about: of.about, aboutId: of.id } : {}),
    day: v.day,
    words: v.words,
    seen: { colour: v.colour, clarity: v.clarity, smell: v.smell, feel: v.feel, taste: v.taste },
    place: v.place,
    ...(latitude === undefined || longitude === undefined ? {} : { latitude, longitude }),
    ...(v.when ? { comeBack: { when: v.when as When, ...(v.when === 'DAY' ? { on: v.on } : {}) } } : {}),
    pictured: pictures.pictures.length > 0,
  }
}

const SHOWN_LETTERS = 60

/** As it is called in the notebook. */
const wordsOf = (v: Values, of: Thing | undefined) => {
  const said = v.words.trim() || v.place.trim() || 'what was seen'
  const begun = said.length > SHOWN_LETTERS ? `${said.slice(0, SHOWN_LETTERS)}…` : said
  return of ? `A note on ${of.name}: ${begun}` : `A note: ${begun}`
}
