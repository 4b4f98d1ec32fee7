import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useBatches = () =>
  useQuery({ queryKey: ['batches'], queryFn: () => ask(api.GET('/api/making/batches')) })

export const useBatch = (id: string) =>
  useQuery({
    queryKey: ['batches', id],
    queryFn: () => ask(api.GET('/api/making/batches/{id}', { params: { path: { id } } })),
  })
