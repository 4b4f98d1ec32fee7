import { queryOptions, useQuery, type QueryClient } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useStands = () =>
  useQuery({ queryKey: ['stands'], queryFn: () => ask(api.GET('/api/field/stands')) })

export const useStand = (id: string) =>
  useQuery({
    queryKey: ['stands', id],
    queryFn: () => ask(api.GET('/api/field/stands/{id}', { params: { path: { id } } })),
  })

/** What to look at again on a picked piece, of every plant, part and stage. */
const pieces = queryOptions({
  queryKey: ['pieces'],
  queryFn: () => ask(api.GET('/api/field/pieces')),
  staleTime: 3_600_000,
})
export const usePieces = () => useQuery(pieces)

/** What came home and was not weighed yet. */
export const useUnweighed = () =>
  useQuery({ queryKey: ['unweighed'], queryFn: () => ask(api.GET('/api/field/harvests/unweighed')) })

export const usePhotos = (standId: string) =>
  useQuery({
    queryKey: ['photos', standId],
    queryFn: () => ask(api.GET('/api/field/stands/{id}/photos', { params: { path: { id: standId } } })),
  })

/** Every look at a stand, the newest first. */
export const useLooks = (standId: string) =>
  useQuery({
    queryKey: ['stands', standId, 'identifications'],
    queryFn: () =>
      ask(api.GET('/api/field/stands/{id}/identifications', { params: { path: { id: standId } } })),
  })

/** Every stand with its tags, the season and the ground, into the cache; for a device that goes where there is no line. */
export async function fetchField(queries: QueryClient) {
  const [stands, tags, season, ground] = await Promise.all([
    ask(api.GET('/api/field/stands')),
    ask(api.GET('/api/field/tags')),
    ask(api.GET('/api/field/season')),
    ask(api.GET('/api/field/ground')),
    queries.fetchQuery(pieces),
  ])
  queries.setQueryData(['stands'], stands)
  for (const stand of stands) {
    queries.setQueryData(['stands', stand.id], stand)
    queries.setQueryData(
      ['tags', stand.id],
      tags.filter((t) => t.standId === stand.id),
    )
  }
  queries.setQueryData(['season'], season)
  queries.setQueryData(['ground'], ground)
  return stands.length
}
