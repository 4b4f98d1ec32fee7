import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useToday = () =>
  useQuery({
    queryKey: ['today'],
    queryFn: () => ask(api.GET('/api/calendar/today')),
    refetchInterval: 60_000,
  })

/** How much waits at each landing; every page asks, so it is a light question. */
export const useLandings = () =>
  useQuery({
    queryKey: ['landings'],
    queryFn: () => ask(api.GET('/api/calendar/landings')),
    refetchInterval: 60_000,
  })
