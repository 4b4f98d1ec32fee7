import { useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'

export const useRuns = () => useQuery({ queryKey: ['runs'], queryFn: () => ask(api.GET('/api/drying/runs')) })

export const useRun = (id: string) =>
  useQuery({
    queryKey: ['runs', id],
    queryFn: () => ask(api.GET('/api/drying/runs/{id}', { params: { path: { id } } })),
  })

export const useWaiting = () =>
  useQuery({ queryKey: ['waiting'], queryFn: () => ask(api.GET('/api/drying/waiting')) })

export const useRacks = () =>
  useQuery({ queryKey: ['racks'], queryFn: () => ask(api.GET('/api/drying/racks')) })

/** How a part may be dried, and how this household usually does. */
export const useWays = (part: Schemas['HarvestView']['part'], enabled: boolean) =>
  useQuery({
    queryKey: ['ways', part],
    enabled,
    queryFn: () => ask(api.GET('/api/drying/ways', { params: { query: { part } } })),
  })
