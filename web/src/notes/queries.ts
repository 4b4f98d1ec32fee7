import { useInfiniteQuery, useQuery, type QueryClient } from '@tanstack/react-query'
import { api, ask, ifMatch, type Schemas } from '../api/client'

export type Note = Schemas['NoteView']
export type About = NonNullable<Schemas['NoteRequest']['about']>

/** What a note is about; nothing of it for a place or a day. */
export interface Thing {
  about: About
  id: string
  name: string
}

/** Newest first, of one thing or of all. */
export const useNotes = (of?: Thing) =>
  useInfiniteQuery({
    queryKey: ['notes', of?.about ?? '', of?.id ?? ''],
    queryFn: ({ pageParam }) =>
      ask(
        api.GET('/api/notes', {
          params: { query: { page: pageParam, ...(of ? { about: of.about, aboutId: of.id } : {}) } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last, all) => (last.more ? all.length : undefined),
  })

/** The latest of each stand, as they were packed for a walk. */
const along = {
  queryKey: ['notes', 'of-stands'] as const,
  queryFn: () => ask(api.GET('/api/notes/of-stands')),
}
export const fetchNotesAlong = (queries: QueryClient) => queries.fetchQuery({ ...along, staleTime: 0 })

/** Of one stand, for where they can't be asked for. */
export const useNotesAlong = (of?: Thing) =>
  useQuery({
    ...along,
    enabled: false,
    select: (notes) => notes.filter((n) => n.about === 'STAND' && n.thing?.id === of?.id),
  })

export const useNote = (id: string) =>
  useQuery({
    queryKey: ['notes', 'one', id],
    queryFn: () => ask(api.GET('/api/notes/{id}', { params: { path: { id } } })),
    enabled: id !== '',
  })

/** What waits to be gone back to, and what has a place of its own. */
export const useOutThere = () =>
  useQuery({ queryKey: ['notes', 'out-there'], queryFn: () => ask(api.GET('/api/notes/out-there')) })

/** All of it as it is, but for what is said here. */
export const changeNote = (
  n: Note,
  changes: Partial<Pick<Schemas['NoteRequest'], 'words' | 'day' | 'seen' | 'about' | 'aboutId'>>,
) =>
  ask(
    api.PUT('/api/notes/{id}', {
      params: { path: { id: n.id }, header: ifMatch(n.version) },
      body: {
        id: n.id,
        about: n.thing ? n.about : undefined,
        aboutId: n.thing?.id,
        day: n.day,
        words: n.words,
        seen: n.seen,
        place: n.place,
        latitude: n.latitude,
        longitude: n.longitude,
        comeBack: n.comeBack ? { when: n.comeBack, on: n.comeBack === 'DAY' ? n.due : undefined } : undefined,
        pictured: n.pictures.length > 0,
        ...changes,
      },
    }),
  )
