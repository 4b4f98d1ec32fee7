import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useEffect } from 'react'
import { Link, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { usePeople, useSession } from '../household/queries'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink } from '../ui/controls'
import { CONDITION, MEDICINE } from '../ui/dictionary'
import { useMay } from '../ui/may'
import { Loaded, Page, ProblemNotice } from '../ui/page'
import { date, figure } from '../ui/words'
import SIGNS from './danger-signs.json'
import FIRST from './first-steps.json'
import { keepNumbers, keptNumbers, type Numbers } from './numbers'
import { OnPaper } from '../ui/Sheet'

/** When something is wrong with somebody: stop, whom to call, what to say. Stands with nobody chosen, and signed in or not. */
export function Help() {
  const session = useSession()
  const known = session.data?.signedIn === true
  return known ? <WithRecords /> : <Steps numbers={keptNumbers()} known={false} />
}

function WithRecords() {
  const people = usePeople()
  const settings = useQuery({
    queryKey: ['settings'],
    queryFn: () => ask(api.GET('/api/household/settings')),
  })
  const [search, setSearch] = useSearchParams()
  const chosen = people.data?.find((p) => p.id === search.get('person'))
  const numbers = settings.data ?? keptNumbers()
  useEffect(() => {
    if (settings.data) keepNumbers(settings.data)
  }, [settings.data])
  return (
    <Steps
      numbers={numbers}
      known
      person={chosen?.id}
      choose={
        (people.data?.length ?? 0) > 0 && (
          <div className="mb-3 max-w-md print:hidden">
            <Choose
              label="With whom (adds what they take)"
              value={chosen?.id ?? ''}
              onChange={(person) => setSearch({ person }, { replace: true })}
              choices={(people.data ?? []).map((p) => ({ value: p.id, label: p.name }))}
            />
          </div>
        )
      }
    />
  )
}

/** One of the first steps, in the words that the paper has as well. */
function Step({ n, children }: { n: number; children?: React.ReactNode }) {
  const step = FIRST.steps[n - 1]
  return (
    step && (
      <section className="border-madder bg-sheet mb-3 border-l-8 px-4 py-3">
        <h2 className="text-xl font-semibold">
          {n}. {step.title}
        </h2>
        {(step.first || step.words) && (
          <p>
            {step.first && <strong>{step.first}</strong>} {step.words}
          </p>
        )}
        {step.points.length > 0 && (
          <ul className="list-disc space-y-1 pl-5">
            {step.points.map((p) => (
              <li key={p}>{p}</li>
            ))}
          </ul>
        )}
        {children}
      </section>
    )
  )
}

function Steps({
  numbers,
  known,
  person,
  choose,
}: {
  numbers: Numbers
  known: boolean
  person?: string | undefined
  choose?: React.ReactNode
}) {
  return (
    <Page
      title="Something is wrong"
      actions={
        <>
          {/* Also where there is no line. */}
          <Button onClick={() => window.print()}>Print it for the wall</Button>
          {known && (
            <OnPaper href={`/api/dosing/help.pdf${person ? `?person=${person}` : ''}`}>
              On paper (PDF)
            </OnPaper>
          )}
          {!known && <ButtonLink to="/sign-in">Sign in</ButtonLink>}
        </>
      }
    >
      <div className="max-w-3xl text-lg">
        <Step n={1}>{person && <StopCourses id={person} />}</Step>
        <Step n={2}>
          <dl className="mt-2 grid gap-3 sm:grid-cols-2">
            <NumberOf label="Emergency" value={numbers.emergencyNumber} known={known} />
            <NumberOf label="Poison centre" value={numbers.poisonCentre} known={known} />
          </dl>
          {(!numbers.emergencyNumber || !numbers.poisonCentre) && (
            <p className="mt-2 text-base">{FIRST.numbers}</p>
          )}
          <div className="mt-3 grid gap-3 sm:grid-cols-2">
            <Signs title="Emergency service now, with any of these" signs={SIGNS.now} grave />
            <Signs title="A doctor today, with any of these" signs={SIGNS.today} />
          </div>
        </Step>
        <Step n={3}>
          {choose}
          {person && <Say id={person} />}
        </Step>
        <Step n={4} />
        <p className="text-soft text-base">{FIRST.noSubstitute}</p>
      </div>
    </Page>
  )
}

function Signs({ title, signs, grave = false }: { title: string; signs: string[]; grave?: boolean }) {
  return (
    <div className={`border-l-4 pl-3 ${grave ? 'border-madder' : 'border-amber'}`}>
      <h3 className="font-semibold">{title}</h3>
      <ul className="list-disc pl-5 text-base">
        {signs.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ul>
    </div>
  )
}

function useHelp(id: string) {
  return useQuery({
    queryKey: ['help', id],
    queryFn: () => ask(api.GET('/api/dosing/people/{id}/help', { params: { path: { id } } })),
  })
}

function StopCourses({ id }: { id: string }) {
  const may = useMay('record')
  const help = useHelp(id)
  const stop = useCommand('shelf', {
    mutationFn: () => ask(api.POST('/api/dosing/people/{id}/stop', { params: { path: { id } } })),
  })
  if (!help.data || help.data.running.length === 0) return null
  return (
    <div className="mt-2 print:hidden">
      <p>Still planned: {help.data.running.join(', ')}.</p>
      {may && (
        <Button kind="grave" disabled={stop.isPending} onClick={() => stop.mutate()}>
          End every course of {help.data.person.name}
        </Button>
      )}
      <ProblemNotice error={stop.error} />
    </div>
  )
}

function Say({ id }: { id: string }) {
  const help = useHelp(id)
  return <Loaded query={help}>{(h) => <Card help={h} />}</Loaded>
}

function Card({ help }: { help: Schemas['HelpView'] }) {
  const { person } = help
  return (
    <div>
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
    </div>
  )
}

function NumberOf({ label, value, known }: { label: string; value: string; known: boolean }) {
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
            not set
            {known && (
              <>
                :{' '}
                <Link to="/household" className="underline">
                  enter it
                </Link>
                , as it is where you live
              </>
            )}
          </span>
        )}
      </dd>
    </div>
  )
}
