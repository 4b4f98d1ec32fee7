import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input, Toggle } from '../ui/controls'
import { Empty, ProblemNotice, Section } from '../ui/page'
import { date, isoToday } from '../ui/words'

/** The household's own pictures of a stand. The position within a file is dropped unless it is kept on purpose. */
export function Photos({ stand }: { stand: Schemas['StandView'] }) {
  const queries = useQueryClient()
  const file = useRef<HTMLInputElement>(null)
  const [words, setWords] = useState('')
  const [keep, setKeep] = useState(false)
  const photos = useQuery({
    queryKey: ['photos', stand.id],
    queryFn: () => ask(api.GET('/api/field/stands/{id}/photos', { params: { path: { id: stand.id } } })),
  })
  const changed = () => queries.invalidateQueries({ queryKey: ['photos', stand.id] })
  const add = useMutation({
    mutationFn: async () => {
      const chosen = file.current?.files?.[0]
      if (!chosen) throw new Error('Choose a picture first.')
      const at = keep ? await position() : null
      const form = new FormData()
      form.append('file', chosen)
      return ask(
        api.POST('/api/field/stands/{id}/photos', {
          params: {
            path: { id: stand.id },
            query: { photoId: v7(), takenOn: isoToday(), words, ...(at ?? {}) },
          },
          body: { file: '' },
          bodySerializer: () => form,
        }),
      )
    },
    onSuccess: async () => {
      setWords('')
      if (file.current) file.current.value = ''
      await changed()
    },
  })
  const remove = useMutation({
    mutationFn: (id: string) => ask(api.DELETE('/api/field/photos/{id}', { params: { path: { id } } })),
    onSuccess: changed,
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
                {p.latitude != null && ', position kept'}
              </span>
              <button type="button" className="min-h-6 underline" onClick={() => remove.mutate(p.id)}>
                remove
              </button>
            </p>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          add.mutate()
        }}
      >
        <label className="block">
          <span className="text-soft block text-sm font-medium">Picture, JPEG, PNG or WebP, up to 12 MB</span>
          <input
            ref={file}
            type="file"
            accept="image/jpeg,image/png,image/webp"
            className="min-h-11 w-full"
          />
        </label>
        <Input label="What it shows" value={words} onChange={(e) => setWords(e.target.value)} />
        <Toggle label="Keep where I am now with it" checked={keep} onChange={setKeep} />
        <ProblemNotice error={add.error} />
        <Button type="submit" disabled={add.isPending}>
          Add the photo
        </Button>
      </form>
    </Section>
  )
}

const position = () =>
  new Promise<{ latitude: number; longitude: number }>((resolve, reject) =>
    navigator.geolocation.getCurrentPosition(
      (p) => resolve({ latitude: p.coords.latitude, longitude: p.coords.longitude }),
      () => reject(new Error('The device does not tell where it is. Add the photo without, or try again.')),
    ),
  )
