import { Link } from 'react-router'
import { type Schemas } from '../api/client'
import { usePeople } from '../household/queries'
import { useLots } from '../shelf/queries'
import { Acknowledge } from '../ui/Acknowledge'
import { Button } from '../ui/controls'
import { Announce } from '../ui/Announce'
import { Findings, inBreath } from '../ui/Findings'
import { Because, Figure, Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { CAUTION_STATUS, VESSEL } from '../ui/dictionary'
import { date, figure, range } from '../ui/words'
import { CourseStrip } from './Calendar'
import { pageOnly } from '../ui/may'
import { Unsaved } from '../ui/Unsaved'
import { Who, HowMuch, HowLong, When } from './CourseFields'
import { useNewCourse, type NewCourseForm } from './useNewCourse'

export const NewCourse = pageOnly('record', function NewCourse() {
  const people = usePeople()
  const lots = useLots()
  return (
    <Loaded query={people}>
      {(p) => <Loaded query={lots}>{(l) => <Planner people={p} lots={l} />}</Loaded>}
    </Loaded>
  )
})

function Planner({ people, lots }: { people: Schemas['PersonView'][]; lots: Schemas['LotView'][] }) {
  const f = useNewCourse(people, lots)
  return (
    <Page title="Plan a course">
      <Unsaved form={f.here} />
      <div className="grid grid-cols-1 gap-4 lg:grid-cols-[19rem_minmax(0,1fr)_21rem]">
        <Section title="Who takes what">
          <div className="space-y-2">
            <Who f={f} />
            <HowMuch f={f} />
            <HowLong f={f} />
            <When f={f} />
          </div>
        </Section>
        <div className="space-y-3">
          <Planned f={f} />
        </div>
        <div className="space-y-3">
          <Follows f={f} />
          <Start f={f} />
        </div>
      </div>
    </Page>
  )
}

/** The days of it, and what is said against it. */
function Planned({ f }: { f: NewCourseForm }) {
  const { plan } = f
  return (
    <>
      {plan && (
        <Section title="The course">
          <CourseStrip days={plan.days} today={f.today} unit={f.unit} />
        </Section>
      )}
      <Announce text={inBreath(f.findings)} />
      <Findings findings={f.findings} label="Course findings" />
      {plan?.child && <ForAChild child={plan.child} unit={f.unit} />}
      {plan && plan.expecting.length > 0 && <Thirds known={plan.expecting} />}
      <Because lines={plan?.because ?? []} />
      <SafetyLine />
    </>
  )
}

/** What it needs, and what the card says. */
function Follows({ f }: { f: NewCourseForm }) {
  const { plan, product } = f
  return (
    <>
      <Section title="What follows">
        <dl className="space-y-2">
          <Figure
            label="Needed"
            value={figure(plan?.total ?? NaN)}
            unit={f.unit}
            note={`${figure(plan?.onHand ?? NaN)} ${f.unit} in the ${product ? VESSEL[product.vessel] : 'bottle'}${plan?.runsOutOn ? `, which runs out on ${date(plan.runsOutOn)}` : ''}`}
          />
          {plan?.driedGPerDay && (
            <Figure label="Dried herb a day" value={range(plan.driedGPerDay)} unit="g" />
          )}
          {plan && plan.alcoholGPerDose > 0 && (
            <Figure label="Alcohol in a dose" value={figure(plan.alcoholGPerDose)} unit="g" />
          )}
          <Figure label="Last day" value={date(plan?.lastDay)} />
        </dl>
        {f.doses.map((d) => (
          <p key={d.use + d.form} className="text-soft mt-2 text-sm">
            Card, {d.use}: {range(d.driedGPerDay)} g dried a day from {d.fromAgeYears} years ({d.source.title}
            , {d.source.year}; not checked by this household)
          </p>
        ))}
      </Section>
    </>
  )
}

/** What is asked before it begins. */
function Start({ f }: { f: NewCourseForm }) {
  const { plan } = f
  return (
    <>
      <Acknowledge findings={f.findings} reasons={f.reasons} />
      <ProblemNotice error={f.save.error ?? f.check.error} />
      <Button
        kind="main"
        disabled={!plan || f.check.invalid || f.stopped || f.save.isPending}
        onClick={() => f.save.mutate()}
      >
        Start the course
      </Button>
      {f.stopped && (
        <p className="text-madder font-semibold">
          STOPPED for {f.people.find((p) => p.id === f.person)?.name}. Read why; ask the prescriber or
          pharmacist.{' '}
          {f.chosenUse && (
            <Link
              className="underline"
              to={`/needs?need=${encodeURIComponent(f.chosenUse)}&person=${f.person}`}
            >
              What else there is for it
            </Link>
          )}
        </p>
      )}
    </>
  )
}

/** What each rule makes of a grown-up's dose; the household's school decides, the card's own age before it. */
function ForAChild({ child, unit }: { child: Schemas['ChildView']; unit: string }) {
  return (
    <Section title="For a child">
      {child.adult == null ? (
        <p>The card has no dose for this use, so no rule can start from one.</p>
      ) : (
        <>
          <p>
            A grown-up would take {figure(child.adult)} {unit}. The card gives a dose from{' '}
            {child.fromAgeYears} years on, and that age always wins. Rounded down:
          </p>
          <table className="my-1 w-full text-sm">
            <thead>
              <tr className="text-soft text-left">
                <th className="font-medium">Rule</th>
                <th className="font-medium">Part</th>
                <th className="font-medium">Dose</th>
              </tr>
            </thead>
            <tbody>
              {child.rules.map((r) => (
                <tr key={r.rule} className="border-line border-t">
                  <td className="py-1 pr-2">{r.rule}</td>
                  <td>{r.fraction == null ? 'not to be had' : `${figure(r.fraction * 100)} %`}</td>
                  <td>{r.perDose == null ? '' : `${figure(r.perDose)} ${unit}`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <p className="text-soft text-sm">
        This household: {child.school}. Rules are arithmetic, not knowledge: ask a doctor or pharmacist before
        a child is given anything.
      </p>
    </Section>
  )
}

const THIRDS = ['first third', 'second third', 'last third']

/** What is known for each third of a pregnancy; it decides nothing. */
function Thirds({ known }: { known: Schemas['ExpectingView'][] }) {
  return (
    <Section title="While expecting">
      <ul className="space-y-1">
        {known.map((k) => (
          <li key={k.taxonId + k.trimester}>
            <strong>
              {k.commonName}, {THIRDS[k.trimester - 1]}: {CAUTION_STATUS[k.status]}
            </strong>
            {k.effect && ` ${k.effect}`}
            {k.source && <span className="text-soft text-sm"> ({k.source})</span>}
          </li>
        ))}
      </ul>
      <p className="mt-1">
        Unknown counts as no. Midwife, doctor and pharmacist decide, not this page; take its list along.
      </p>
    </Section>
  )
}
