import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { Button, Input } from '../ui/controls'
import { Empty, Loaded, Section } from '../ui/page'
import { lotWords } from '../ui/dictionary'

/** By whatever is still known of it: also what was used up long ago. */
export function Find() {
  const [words, setWords] = useState('')
  const [on, setOn] = useState('')
  const asked = useDeferredValue(words.trim())
  const found = useQuery({
    queryKey: ['starts', asked, on],
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/tracing/find', {
          params: { query: { q: asked, ...(on && { on }) } },
          signal,
        }),
      ),
    enabled: asked !== '' || on !== '',
    placeholderData: keepPreviousData,
  })
  const empty = words === '' && on === ''
  return (
    <Section title="Or find it">
      <div className="grid gap-3 sm:grid-cols-[2fr_1fr]">
        <Input
          label="Plant, person, number, bottle or place"
          type="search"
          value={words}
          maxLength={80}
          onChange={(e) => setWords(e.target.value)}
        />
        <Input
          label="Something went in or out on"
          type="date"
          value={on}
          onChange={(e) => setOn(e.target.value)}
        />
      </div>
      {!empty && (
        <Loaded query={found}>
          {(f) =>
            f.starts.length === 0 ? (
              <Empty>Nothing is called so, and nobody who is took of anything.</Empty>
            ) : (
              <>
                <ul className="mt-2" aria-label="Found">
                  {f.starts.map((l) => (
                    <li key={l.id} className="border-line border-b">
                      <Link
                        className="flex min-h-11 flex-wrap items-center justify-between gap-x-3"
                        to={`/tracing/${l.id}`}
                        onClick={() => {
                          setWords('')
                          setOn('')
                        }}
                      >
                        <span className="underline">{l.label}</span>
                        <span className="text-soft">{lotWords(l)}</span>
                      </Link>
                    </li>
                  ))}
                </ul>
                {f.more && <p className="text-soft text-sm">There are more. Say another word of it.</p>}
                <Button
                  onClick={() => {
                    setWords('')
                    setOn('')
                  }}
                >
                  Close
                </Button>
              </>
            )
          }
        </Loaded>
      )}
    </Section>
  )
}
