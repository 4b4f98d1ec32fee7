import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useSession = () =>
  useQuery({ queryKey: ['session'], queryFn: () => ask(api.GET('/api/session')), staleTime: 60_000 })

export const usePeople = () => useQuery({ queryKey: ['people'], queryFn: () => ask(api.GET('/api/people')) })
