import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useRuns = () => useQuery({ queryKey: ['runs'], queryFn: () => ask(api.GET('/api/drying/runs')) })

export const useRun = (id: string) =>
  useQuery({
    queryKey: ['runs', id],
    queryFn: () => ask(api.GET('/api/drying/runs/{id}', { params: { path: { id } } })),
  })

export const useWaiting = () =>
  useQuery({ queryKey: ['waiting'], queryFn: () => ask(api.GET('/api/drying/waiting')) })
