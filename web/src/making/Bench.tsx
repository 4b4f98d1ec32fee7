import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { State } from '../ui/State'
import { BATCH_KIND } from '../ui/dictionary'
import { date, figure } from '../ui/words'
import { useBatches } from './queries'

const KINDS = [
  { to: 'tincture', name: 'Tincture', says: 'herb in spirit, by weight to volume' },
  { to: 'tea', name: 'Tea', says: 'infused or simmered, drunk fresh' },
  { to: 'oil', name: 'Infused oil', says: 'dried herb in a carrier oil' },
  { to: 'salve', name: 'Salve', says: 'oil and wax, into tins' },
]

export function Bench() {
  const batches = useBatches()
  return (
    <Page title="Bench" actions={<ButtonLink to="/schools">How this household works</ButtonLink>}>
      <ul className="mb-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {KINDS.map((k) => (
          <li key={k.to}>
            <Link
              to={`/making/${k.to}`}
              className="bg-sheet border-line hover:border-water flex min-h-20 flex-col justify-center border-2 border-t-4 px-4"
            >
              <span className="text-lg font-semibold">{k.name}</span>
              <span className="text-soft text-sm">{k.says}</span>
            </Link>
          </li>
        ))}
      </ul>
      <Section title="Under way">
        <Loaded query={batches}>
          {(open) => {
            return open.length === 0 ? (
              <Empty>Nothing is steeping. Start something above.</Empty>
            ) : (
              <ul>
                {open.map((b) => (
                  <li key={b.id} className="border-line flex flex-wrap items-center gap-3 border-b py-2">
                    <div className="min-w-56 flex-1">
                      <Link to={`/making/batches/${b.id}`} className="text-lg font-medium underline">
                        {b.name}
                      </Link>
                      <p className="text-soft text-sm">
                        {b.code} · {BATCH_KIND[b.kind]} · day {b.day}
                        {b.pressOn && b.status === 'STEEPING' ? ` · press on ${date(b.pressOn)}` : ''}
                        {b.status === 'PRESSED' ? ` · ${figure(b.remaining)} ${b.plan.unit} to fill` : ''}
                      </p>
                    </div>
                    {b.shakeDue && <strong className="text-amber">shake today</strong>}
                    <State state={b.state} />
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
