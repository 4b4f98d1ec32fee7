import {
  useMutation,
  useQueryClient,
  type MutationFunctionContext,
  type QueryClient,
  type UseMutationOptions,
} from '@tanstack/react-query'
import { ProblemError } from '../api/client'

/** The rooms in the order of the work: what is read in one is made of what the rooms before it keep. */
const ROOMS = [
  'household',
  'herbarium',
  'identification',
  'field',
  'drying',
  'shelf',
  'making',
  'dosing',
  'notes',
  'calendar',
] as const
export type Room = (typeof ROOMS)[number]

/** What the pages read, by the first word of its key, and the last room whose changes show in it. */
const SHOWS = {
  session: 'household',
  sessions: 'household',
  settings: 'household',
  schools: 'household',
  people: 'household',
  members: 'household',
  observers: 'household',
  regions: 'household',
  families: 'household',
  medicines: 'household',
  backup: 'household',
  watch: 'household',
  joining: 'household',
  archive: 'household',
  taxa: 'herbarium',
  taxon: 'herbarium',
  card: 'herbarium',
  checks: 'herbarium',
  characters: 'herbarium',
  drawings: 'herbarium',
  comparison: 'herbarium',
  order: 'identification',
  stages: 'identification',
  training: 'identification',
  trained: 'identification',
  verdict: 'identification',
  when: 'identification',
  stands: 'field',
  ground: 'field',
  photos: 'field',
  tags: 'field',
  weather: 'field',
  walk: 'field',
  contacts: 'field',
  pieces: 'field',
  unweighed: 'field',
  racks: 'drying',
  runs: 'drying',
  waiting: 'drying',
  ways: 'drying',
  air: 'drying',
  scale: 'drying',
  lots: 'shelf',
  account: 'shelf',
  label: 'shelf',
  vessels: 'shelf',
  batches: 'making',
  measures: 'making',
  pan: 'making',
  spoons: 'making',
  answers: 'dosing',
  courses: 'dosing',
  diary: 'dosing',
  direct: 'dosing',
  help: 'dosing',
  reactions: 'dosing',
  trials: 'dosing',
  'taken-before': 'dosing',
  'running-out': 'dosing',
  instead: 'dosing',
  starts: 'dosing',
  trace: 'dosing',
  notes: 'notes',
  wishes: 'calendar',
  year: 'calendar',
  today: 'calendar',
  landings: 'calendar',
  season: 'calendar',
  needs: 'calendar',
  calendars: 'calendar',
  past: 'calendar',
  loosened: 'calendar',
  search: 'calendar',
  live: 'calendar',
} as const satisfies Record<string, Room>
export type Topic = keyof typeof SHOWS

declare module '@tanstack/react-query' {
  interface Register {
    queryKey: readonly [Topic, ...unknown[]]
  }
}

/** The first room that a command changes, and with it all further down the brook; or nothing but these. */
export type Changes = Room | readonly Topic[]

/** Reads anew what a change has made old, and leaves the rest of the house alone. */
export const renew = (queries: QueryClient, changes: Changes) =>
  queries.invalidateQueries({
    predicate: ({ queryKey: [topic] }) =>
      typeof changes === 'string'
        ? ROOMS.indexOf(SHOWS[topic]) >= ROOMS.indexOf(changes)
        : changes.includes(topic),
  })

export function useRenew(changes: Changes) {
  const queries = useQueryClient()
  return () => renew(queries, changes)
}

/** Somebody was there first: what is shown is no longer so. */
const overtaken = (error: unknown) =>
  error instanceof ProblemError && [404, 409, 412].includes(error.problem.status)

interface Command<T, V> extends Pick<UseMutationOptions<T, Error, V>, 'mutationFn' | 'onError'> {
  /** At once, as emptying the form: what is typed next must not be emptied with it. */
  onSuccess?: (saved: T, v: V) => unknown
  /** When what it made old was read anew, as going on to another page. */
  after?: (saved: T, v: V) => unknown
}

/** A change of what the house keeps: sent, then what it made old is read anew. */
export function useCommand<T, V = void>(changes: Changes, { onSuccess, after, ...command }: Command<T, V>) {
  const again = useRenew(changes)
  return useMutation({
    ...command,
    onSuccess: async (saved: T, v: V) => {
      await onSuccess?.(saved, v)
      await again()
      await after?.(saved, v)
    },
    onError: async (error: Error, v: V, kept: unknown, context: MutationFunctionContext) => {
      if (overtaken(error)) await again()
      await command.onError?.(error, v, kept, context)
    },
  })
}

/** As much of a command as the part of a page needs that sends it. */
export interface Sent<V = void> {
  mutate: (v: V) => void
  error: unknown
  isPending: boolean
}
