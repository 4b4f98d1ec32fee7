import { useMutation, useQueryClient } from '@tanstack/react-query'
import { carry, type Back, type Command } from '../api/outbox'

/**
 * Does what can wait for the line: `onSent` when the server has it, `onKept` when it lies on the device. What the server
 * says against it is the mutation's error, as with any other change.
 */
export function useCarry<V>(
  what: Command<V>,
  { onSent, onKept }: { onSent?: () => unknown; onKept?: () => unknown } = {},
) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ variables, words, back }: { variables: V; words: string; back?: Back }) =>
      carry(what, variables, words, back),
    onSuccess: async ({ sent }) => {
      if (sent) {
        await queries.invalidateQueries()
        await onSent?.()
      } else await onKept?.()
    },
  })
}
