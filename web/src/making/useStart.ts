import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import type { Schemas } from '../api/client'

/** Starts a batch and opens its page. */
export function useStart(start: () => Promise<Schemas['BatchView']>) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: start,
    onSuccess: async (batch) => {
      await queries.invalidateQueries()
      await navigate(`/making/batches/${batch.id}`)
    },
  })
}
