import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useToday = () =>
  useQuery({
    queryKey: ['today'],
    queryFn: () => ask(api.GET('/api/calendar/today')),
    refetchInterval: 60_000,
  })
