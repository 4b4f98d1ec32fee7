import { carry, type Back, type Command } from '../api/outbox'
import { useCommand, useRenew, type Room } from './command'

/**
 * Does what can wait for the line: `onSent` when the server has it, `onKept` when it lies on the device. What the server
 * says against it is the mutation's error, as with any other change.
 */
export function useCarry<V>(
  what: Command<V>,
  { onSent, onKept }: { onSent?: () => unknown; onKept?: () => unknown } = {},
) {
  // The first word of its key is the room it is done in.
  const renew = useRenew(what.key.split('.')[0] as Room)
  return useCommand([], {
    mutationFn: ({ variables, words, back }: { variables: V; words: string; back?: Back }) =>
      carry(what, variables, words, back),
    onSuccess: async ({ sent }) => {
      if (sent) {
        await renew()
        await onSent?.()
      } else await onKept?.()
    },
  })
}
