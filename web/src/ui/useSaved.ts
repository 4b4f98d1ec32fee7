import { useCommand, type Changes } from './command'
import { forget } from './kept'

/** Saves a form once: what was typed is forgotten, what it made old is read anew, then it goes on with `after`. */
export function useSaved<T, V = void>(
  changes: Changes,
  form: string,
  save: (values: V) => Promise<T>,
  after: (saved: T) => unknown,
) {
  return useCommand(changes, {
    mutationFn: async (values: V) => {
      const saved = await save(values)
      forget(form)
      return saved
    },
    onSuccess: async (saved: T) => {
      await after(saved)
    },
  })
}
