import { useCommand, type Changes } from './command'
import { forget } from './kept'

/** Saves a form once: what was typed is forgotten, what it made old is read anew, then it goes on with `after`. */
export const useSaved = <T, V = void>(
  changes: Changes,
  form: string,
  save: (values: V) => Promise<T>,
  after: (saved: T) => unknown,
) => useCommand(changes, { mutationFn: save, onSuccess: () => forget(form), after })
