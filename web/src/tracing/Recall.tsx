import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { useCommand } from '../ui/command'
import { Button, ButtonLink } from '../ui/controls'
import { only } from '../ui/may'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { OnPaper, SheetOf } from '../ui/Sheet'
import { figure } from '../ui/words'

/** What must come back: the list as it is printed, and what is with somebody, to be noted as it comes. */
export function Recall() {
  const { id = '' } = useParams()
  const path = { params: { path: { id } } }
  const sheet = useQuery({
    queryKey: ['trace', id, 'recall'],
    queryFn: () => ask(api.GET('/api/tracing/lots/{id}/recall', path)),
  })
  const trace = useQuery({
    queryKey: ['trace', id, false],
    queryFn: () =>
      ask(api.GET('/api/tracing/lots/{id}', { params: { path: { id }, query: { all: false } } })),
  })
  const here = trace.data?.lots.find((l) => l.id === id)
  const out = (trace.data?.lots ?? []).filter(
    (l) => l.holder && l.remaining > 0 && (l.id === id || trace.data?.downstream.includes(l.id)),
  )
  return (
    <Page
      title={sheet.data?.title ?? 'To call back'}
      actions={
        <>
          <ButtonLink to={`/tracing/${id}`}>Trace</ButtonLink>
          {here && (
            <ButtonLink to={here.stage === 'STAND' ? `/field/stands/${id}` : `/shelf/${id}`}>
              Its page, to doubt or clear it
            </ButtonLink>
          )}
          <OnPaper href={`/api/tracing/lots/${id}/recall.pdf`}>On paper (PDF)</OnPaper>
        </>
      }
    >
      <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
        <Loaded query={sheet}>{(s) => <SheetOf sheet={s} />}</Loaded>
        {out.length > 0 && (
          <Section title="As it comes back">
            <ul>
              {out.map((l) => (
                <Out key={l.id} lot={l} />
              ))}
            </ul>
          </Section>
        )}
      </div>
    </Page>
  )
}

const Out = only('record', function Out({ lot }: { lot: Schemas['TracedLot'] }) {
  const back = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/give', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { holder: '' },
        }),
      ),
  })
  return (
    <li className="border-line flex flex-wrap items-center justify-between gap-2 border-b py-2">
      <span>
        {lot.name} {lot.code}{' '}
        <span className="text-soft">
          {figure(lot.remaining)} {lot.unit}, with {lot.holder}
        </span>
      </span>
      <Button disabled={back.isPending} onClick={() => back.mutate()}>
        It is back
      </Button>
      <ProblemNotice error={back.error} />
    </li>
  )
})
