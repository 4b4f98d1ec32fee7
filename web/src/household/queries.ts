import { useQuery } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'
import { setNow } from '../ui/clock'

export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: async () => {
      const session = await ask(api.GET('/api/session'))
      setNow(session.now, session.zone)
      return session
    },
    staleTime: 60_000,
  })

export const usePeople = () => useQuery({ queryKey: ['people'], queryFn: () => ask(api.GET('/api/people')) })

/** The household's answers to what practitioners disagree about. */
export const useSchools = () =>
  useQuery({
    queryKey: ['schools'],
    queryFn: () => ask(api.GET('/api/household/schools')),
    staleTime: 600_000,
  })

/** Whether the household keeps to one of these schools; the usual until its own are read. */
export function useKeepsTo() {
  const schools = useSchools()
  return (school: Schemas['SchoolView']['id']) => schools.data?.some((q) => q.school === school) ?? false
}

/** Plant families somebody may be allergic to. */
export const useFamilies = () =>
  useQuery({
    queryKey: ['families'],
    queryFn: () => ask(api.GET('/api/people/families')),
    staleTime: Infinity,
  })

export const useRegions = () =>
  useQuery({ queryKey: ['regions'], queryFn: () => ask(api.GET('/api/setup')), staleTime: Infinity })
