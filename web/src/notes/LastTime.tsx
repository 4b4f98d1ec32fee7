import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { addressOf } from '../ui/places'
import { date } from '../ui/words'

const MOST_LETTERS = 80

/** What was written about the last ones that were made like it: it is wanted when the next is begun. */
export function LastTime({ form, called }: { form: Schemas['Planned']['form']; called: string }) {
  const name = called.slice(0, MOST_LETTERS)
  const notes = useQuery({
    queryKey: ['notes', 'last-time', form, name],
    queryFn: ({ signal }) =>
      ask(api.GET('/api/notes/last-time', { params: { query: { form, called: name } }, signal })),
    enabled: name.trim() !== '',
  })
  if (!notes.data || notes.data.length === 0) return null
  return (
    <section aria-label="Last time" className="border-water bg-water-pale border-l-4 px-3 py-2">
      <h2 className="font-semibold">Last time</h2>
      <ul>
        {notes.data.map((n) => (
          <li key={n.id} className="text-sm">
            {n.words}{' '}
            {[n.seen.colour, n.seen.clarity, n.seen.smell, n.seen.feel, n.seen.taste]
              .filter(Boolean)
              .join(', ')}{' '}
            <span className="text-soft">
              {date(n.day)}
              {n.thing && (
                <>
                  {', '}
                  <Link className="underline" to={addressOf(n.thing)}>
                    {n.thing.name}
                  </Link>
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
