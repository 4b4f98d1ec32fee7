import { api, ask, type Schemas } from '../api/client'
import { command } from '../api/outbox'

/** What is done in the field and can wait for the line. A key never changes: it may lie on a device. */

export const addStand = command('field.stand', (body: Schemas['StandRequest'], headers) =>
  ask(api.POST('/api/field/stands', { body, headers })),
)

export const look = command(
  'field.look',
  ({ standId, body }: { standId: string; body: Schemas['IdentificationRequest'] }, headers) =>
    ask(
      api.POST('/api/field/stands/{id}/identifications', {
        params: { path: { id: standId } },
        body,
        headers,
      }),
    ),
)

export const harvest = command(
  'field.harvest',
  ({ standId, body }: { standId: string; body: Schemas['HarvestRequest'] }, headers) =>
    ask(api.POST('/api/field/stands/{id}/harvests', { params: { path: { id: standId } }, body, headers })),
)

export const sighting = command(
  'field.sighting',
  ({ standId, body }: { standId: string; body: Schemas['SightingRequest'] }, headers) =>
    ask(api.POST('/api/field/stands/{id}/sightings', { params: { path: { id: standId } }, body, headers })),
  { fields: [{ at: ['body', 'on'], label: 'Day', kind: 'date' }] },
)

export const tag = command(
  'field.tag',
  ({ standId, body }: { standId: string; body: Schemas['TagRequest'] }, headers) =>
    ask(api.POST('/api/field/stands/{id}/tags', { params: { path: { id: standId } }, body, headers })),
  {
    fields: [
      { at: ['body', 'stake'], label: 'Mark on the stake', kind: 'text' },
      { at: ['body', 'place'], label: 'Where it stands', kind: 'text' },
    ],
  },
)

export interface Details {
  photoId: string
  takenOn: string
  words?: string
  identificationId?: string
  latitude?: number
  longitude?: number
}

export const picture = command(
  'field.picture',
  (
    { standId, details, file, name }: { standId: string; details: Details; file: Blob; name: string },
    headers,
  ) => {
    const form = new FormData()
    form.append('file', file, name)
    return ask(
      api.POST('/api/field/stands/{id}/photos', {
        params: { path: { id: standId }, query: details },
        body: { file: '' },
        headers,
        bodySerializer: () => form,
      }),
    )
  },
  {
    fields: [
      { at: ['details', 'takenOn'], label: 'Taken on', kind: 'date' },
      { at: ['details', 'words'], label: 'What it shows', kind: 'text' },
    ],
  },
)

export const weight = command(
  'field.weight',
  ({ harvestId, massG }: { harvestId: string; massG: number }, headers) =>
    ask(
      api.PUT('/api/field/harvests/{id}/weight', {
        params: { path: { id: harvestId } },
        body: { massG },
        headers,
      }),
    ),
  { fields: [{ at: ['massG'], label: 'Weight', kind: 'number', unit: 'g' }] },
)

export const countPlants = command(
  'field.count',
  ({ standId, body }: { standId: string; body: Schemas['PlantCountRequest'] }, headers) =>
    ask(api.POST('/api/field/stands/{id}/counts', { params: { path: { id: standId } }, body, headers })),
  {
    fields: [
      { at: ['body', 'plants'], label: 'Plants, or stems, counted', kind: 'number' },
      { at: ['body', 'on'], label: 'Day', kind: 'date' },
      { at: ['body', 'words'], label: 'Words', kind: 'text' },
    ],
  },
)

export const contact = command(
  'field.contact',
  (body: Schemas['ContactRequest'], headers) => ask(api.POST('/api/field/contacts', { body, headers })),
  {
    fields: [
      { at: ['on'], label: 'Day', kind: 'date' },
      { at: ['words'], label: 'Words', kind: 'text' },
    ],
  },
)
