import { api, ask, type Schemas } from '../api/client'
import { command } from '../api/outbox'

/** What is written down and can wait for the line. A key never changes: it may lie on a device. */

export const writeNote = command(
  'notes.note',
  (body: Schemas['NoteRequest'], headers) => ask(api.POST('/api/notes', { body, headers })),
  {
    fields: [
      { at: ['day'], label: 'Day', kind: 'date' },
      { at: ['words'], label: 'Words', kind: 'text' },
    ],
  },
)

export const pictureOfNote = command(
  'notes.picture',
  (
    { noteId, pictureId, file, name }: { noteId: string; pictureId: string; file: Blob; name: string },
    headers,
  ) => {
    const form = new FormData()
    form.append('file', file, name)
    return ask(
      api.POST('/api/notes/{id}/pictures', {
        params: { path: { id: noteId }, query: { pictureId } },
        body: { file: '' },
        headers,
        bodySerializer: () => form,
      }),
    )
  },
)
