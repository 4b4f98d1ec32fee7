import { api, ask, type Schemas } from '../api/client'
import { command } from '../api/outbox'

/** What is done in the field and can wait for the line. A key never changes: it may lie on a device. */

export const addStand = command('field.stand', (body: Schemas['StandRequest']) =>
  ask(api.POST('/api/field/stands', { body })),
)

export const look = command(
  'field.look',
  ({ standId, body }: { standId: string; body: Schemas['IdentificationRequest'] }) =>
    ask(api.POST('/api/field/stands/{id}/identifications', { params: { path: { id: standId } }, body })),
)

export const harvest = command(
  'field.harvest',
  ({ standId, body }: { standId: string; body: Schemas['HarvestRequest'] }) =>
    ask(api.POST('/api/field/stands/{id}/harvests', { params: { path: { id: standId } }, body })),
)

export const sighting = command(
  'field.sighting',
  ({ standId, body }: { standId: string; body: Schemas['SightingRequest'] }) =>
    ask(api.POST('/api/field/stands/{id}/sightings', { params: { path: { id: standId } }, body })),
)

export const tag = command(
  'field.tag',
  ({ standId, body }: { standId: string; body: Schemas['TagRequest'] }) =>
    ask(api.POST('/api/field/stands/{id}/tags', { params: { path: { id: standId } }, body })),
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
  ({ standId, details, file, name }: { standId: string; details: Details; file: Blob; name: string }) => {
    const form = new FormData()
    form.append('file', file, name)
    return ask(
      api.POST('/api/field/stands/{id}/photos', {
        params: { path: { id: standId }, query: details },
        body: { file: '' },
        bodySerializer: () => form,
      }),
    )
  },
)

export const weight = command('field.weight', ({ harvestId, massG }: { harvestId: string; massG: number }) =>
  ask(api.PUT('/api/field/harvests/{id}/weight', { params: { path: { id: harvestId } }, body: { massG } })),
)

export const countPlants = command(
  'field.count',
  ({ standId, body }: { standId: string; body: Schemas['PlantCountRequest'] }) =>
    ask(api.POST('/api/field/stands/{id}/counts', { params: { path: { id: standId } }, body })),
)

export const contact = command('field.contact', (body: Schemas['ContactRequest']) =>
  ask(api.POST('/api/field/contacts', { body })),
)
