import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { useKeepsTo } from '../household/queries'
import { Past } from '../ui/Past'
import { State } from '../ui/State'
import { FORM } from '../ui/dictionary'
import { date, figure } from '../ui/words'
import { GROUPS } from './kinds'
import { useBatches } from './queries'

export function Bench() {
  const batches = useBatches()
  const keepsTo = useKeepsTo()
  return (
    <Page
      title="Bench"
      actions={
        <>
          <ButtonLink to="/making/reduce">Boiling down</ButtonLink>
          <ButtonLink to="/making/measures">Spoons and handfuls</ButtonLink>
          <ButtonLink to="/schools">How this household works</ButtonLink>
        </>
      }
    >
      <div className="mb-4 grid gap-x-4 gap-y-2 sm:grid-cols-2 lg:grid-cols-5">
        {GROUPS.map((g) => (
          <section key={g.name} aria-label={g.name}>
            <h2 className="text-soft mb-1 text-sm font-medium">{g.name}</h2>
            <ul className="space-y-2">
              {g.kinds.map((k) => (
                <li key={k.path}>
                  <Link
                    to={`/making/${k.path}`}
                    className="bg-sheet border-line hover:border-water flex min-h-14 flex-col justify-center border-2 border-t-4 px-3 py-1"
                  >
                    <span className="leading-tight font-semibold">{k.name}</span>
                    <span className="text-soft text-sm leading-tight">{k.says}</span>
                    {k.school && keepsTo(k.school) && (
                      <span className="text-lichen text-sm font-medium">this household’s way</span>
                    )}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <Section title="Under way">
        <Loaded query={batches}>
          {(open) => {
            return open.length === 0 ? (
              <Empty>Nothing is steeping. Start something above.</Empty>
            ) : (
              <ul>
                {open.map((b) => (
                  <li key={b.id} className="border-line flex flex-wrap items-center gap-3 border-b py-2">
                    <div className="least-56 flex-1">
                      <Link to={`/making/batches/${b.id}`} className="text-lg font-medium underline">
                        {b.name}
                      </Link>
                      <p className="text-soft text-sm">
                        {b.code} · {FORM[b.kind]} · day {b.day}
                        {b.pressOn && b.status === 'STEEPING' ? ` · press on ${date(b.pressOn)}` : ''}
                        {b.status === 'PRESSED' ? ` · ${figure(b.remaining)} ${b.plan.unit} to fill` : ''}
                      </p>
                    </div>
                    {b.shakeDue && <strong className="text-amber">shake today</strong>}
                    <State state={b.state} steeping={b.status === 'STEEPING'} />
                    <ButtonLink to={`/making/batches/${b.id}`}>Open</ButtonLink>
                  </li>
                ))}
              </ul>
            )
          }}
        </Loaded>
      </Section>
      <Past
        title="Finished"
        name="batches"
        load={(page) => ask(api.GET('/api/making/batches/past', { params: { query: { page } } }))}
        to={(id) => `/making/batches/${id}`}
      />
    </Page>
  )
}
