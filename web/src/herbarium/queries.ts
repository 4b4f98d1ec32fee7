import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useTaxa = (q = '') =>
  useQuery({
    queryKey: ['taxa', q],
    queryFn: () => ask(api.GET('/api/herbarium/taxa', { params: { query: { q } } })),
    staleTime: 600_000,
  })

export const useTaxon = (id: string) =>
  useQuery({
    queryKey: ['taxon', id],
    queryFn: () => ask(api.GET('/api/herbarium/taxa/{id}', { params: { path: { id } } })),
    staleTime: 600_000,
    enabled: id !== '',
  })

export const useCharacters = () =>
  useQuery({
    queryKey: ['characters'],
    queryFn: () => ask(api.GET('/api/herbarium/characters')),
    staleTime: 600_000,
  })
