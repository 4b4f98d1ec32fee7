import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query'
import { useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { Button, Input } from './controls'
import { ProblemNotice } from './page'
import { date } from './words'

/** What is over, one step away and a page at a time. */
export function Past({
  title,
  name,
  load,
  to,
  find = false,
  open: first = false,
}: {
  title: string
  name: string
  load: (page: number, find: string) => Promise<Schemas['Past']>
  to?: (id: string) => string
  /** Whether it is long enough to be searched. */
  find?: boolean
  open?: boolean
}) {
  const [open, setOpen] = useState(first)
  const [typed, setTyped] = useState('')
  const words = useDeferredValue(typed)
  const pages = useInfiniteQuery({
    queryKey: ['past', name, words],
    queryFn: ({ pageParam }) => load(pageParam, words),
    placeholderData: keepPreviousData,
    initialPageParam: 0,
    getNextPageParam: (last, all) => (last.more ? all.length : undefined),
    enabled: open,
  })
  const entries = pages.data?.pages.flatMap((p) => p.entries) ?? []
  return (
    <details
      open={open}
      className="border-line mt-4 border-t-2 pt-1"
      onToggle={(e) => setOpen(e.currentTarget.open)}
    >
      <summary className="text-note min-h-8 cursor-pointer text-lg font-semibold underline">{title}</summary>
      {find && (
        <div className="my-2 max-w-80">
          <Input
            label={`Find in ${title.toLowerCase()}`}
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
        </div>
      )}
      {pages.isSuccess && entries.length === 0 && (
        <p className="text-soft">{words ? 'Nothing fits these words.' : 'Nothing yet.'}</p>
      )}
      <ul className={first ? '' : 'gap-x-8 lg:columns-2'}>
        {entries.map((e) => (
          <li key={e.id} className="border-line flex justify-between gap-3 border-b py-1">
            <span>
              {to ? (
                <Link className="underline" to={to(e.id)}>
                  {e.name}
                </Link>
              ) : (
                e.name
              )}{' '}
              <span className="text-soft text-sm">{e.code}</span>
            </span>
            <span className="text-soft text-right text-sm">
              {date(e.on)} · {e.note}
            </span>
          </li>
        ))}
      </ul>
      <ProblemNotice error={pages.error} />
      {pages.hasNextPage && (
        <div className="mt-2">
          <Button onClick={() => void pages.fetchNextPage()} disabled={pages.isFetchingNextPage}>
            Earlier ones
          </Button>
        </div>
      )}
    </details>
  )
}
