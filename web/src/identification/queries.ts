import { queryOptions, useQuery, type QueryClient } from '@tanstack/react-query'
import { api, ask } from '../api/client'
import { isoToday } from '../ui/clock'

const order = (region: string) => {
  const month = Number(isoToday().slice(5, 7))
  return queryOptions({
    // Of whichever month it was packed in: where there is no line last month's order is better than none.
    queryKey: ['order', region],
    queryFn: () => ask(api.GET('/api/calculators/identify/order', { params: { query: { month, region } } })),
    staleTime: 3_600_000,
  })
}

/** In which order to ask where there is no line to ask what comes next. */
export const useOrder = (region: string) => useQuery({ ...order(region), enabled: region !== '' })

export const fetchOrder = (queries: QueryClient, region: string) => queries.fetchQuery(order(region))
