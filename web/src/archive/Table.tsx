import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { useCommand } from '../ui/command'
import { Button } from '../ui/controls'
import { ProblemNotice } from '../ui/page'
import { HowFar } from './HowFar'

type List = Schemas['ListInView']
type View = Schemas['TableView']
type Decimal = View['decimal']
type Days = NonNullable<View['days']>

const NONE = '-'
const DECIMALS: { value: Decimal; label: string }[] = [
  { value: 'POINT', label: '1.5' },
  { value: 'COMMA', label: '1,5' },
]
const DAYS: { value: Days; label: string }[] = [
  { value: 'DAY_FIRST', label: 'the day first: 3/4 is in April' },
  { value: 'MONTH_FIRST', label: 'the month first: 3/4 is in March' },
]

interface Asked {
  columns?: string
  decimal?: Decimal
  days?: Days
}

/** The file itself, not a form around it. */
const whole = (file: File) => ({
  body: file as never,
  bodySerializer: ((bytes: File) => bytes) as never,
  headers: { 'Content-Type': 'text/csv' },
})

const lines = (n: number) => (n === 1 ? 'one line' : `${n} lines`)

/** What would come of a table, line by line; nothing has yet. */
export function Table({ list, file, onLeave }: { list: List; file: File; onLeave: () => void }) {
  const [asked, setAsked] = useState<Asked>({})
  const [id] = useState(() => v7())
  const look = useQuery({
    queryKey: ['archive', 'tables', list.name, id, asked],
    queryFn: ({ signal }) =>
      ask(
        api.POST('/api/archive/tables/{list}/look', {
          params: { path: { list: list.name }, query: asked },
          signal,
          ...whole(file),
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    // What somebody stopped does not begin again by itself.
    retry: false,
  })
  const view = look.data
  const refused = view?.lines.filter((l) => l.fate === 'WRONG').map((l) => l.line) ?? []
  const take = useCommand('household', {
    mutationFn: () =>
      ask(
        api.POST('/api/archive/tables/{list}/{id}', {
          params: {
            path: { list: list.name, id },
            query: { ...asked, name: file.name.slice(0, 200), without: refused.join(',') },
          },
          ...whole(file),
        }),
      ),
  })
  if (take.data)
    return (
      <p role="status" className="border-lichen border-l-4 px-3 py-2 font-medium">
        It is in: {lines(take.data.lines)}.
      </p>
    )
  return (
    <div className="space-y-4">
      {(look.isFetching || take.isPending) && <HowFar />}
      {look.isError ? (
        <>
          <ProblemNotice error={look.error} />
          <Button onClick={onLeave}>Leave it</Button>
        </>
      ) : (
        view && (
          <>
            <HowRead list={list} view={view} asked={asked} onAsked={setAsked} />
            {view.missing.length > 0 ? (
              <p className="border-amber bg-amber-pale border-l-4 px-3 py-2">
                No column is taken for {view.missing.join(', ')}. Say above which one it is.
              </p>
            ) : (
              <Lines view={view} />
            )}
            <ProblemNotice error={take.error} />
            <div className="flex flex-wrap gap-3">
              {view.comes > 0 && (
                <Button
                  kind="main"
                  disabled={take.isPending || look.isPlaceholderData}
                  onClick={() => take.mutate()}
                >
                  {take.isPending ? 'Taking it in' : `Take in ${lines(view.comes)}`}
                </Button>
              )}
              {!take.isPending && <Button onClick={onLeave}>Leave it</Button>}
            </div>
          </>
        )
      )}
    </div>
  )
}

/** What each column is taken for, and how numbers and days are written in it. */
function HowRead({
  list,
  view,
  asked,
  onAsked,
}: {
  list: List
  view: View
  asked: Asked
  onAsked: (asked: Asked) => void
}) {
  const assign = (at: number, key: string) =>
    onAsked({
      ...asked,
      columns: view.headings
        .map((h, i) => (i === at ? (key === NONE ? '' : key) : h.column === key ? '' : (h.column ?? '')))
        .join(','),
    })
  const choices = [
    { value: NONE, label: 'left out' },
    ...list.columns.map((c) => ({ value: c.key, label: c.words + (c.wanted ? ', needed' : '') })),
  ]
  return (
    <>
      {view.letters && <p className="text-soft text-sm">Its letters were {view.letters}.</p>}
      <ul className="grid gap-3 sm:grid-cols-2">
        {view.headings.map((h, i) => (
          <li key={i}>
            <Choose
              label={`“${h.heading}” is`}
              value={h.column ?? NONE}
              choices={choices}
              onChange={(key) => assign(i, key)}
            />
            <span className="text-soft block truncate text-sm">{h.examples.join(' · ') || 'empty'}</span>
          </li>
        ))}
      </ul>
      <div className="grid gap-3 sm:grid-cols-2">
        {list.columns.some((c) => c.number && view.headings.some((h) => h.column === c.key)) && (
          <Choose
            label="Numbers in it are written"
            value={view.decimal}
            choices={DECIMALS}
            onChange={(decimal) => onAsked({ ...asked, decimal })}
          />
        )}
        {view.asked && (
          <Choose
            label="Days in it are written with"
            value={view.days ?? ''}
            choices={DAYS}
            onChange={(days) => onAsked({ ...asked, days })}
          />
        )}
      </div>
    </>
  )
}

const FATE = { COMES: 'comes', HERE: 'here already', WRONG: 'can’t come' } as const

function Lines({ view }: { view: View }) {
  return (
    <>
      <p>
        <strong>{view.comes}</strong> {view.comes === 1 ? 'line comes' : 'lines come'}
        {view.here > 0 && `, ${view.here} ${view.here === 1 ? 'is' : 'are'} here already`}
        {view.wrong > 0 && `, ${view.wrong} can’t come and ${view.wrong === 1 ? 'is' : 'are'} left out`}.
      </p>
      <div className="max-h-96 overflow-y-auto" tabIndex={0} role="region" aria-label="Line by line">
        <table className="w-full text-left text-sm">
          <thead>
            <tr className="border-line text-soft border-b">
              <th scope="col" className="pr-3 whitespace-nowrap">
                Line
              </th>
              <th scope="col">What</th>
              <th scope="col">Happens</th>
            </tr>
          </thead>
          <tbody>
            {[...view.lines]
              .sort((a, b) => Number(b.fate === 'WRONG') - Number(a.fate === 'WRONG'))
              .map((l) => (
                <tr key={l.line} className="border-line border-b align-top">
                  <td className="figures pr-3">{l.line}</td>
                  <td className="pr-3">{l.name}</td>
                  <td className={l.fate === 'WRONG' ? 'text-madder' : l.fate === 'HERE' ? 'text-soft' : ''}>
                    <span className="font-medium">{FATE[l.fate]}</span>
                    {l.wrong.map((w, i) => (
                      <span key={i} className="block">
                        {w.column} {w.message}
                      </span>
                    ))}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </>
  )
}
