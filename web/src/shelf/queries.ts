import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useLots = () => useQuery({ queryKey: ['lots'], queryFn: () => ask(api.GET('/api/shelf/lots')) })

export const useLot = (id: string) =>
  useQuery({
    queryKey: ['lots', id],
    queryFn: () => ask(api.GET('/api/shelf/lots/{id}', { params: { path: { id } } })),
  })

export const useUnprintable = (id: string, enabled: boolean) =>
  useQuery({
    queryKey: ['label', id],
    enabled,
    queryFn: () => ask(api.GET('/api/shelf/lots/{id}/label', { params: { path: { id } } })),
  })

/** What will be gone soon, as fast as it was used lately. */
export const useRunningOut = () =>
  useQuery({ queryKey: ['running-out'], queryFn: () => ask(api.GET('/api/shelf/running-out')) })

export const useAccount = (id: string) =>
  useQuery({
    queryKey: ['account', id],
    queryFn: () => ask(api.GET('/api/shelf/lots/{id}/changes', { params: { path: { id } } })),
  })
