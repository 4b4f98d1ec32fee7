import { useQuery, type QueryClient } from '@tanstack/react-query'
import { api, ask, type Schemas } from '../api/client'

const STALE = 600_000

export const useTaxa = (q = '') =>
  useQuery({
    queryKey: ['taxa', q],
    queryFn: () => ask(api.GET('/api/herbarium/taxa', { params: { query: { q } } })),
    staleTime: STALE,
  })

export const useTaxon = (id: string) =>
  useQuery({
    queryKey: ['taxon', id],
    queryFn: () => ask(api.GET('/api/herbarium/taxa/{id}', { params: { path: { id } } })),
    staleTime: STALE,
    enabled: id !== '',
  })

/** The card as written, for changing it. */
export const useCard = (id: string, enabled: boolean) =>
  useQuery({
    queryKey: ['card', id],
    queryFn: () => ask(api.GET('/api/herbarium/taxa/{id}/card', { params: { path: { id } } })),
    enabled,
  })

export const useChecks = (id: string) =>
  useQuery({
    queryKey: ['checks', id],
    queryFn: () => ask(api.GET('/api/herbarium/taxa/{id}/checks', { params: { path: { id } } })),
  })

export const useDrawings = () =>
  useQuery({
    queryKey: ['drawings'],
    queryFn: () => ask(api.GET('/api/herbarium/drawings', { params: { query: {} } })),
    staleTime: STALE,
  })

export const useComparison = (id: string, other: string, stage: Schemas['ComparisonView']['stage']) =>
  useQuery({
    queryKey: ['comparison', id, other, stage],
    queryFn: () =>
      ask(
        api.GET('/api/herbarium/taxa/{id}/compare/{other}', {
          params: { path: { id, other }, query: { stage } },
        }),
      ),
    staleTime: STALE,
    enabled: other !== '',
  })

export const useCharacters = () =>
  useQuery({
    queryKey: ['characters'],
    queryFn: () => ask(api.GET('/api/herbarium/characters')),
    staleTime: STALE,
  })

/** Every card and the words for what is seen, into the cache; for a device that goes where there is no line. */
export async function fetchCards(queries: QueryClient) {
  const [cards, characters, taxa] = await Promise.all([
    ask(api.GET('/api/herbarium/cards')),
    ask(api.GET('/api/herbarium/characters')),
    ask(api.GET('/api/herbarium/taxa', { params: { query: { q: '' } } })),
  ])
  for (const card of cards) queries.setQueryData(['taxon', card.id], card)
  queries.setQueryData(['characters'], characters)
  queries.setQueryData(['taxa', ''], taxa)
  return cards.length
}
