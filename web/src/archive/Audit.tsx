import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Toggle } from '../ui/controls'
import { pageOnly } from '../ui/may'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { moment } from '../ui/words'

type Line = Schemas['AuditLineView']

const DEED: Record<Line['deed'], string> = {
  DECIDED: 'Decided',
  STRUCK_OUT: 'Struck out',
  CHANGED: 'Last changed',
}

/** Where a thing has a page of its own. */
const PAGE: Record<string, (l: Line) => string> = {
  stand: (l) => `/field/stands/${l.subjectId}`,
  lot: (l) => `/shelf/${l.subjectId}`,
  course: (l) => `/dosing/courses/${l.subjectId}`,
  person: (l) => `/dosing/people/${l.subjectId}`,
  note: (l) => `/notes/${l.subjectId}`,
  own_card: (l) => `/herbarium/${l.name ?? ''}`,
}

const EVERYBODY = 'everybody'

/** Who decided, struck out and changed what, and why; of everything, of one thing, by one member. */
export const Audit = pageOnly('keep', function Audit() {
  const [search, setSearch] = useSearchParams()
  const of = search.get('of') ?? undefined
  const [by, setBy] = useState(EVERYBODY)
  const [changes, setChanges] = useState(false)
  const [page, setPage] = useState(0)
  const members = useQuery({
    queryKey: ['members'],
    queryFn: () => ask(api.GET('/api/household/members')),
  })
  const lines = useQuery({
    queryKey: ['archive', 'audit', page, by, of, changes],
    placeholderData: keepPreviousData,
    queryFn: () =>
      ask(
        api.GET('/api/archive/audit', {
          params: { query: { page, changes, ...(by === EVERYBODY ? {} : { by }), ...(of ? { of } : {}) } },
        }),
      ),
  })
  const only = (subject: string | undefined) => {
    setPage(0)
    setSearch(subject ? { of: subject } : {})
  }
  return (
    <Page
      title="Who did what, and why"
      actions={<ButtonLink to="/archive">All records, out and back</ButtonLink>}
    >
      <Section>
        <div className="mb-3 flex flex-wrap items-end gap-3">
          <div className="w-64">
            <Choose
              label="By"
              value={by}
              onChange={(who) => {
                setPage(0)
                setBy(who)
              }}
              choices={[
                { value: EVERYBODY, label: 'everybody' },
                ...(members.data ?? []).map((m) => ({ value: m.name, label: m.name })),
              ]}
            />
          </div>
          <Toggle
            label="Also when each thing was last changed"
            checked={changes}
            onChange={(on) => {
              setPage(0)
              setChanges(on)
            }}
          />
          {of && <Button onClick={() => only(undefined)}>Of everything again</Button>}
        </div>
        <p className="text-soft mb-2 text-sm">
          What was acknowledged or decided, and what was struck out. Of a change only the last is known, not
          what was before.
        </p>
        <Loaded query={lines}>
          {(found) =>
            found.lines.length === 0 ? (
              <Empty>Nothing yet.</Empty>
            ) : (
              <>
                <ul>
                  {found.lines.map((l, i) => (
                    <OneLine key={i} line={l} onOnly={of ? undefined : only} />
                  ))}
                </ul>
                <div className="mt-3 flex gap-3">
                  {page > 0 && <Button onClick={() => setPage(page - 1)}>Later</Button>}
                  {found.more && <Button onClick={() => setPage(page + 1)}>Earlier</Button>}
                </div>
              </>
            )
          }
        </Loaded>
      </Section>
    </Page>
  )
})

function OneLine({ line, onOnly }: { line: Line; onOnly: ((subject: string) => void) | undefined }) {
  const to = line.of === null ? undefined : PAGE[line.of ?? '']?.(line)
  return (
    <li className="border-line grid gap-x-4 border-b py-2 sm:grid-cols-[11rem_minmax(0,1fr)_auto]">
      <span className="text-soft text-sm">
        {moment(line.at)}
        <span className="block">{line.by}</span>
      </span>
      <span>
        <span className="font-medium">{DEED[line.deed]}</span>
        {line.deed !== 'CHANGED' && `, ${line.what}`}
        {line.name && (
          <>
            {': '}
            {to ? (
              <Link className="text-note underline" to={to}>
                {line.name}
              </Link>
            ) : (
              line.name
            )}
          </>
        )}
        {line.message && <span className="text-soft block text-sm">{line.message}</span>}
        {line.reason && <span className="block">“{line.reason}”</span>}
      </span>
      {onOnly && line.name && (
        <button
          type="button"
          className="text-note min-h-6 self-start text-sm underline"
          onClick={() => onOnly(line.subjectId)}
        >
          only this<span className="sr-only">: {line.name}</span>
        </button>
      )}
    </li>
  )
}
