import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useLots = () => useQuery({ queryKey: ['lots'], queryFn: () => ask(api.GET('/api/shelf/lots')) })

export const useLot = (id: string) =>
  useQuery({
    queryKey: ['lots', id],
    queryFn: () => ask(api.GET('/api/shelf/lots/{id}', { params: { path: { id } } })),
  })
