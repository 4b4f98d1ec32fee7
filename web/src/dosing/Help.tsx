import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { usePeople } from '../household/queries'
import { Choose } from '../ui/Choose'
import { Button } from '../ui/controls'
import { CONDITION, MEDICINE } from '../ui/dictionary'
import { useMay } from '../ui/may'
import { Empty, Loaded, Page, ProblemNotice } from '../ui/page'
import { date, figure } from '../ui/words'

/** When something is wrong with somebody: stop, whom to call, what to say. */
export function Help() {
  const people = usePeople()
  const [search, setSearch] = useSearchParams()
  return (
    <Page title="Something is wrong">
      <Loaded query={people}>
        {(all) => {
          const who = all.find((p) => p.id === search.get('person')) ?? all[0]
          return who ? (
            <>
              <div className="mb-3 max-w-md print:hidden">
                <Choose
                  label="With whom"
                  value={who.id}
                  onChange={(person) => setSearch({ person }, { replace: true })}
                  choices={all.map((p) => ({ value: p.id, label: p.name }))}
                />
              </div>
              <With key={who.id} id={who.id} />
            </>
          ) : (
            <Empty>Nobody is on record yet.</Empty>
          )
        }}
      </Loaded>
    </Page>
  )
}

function With({ id }: { id: string }) {
  const help = useQuery({
    queryKey: ['help', id],
    queryFn: () => ask(api.GET('/api/dosing/people/{id}/help', { params: { path: { id } } })),
  })
  return <Loaded query={help}>{(h) => <Steps help={h} />}</Loaded>
}

function Step({ n, title, children }: { n: number; title: string; children: React.ReactNode }) {
  return (
    <section className="border-madder bg-sheet mb-3 border-l-8 px-4 py-3">
      <h2 className="text-xl font-semibold">
        {n}. {title}
      </h2>
      {children}
    </section>
  )
}

function Steps({ help }: { help: Schemas['HelpView'] }) {
  const queries = useQueryClient()
  const may = useMay('record')
  const stop = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/dosing/people/{id}/stop', { params: { path: { id: help.person.id } } })),
    onSuccess: () => queries.invalidateQueries(),
  })
  const { person } = help
  return (
    <div className="max-w-3xl text-lg">
      <Step n={1} title="Stop">
        <p>
          Give and take nothing more. Keep the bottle, the jar and what is left of the plant; do not make
          anybody vomit unless a poison centre says so.
        </p>
        {help.running.length > 0 && (
          <div className="mt-2 print:hidden">
            <p>Still planned: {help.running.join(', ')}.</p>
            {may && (
              <Button kind="grave" disabled={stop.isPending} onClick={() => stop.mutate()}>
                End every course of {person.name}
              </Button>
            )}
            <ProblemNotice error={stop.error} />
          </div>
        )}
      </Step>
      <Step n={2} title="Call">
        <p>
          With any of these, the emergency service at once: <strong>{help.dangerSigns.join(', ')}</strong>.
        </p>
        <dl className="mt-2 grid gap-3 sm:grid-cols-2">
          <Number label="Emergency" value={help.emergencyNumber} />
          <Number label="Poison centre" value={help.poisonCentre} />
        </dl>
      </Step>
      <Step n={3} title="Say">
        <p>
          <strong>{person.name}</strong>, {person.ageYears} years
          {person.weightKg != null && `, ${figure(person.weightKg)} kg`}
          {person.trimester != null && `, expecting, trimester ${person.trimester}`}
          {person.breastFeeding && ', breast-feeding'}.
        </p>
        <p>
          Medicines:{' '}
          {[...person.medicineNames.map((m) => m.name), ...person.medicines.map((m) => MEDICINE[m])].join(
            ', ',
          ) || 'none on record; ask'}
          .
        </p>
        <p>
          Conditions and allergies:{' '}
          {[...person.conditions.map((c) => CONDITION[c]), ...person.allergyFamilies].join(', ') ||
            'none on record; ask'}
          .
        </p>
        {help.reactions.length > 0 && (
          <>
            <h3 className="mt-2 font-semibold">Noticed after plants</h3>
            <ul>
              {help.reactions.map((r) => (
                <li key={r} className="border-line border-b py-1">
                  {r}
                </li>
              ))}
            </ul>
          </>
        )}
        <h3 className="mt-2 font-semibold">Taken in the last seven days</h3>
        {help.taken.length === 0 ? (
          <p>
            Nothing is on record
            {help.running.length > 0 && ', but something may have been taken and not ticked'}. Say what was
            eaten or drunk, when, and how much; describe the plant.
          </p>
        ) : (
          <ul>
            {help.taken.map((t, i) => (
              <li key={`${t.on} ${t.lotCode} ${i}`} className="border-line border-b py-1">
                {date(t.on)}:{' '}
                <strong>
                  {t.amount == null ? 'an amount nobody weighed' : `${figure(t.amount)} ${t.unit}`}
                </strong>{' '}
                of {t.product}
                {t.lotCode && `, lot ${t.lotCode}`}, {t.way === 'SKIN' ? 'on the skin' : 'by mouth'}
                <span className="text-soft block text-base">{t.herbs.join('; ')}</span>
              </li>
            ))}
          </ul>
        )}
        <div className="mt-3 print:hidden">
          <Button onClick={() => window.print()}>Print this card</Button>
        </div>
      </Step>
    </div>
  )
}

function Number({ label, value }: { label: string; value: string }) {
  const digits = value.replace(/[^\d+]/g, '')
  return (
    <div className="border-line border-l-2 pl-3">
      <dt className="text-soft text-base">{label}</dt>
      <dd className="text-2xl font-bold">
        {value ? (
          digits.length >= 3 ? (
            <a className="underline" href={`tel:${digits}`}>
              {value}
            </a>
          ) : (
            value
          )
        ) : (
          <span className="text-base font-normal">
            not set:{' '}
            <Link to="/household" className="underline">
              enter it
            </Link>
            , as it is where you live
          </span>
        )}
      </dd>
    </div>
  )
}
