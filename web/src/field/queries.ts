import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useStands = () =>
  useQuery({ queryKey: ['stands'], queryFn: () => ask(api.GET('/api/field/stands')) })

export const useStand = (id: string) =>
  useQuery({
    queryKey: ['stands', id],
    queryFn: () => ask(api.GET('/api/field/stands/{id}', { params: { path: { id } } })),
  })

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
