import { useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api, ask } from '../api/client'
import { Input } from '../ui/controls'
import { FOUND } from '../ui/dictionary'
import { Page, Section } from '../ui/page'
import { addressOf } from '../ui/places'
import { pagesFor } from './pages'

const MOST_LETTERS = 80

/** Whatever the household has, by name, and the pages by what they are for. */
export function Search() {
  const [params, setParams] = useSearchParams()
  const [typed, setTyped] = useState(params.get('q') ?? '')
  const q = useDeferredValue(typed.trim().slice(0, MOST_LETTERS))
  const hits = useQuery({
    queryKey: ['search', q],
    queryFn: ({ signal }) => ask(api.GET('/api/search', { params: { query: { q } }, signal })),
    enabled: q !== '',
    // What is found is what there is now.
    staleTime: 0,
  })
  const pages = pagesFor(q)
  const found = q === '' ? [] : (hits.data ?? [])
  const nothing = q !== '' && hits.isSuccess && !hits.isFetching && found.length === 0 && pages.length === 0
  return (
    <Page title="Search">
      <div className="max-w-xl">
        <Input
          label="Plants, stands, jars, batches, people, notes, pages"
          autoFocus
          type="search"
          maxLength={MOST_LETTERS}
          value={typed}
          onChange={(e) => {
            setTyped(e.target.value)
            // In the address too, for whoever comes back to it.
            setParams(e.target.value ? { q: e.target.value } : {}, { replace: true })
          }}
        />
      </div>
      <p aria-live="polite" className="text-soft my-2 text-sm">
        {hits.isError && q !== ''
          ? 'The house can not be looked through without a line; pages can.'
          : nothing
            ? `Nothing here is called “${q}”. Try the beginning of another word of it.`
            : q !== '' && hits.isSuccess
              ? `${found.length + pages.length} found`
              : ''}
      </p>
      {found.length > 0 && (
        <Section title="In the house">
          <ul>
            {found.map((h) => (
              <li key={h.kind + h.id} className="border-line border-b">
                <Link to={addressOf(h)} className="hover:bg-water-pale block min-h-11 py-1">
                  <span className="font-semibold underline">{h.name}</span>{' '}
                  <span className="text-soft text-sm">
                    {FOUND[h.kind]}
                    {h.note && `, ${h.note}`}
                    {h.past && ', over'}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </Section>
      )}
      {pages.length > 0 && (
        <div className="mt-3">
          <Section title="Pages">
            <ul>
              {pages.map((p) => (
                <li key={p.to} className="border-line border-b">
                  <Link to={p.to} className="hover:bg-water-pale block min-h-11 py-1 font-semibold underline">
                    {p.name}
                  </Link>
                </li>
              ))}
            </ul>
          </Section>
        </div>
      )}
    </Page>
  )
}
