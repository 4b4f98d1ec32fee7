import { isoToday } from '../ui/clock'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { Empty, ProblemNotice, Section } from '../ui/page'
import { date } from '../ui/words'
import { NONE, PictureField } from '../ui/PictureField'
import { carryPictures } from './pictures'
import { usePhotos } from './queries'
import { Only } from '../ui/may'

/** The household's own pictures of a stand. The position within a file is dropped unless it is kept on purpose. */
export function Photos({ stand }: { stand: Schemas['StandView'] }) {
  const [words, setWords] = useState('')
  const [chosen, setChosen] = useState(NONE)
  const photos = usePhotos(stand.id)
  const add = useCommand(['photos'], {
    mutationFn: async () => {
      if (chosen.pictures.length === 0) throw new Error('Choose a picture first.')
      await carryPictures(stand.id, chosen, { takenOn: isoToday(), words })
    },
    onSuccess: async () => {
      setWords('')
      setChosen({ ...chosen, pictures: [] })
    },
  })
  const remove = useCommand(['photos'], {
    mutationFn: (id: string) => ask(api.DELETE('/api/field/photos/{id}', { params: { path: { id } } })),
  })
  return (
    <Section title="Photos">
      {photos.data?.length === 0 && (
        <Empty>No photo yet. Take the leaf from both sides, the stem, the flower.</Empty>
      )}
      <ul className="grid grid-cols-2 gap-2">
        {(photos.data ?? []).map((p) => (
          <li key={p.id}>
            <img
              src={`/api/field/photos/${p.id}`}
              width={p.width}
              height={p.height}
              alt={p.words || `${stand.name}, ${date(p.takenOn)}`}
              loading="lazy"
            />
            <p className="text-soft flex justify-between gap-2 text-sm">
              <span>
                {p.words} {date(p.takenOn)}, {p.addedBy}
                {p.identificationId && ', at an identification'}
                {p.latitude != null && ', position kept'}
              </span>
              <Only deed="record">
                <button type="button" className="min-h-6 underline" onClick={() => remove.mutate(p.id)}>
                  remove
                </button>
              </Only>
            </p>
          </li>
        ))}
      </ul>
      <Only deed="record">
        <form
          className="mt-2 space-y-2"
          onSubmit={(e) => {
            e.preventDefault()
            add.mutate()
          }}
        >
          <PictureField
            label="Pictures, JPEG, PNG or WebP, up to 12 MB"
            chosen={chosen}
            onChange={setChosen}
          />
          <Input label="What it shows" value={words} onChange={(e) => setWords(e.target.value)} />
          <ProblemNotice error={add.error} />
          <Button type="submit" disabled={add.isPending}>
            {add.isPending ? 'Sending the photo' : 'Add the photo'}
          </Button>
        </form>
      </Only>
    </Section>
  )
}
