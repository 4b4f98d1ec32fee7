import { useQuery, type QueryClient } from '@tanstack/react-query'
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

/** Every drying with its page, into the cache; for a device that goes where there is no line. */
export async function fetchRack(queries: QueryClient) {
  const [runs, waiting, racks] = await Promise.all([
    ask(api.GET('/api/drying/runs')),
    ask(api.GET('/api/drying/waiting')),
    ask(api.GET('/api/drying/racks')),
  ])
  queries.setQueryData(['runs'], runs)
  for (const run of runs) queries.setQueryData(['runs', run.id], run)
  queries.setQueryData(['waiting'], waiting)
  queries.setQueryData(['racks'], racks)
}
