import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { State } from '../ui/State'
import { lotWords } from '../ui/dictionary'
import { figure } from '../ui/words'

type LotView = Schemas['LotView']

const Streams = lazy(async () => ({ default: (await import('./Streams')).Streams }))

export function Trace() {
  const { id } = useParams()
  const navigate = useNavigate()
  const starts = useQuery({
    queryKey: ['starts'],
    queryFn: () => ask(api.GET('/api/tracing/starts')),
  })
  return (
    <Page title="Trace">
      <Loaded query={starts}>
        {(all) => {
          const start = id ?? all[0]?.id
          return all.length === 0 ? (
            <Empty>Nothing to trace yet. Harvest from a stand first.</Empty>
          ) : (
            <>
              <div className="mb-3 max-w-lg">
                <Choose
                  label="Follow"
                  value={start ?? ''}
                  onChange={(v) => void navigate(`/tracing/${v}`)}
                  choices={all.map((l) => ({ value: l.id, label: l.label, hint: lotWords(l) }))}
                />
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
            <div className="mt-4 grid gap-4 lg:grid-cols-2">
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

function LotList({ lots, empty }: { lots: LotView[]; empty: string }) {
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
