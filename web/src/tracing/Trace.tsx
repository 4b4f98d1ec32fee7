import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { State } from '../ui/State'
import { Find } from './Find'
import { lotWords, MANNER, WAY } from '../ui/dictionary'
import { date, figure } from '../ui/words'

type TracedLot = Schemas['TracedLot']

const Streams = lazy(async () => ({ default: (await import('./Streams')).Streams }))

export function Trace() {
  const { id } = useParams()
  const navigate = useNavigate()
  const starts = useQuery({
    queryKey: ['starts'],
    queryFn: () => ask(api.GET('/api/tracing/starts')),
  })
  return (
    <Page
      title="Trace"
      actions={
        (id ?? starts.data?.[0]?.id) && (
          <ButtonLink to={`/tracing/${id ?? starts.data?.[0]?.id}/recall`}>To call back</ButtonLink>
        )
      }
    >
      <Loaded query={starts}>
        {(all) => {
          const start = id ?? all[0]?.id
          return all.length === 0 ? (
            <Empty>Nothing to trace yet. Harvest from a stand first.</Empty>
          ) : (
            <>
              <div className="mb-3 grid items-start gap-4 lg:grid-cols-2">
                <Section title="Follow one that is there">
                  <Choose
                    label="Follow"
                    value={start ?? ''}
                    onChange={(v) => void navigate(`/tracing/${v}`)}
                    choices={all.map((l) => ({ value: l.id, label: l.label, hint: lotWords(l) }))}
                  />
                </Section>
                <Find />
              </div>
              {start && <Traced key={start} id={start} />}
            </>
          )
        }}
      </Loaded>
    </Page>
  )
}

function Traced({ id }: { id: string }) {
  const [all, setAll] = useState(false)
  const trace = useQuery({
    queryKey: ['trace', id, all],
    queryFn: () => ask(api.GET('/api/tracing/lots/{id}', { params: { path: { id }, query: { all } } })),
    placeholderData: keepPreviousData,
  })
  return (
    <Loaded query={trace}>
      {(t) => {
        const here = t.lots.find((l) => l.id === t.lotId)
        return (
          <>
            <Suspense fallback={<p className="min-h-screen">Drawing the brook</p>}>
              <Streams trace={t} />
            </Suspense>
            <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
              <div className="space-y-4">
                <Section
                  title={`Where this came from: ${here?.name ?? ''} ${here?.stage === 'STAND' ? '' : (here?.code ?? '')}`}
                  aside={
                    here?.stage === 'STAND' && (
                      <ButtonLink to={`/field/stands/${here.id}`}>Doubt or clear this stand</ButtonLink>
                    )
                  }
                >
                  <LotList lots={t.lots.filter((l) => t.upstream.includes(l.id))} empty="This is a source." />
                </Section>
                <Taken id={id} />
              </div>
              <Section title="What was made of it">
                <LotList
                  lots={t.lots.filter((l) => t.downstream.includes(l.id))}
                  empty="Nothing was made from it."
                />
                {t.older > 0 && (
                  <div className="mt-2">
                    <Button onClick={() => setAll(true)}>
                      Show {t.older} older {t.older === 1 ? 'lot' : 'lots'}, used up
                    </Button>
                  </div>
                )}
              </Section>
            </div>
          </>
        )
      }}
    </Loaded>
  )
}

/** The last landing: whoever took of it or put it on, when and how much. */
function Taken({ id }: { id: string }) {
  const taken = useInfiniteQuery({
    queryKey: ['trace', id, 'taken'],
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/tracing/lots/{id}/taken', { params: { path: { id }, query: { page: pageParam } } })),
    initialPageParam: 0,
    getNextPageParam: (last, all) => (last.more ? all.length : undefined),
  })
  const first = taken.data?.pages[0]
  if (!first) return null
  return (
    <Section title="Who took of it">
      {first.times === 0 ? (
        <Empty>Nobody, as far as was ticked off or noted.</Empty>
      ) : (
        <>
          <p className="text-soft mb-1 text-sm">
            {first.people === 1 ? 'One person' : `${first.people} people`},{' '}
            {first.times === 1 ? 'once' : `${first.times} times`}; what was given away stands with its holder
            above.
          </p>
          <ul>
            {taken.data?.pages
              .flatMap((p) => p.taken)
              .map((t) => (
                <li key={t.id} className="border-line flex flex-wrap justify-between gap-x-3 border-b py-1.5">
                  <span>
                    {date(t.on)}:{' '}
                    <Link className="underline" to={`/dosing/people/${t.personId}`}>
                      {t.person}
                    </Link>
                    ,{' '}
                    <Link
                      className="underline"
                      to={t.courseId ? `/dosing/courses/${t.courseId}` : `/dosing/direct/${t.id}`}
                    >
                      {t.lotId !== id ? `${t.name} ${t.code}` : t.courseId ? 'a course' : 'used as it is'}
                    </Link>
                    {t.words ? <span className="text-soft"> ({t.words})</span> : null}
                  </span>
                  <span className="text-soft">
                    {t.amount == null ? 'not weighed' : `${figure(t.amount)} ${t.unit ?? ''}`},{' '}
                    {t.way ? WAY[t.way] : t.manner ? MANNER[t.manner].name : ''}
                  </span>
                </li>
              ))}
          </ul>
          {taken.hasNextPage && (
            <div className="mt-2">
              <Button disabled={taken.isFetchingNextPage} onClick={() => void taken.fetchNextPage()}>
                Show earlier ones
              </Button>
            </div>
          )}
        </>
      )}
    </Section>
  )
}

function LotList({ lots, empty }: { lots: TracedLot[]; empty: string }) {
  if (lots.length === 0) return <Empty>{empty}</Empty>
  return (
    <ul>
      {lots.map((l) => (
        <li key={l.id} className="border-line flex items-center justify-between gap-3 border-b py-1.5">
          <span>
            <Link className="underline" to={l.stage === 'STAND' ? `/field/stands/${l.id}` : `/shelf/${l.id}`}>
              {l.name} {l.stage === 'STAND' ? '' : l.code}
            </Link>{' '}
            <span className="text-soft text-sm">
              {lotWords(l)}
              {l.amount > 0 ? `, ${figure(l.remaining)} of ${figure(l.amount)} ${l.unit} left` : ''}
              {l.holder ? `, with ${l.holder}` : ''}
            </span>
          </span>
          {l.state === 'USABLE' && l.amount > 0 && l.remaining === 0 ? (
            <span className="text-soft text-sm">used up</span>
          ) : (
            <State state={l.state} expired={l.expired} />
          )}
        </li>
      ))}
    </ul>
  )
}
