import { useMutation, useQueryClient } from '@tanstack/react-query'
import { forget } from './kept'

/** Saves a form once: what was typed is forgotten, everything that is shown is read anew, then it goes on with `after`. */
export function useSaved<T, V = void>(
  form: string,
  save: (values: V) => Promise<T>,
  after: (saved: T) => unknown,
) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: save,
    onSuccess: async (saved) => {
      forget(form)
      await queries.invalidateQueries()
      await after(saved)
    },
  })
}
