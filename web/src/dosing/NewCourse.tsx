import { number } from '../ui/read'
import { isoToday } from '../ui/clock'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useTaxon } from '../herbarium/queries'
import { useKeepsTo, usePeople } from '../household/queries'
import { useLots } from '../shelf/queries'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Slider, Toggle } from '../ui/controls'
import { Announce } from '../ui/Announce'
import { Findings, inBreath } from '../ui/Findings'
import { Because, Figure, Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { CAUTION_STATUS, LOT_STATE, RELATION, SKIN, VESSEL, WAY } from '../ui/dictionary'
import { date, figure, range } from '../ui/words'
import { CourseStrip } from './Calendar'
import { DoseAmount } from './DoseAmount'
import { PatternFields, startOf, timesOf, type Pattern } from './patterns'
import { Slope } from './Slope'
import { pageOnly } from '../ui/may'
import { useHere, useKeptId, useTyped } from '../ui/kept'
import { Unsaved } from '../ui/Unsaved'
import { useSaved } from '../ui/useSaved'
import { useJudged } from './useJudged'

type Request = Schemas['CourseRequest']
type DoseUnit = Schemas['DoseUnitView']['unit']
type Relation = NonNullable<Request['timing']>['relation']

// A bottle, a flask or a tin is no incense.
const WAYS = (Object.keys(WAY) as Request['way'][]).filter((w) => w !== 'INCENSE')

const RELATIONS: Relation[] = ['BEFORE_MEAL', 'WITH_MEAL', 'AFTER_MEAL', 'BEDTIME', 'ANY']

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
  const navigate = useNavigate()
  const today = isoToday()
  const [search] = useSearchParams()
  const left = lots.filter((l) => l.remaining > 0)
  const products = [...left.filter((l) => l.stage === 'FILLED'), ...left.filter(isJarForTea)]
  const underWay = lots.filter((l) => l.stage === 'BATCH' && l.remaining > 0)
  const here = useHere()
  const id = useKeptId(here)
  const [person, setPerson] = useTyped('person', search.get('person') ?? people[0]?.id ?? '')
  const [lot, setLot] = useTyped('lot', search.get('lot') ?? products[0]?.id ?? '')
  const product = products.find((l) => l.id === lot)
  const herb = product?.herbs[0]
  const taxon = useTaxon(herb?.taxonId ?? '')
  const [use, setUse] = useTyped('use', '')
  const [way, setWay] = useTyped<Request['way'] | ''>('way', '')
  const [skin, setSkin] = useTyped<NonNullable<Request['skin']> | ''>('skin', '')
  const [ownDose, setDose] = useTyped<number>('dose')
  const [proposed, setProposed] = useState<{
    dose: number
    days: number
    unit?: DoseUnit
    // A week, so that whatever the pattern has a day in it.
  }>({ dose: 2, days: 7 })
  const [times, setTimes] = useTyped('times', 3)
  const [ownDays, setDays] = useTyped<number>('days')
  const keepsTo = useKeepsTo()
  const [ownPattern, setPattern] = useTyped<Pattern>('pattern')
  const pattern: Pattern = ownPattern ?? startOf(keepsTo('PULSED') ? 'CYCLE' : 'DAILY')
  const [ownCup, setCup] = useTyped<number>('perCup')
  const [countedIn, setCountedIn] = useTyped<DoseUnit>('countedIn')
  const [taperDays, setTaperDays] = useTyped('taperDays', 0)
  const [taperTo, setTaperTo] = useTyped<number>('taperTo')
  const [over, setOver] = useTyped('over', '')
  const [rampDays, setRampDays] = useTyped('rampDays', 0)
  const [rampFrom, setRampFrom] = useTyped<number>('rampFrom')
  const [minutes, setMinutes] = useTyped('minutes', '')
  const [minutesTo, setMinutesTo] = useTyped('minutesTo', '')
  const [untilBetter, setUntilBetter] = useTyped('untilBetter', false)
  const follows = search.get('follows') ?? undefined
  const [relation, setRelation] = useTyped<Relation>('relation', 'AFTER_MEAL')
  const [start, setStart] = useTyped('start', search.get('start') ?? today)
  const reasons = useAcknowledged()

  const chosenWay = way || (product?.route === 'EXTERNAL' ? 'SKIN' : 'MOUTH')
  // What is proposed, until something else is chosen.
  const dose = ownDose ?? proposed.dose
  const days = ownDays ?? proposed.days
  // What it can be counted out in stays where a figure is refused: a number is meant in the unit it was typed in.
  const of = `${lot} ${chosenWay}`
  const [offer, setOffer] = useState<{ of: string; plan: Schemas['CoursePlanView'] }>()
  const offered = offer?.of === of ? offer.plan : undefined
  const byTheCup = offered?.perCup != null
  // How the card makes a cup of this lot is asked anew for each lot; only what somebody typed goes along.
  const perCup = byTheCup ? (ownCup ?? offered.perCup) : undefined
  const timed = relation === 'BEFORE_MEAL' || relation === 'AFTER_MEAL'
  const unit = product?.unit ?? 'mL'
  const uses = [
    ...new Set(
      (taxon.data?.uses ?? []).filter((u) => !herb || u.parts.includes(herb.part)).map((u) => u.name),
    ),
  ]
  const chosenUse = use && uses.includes(use) ? use : (uses[0] ?? '')
  const body: Request | null =
    person && lot
      ? {
          id,
          personId: person,
          lotId: lot,
          use: chosenUse || undefined,
          way: chosenWay,
          skin: chosenWay === 'SKIN' && skin !== '' ? skin : undefined,
          perDose: dose,
          unit,
          timesPerDay: times,
          pattern,
          countedIn: countedIn ?? proposed.unit,
          perCup,
          ramp: rampDays > 0 ? { startFraction: (rampFrom ?? dose / 2) / dose, days: rampDays } : undefined,
          taper: taperDays > 0 ? { endFraction: (taperTo ?? dose / 2) / dose, days: taperDays } : undefined,
          courseDays: days,
          timing: {
            relation,
            minutes: timed && minutes.trim() !== '' ? number(minutes) : undefined,
            minutesTo: timed && minutesTo.trim() !== '' ? number(minutesTo) : undefined,
            overMinutes: chosenWay === 'MOUTH' && over.trim() !== '' ? number(over) : undefined,
          },
          startOn: start,
          untilBetter: untilBetter || undefined,
          followsId: follows,
          acknowledged: reasons.list,
        }
      : null
  const check = useJudged(
    'course',
    body && { ...body, perCup: byTheCup ? ownCup : undefined, acknowledged: [] },
    (b, signal) => ask(api.POST('/api/dosing/courses/check', { body: b, signal })),
    ['STOP'],
  )
  const { said: plan, findings, stopped } = check
  if (plan && !check.behind) {
    const now = {
      dose: plan.proposal.startAt,
      days: plan.proposal.days,
      unit: plan.usualUnit,
    }
    if (now.dose !== proposed.dose || now.days !== proposed.days || now.unit !== proposed.unit)
      setProposed(now)
  }
  if (plan && !check.behind && plan !== offer?.plan) setOffer({ of, plan })
  const units = (offered?.units ?? []).map((u) =>
    u.unit === 'CUP' && perCup != null ? { ...u, each: perCup } : u,
  )
  const counted = units.find((u) => u.unit === (countedIn ?? offered?.usualUnit)) ?? units[0]
  const save = useSaved(
    'shelf',
    here,
    () => {
      if (!body) throw new Error('nothing chosen')
      return ask(api.POST('/api/dosing/courses', { body }))
    },
    (c) => navigate(`/dosing/courses/${c.id}`),
  )
  const doses = (taxon.data?.parts ?? []).filter((p) => p.part === herb?.part).flatMap((p) => p.doses)
  return (
    <Page title="Plan a course">
      <Unsaved form={here} />
      <div className="grid grid-cols-1 gap-4 lg:grid-cols-[19rem_minmax(0,1fr)_21rem]">
        <Section title="Who takes what">
          <div className="space-y-2">
            <Choose
              label="Person"
              value={person}
              onChange={setPerson}
              choices={people.map((p) => ({ value: p.id, label: p.name, hint: `${p.ageYears} years` }))}
            />
            <Choose
              label="Out of"
              value={lot}
              onChange={setLot}
              choices={products.map((l) => ({
                value: l.id,
                label: `${l.name} ${l.code}`,
                hint: `${isJarForTea(l) ? 'for tea, ' : ''}${figure(l.remaining)} ${l.unit} left, ${LOT_STATE[l.state]}`,
              }))}
            />
            {underWay.length > 0 && (
              <p className="text-soft text-sm">
                Not usable yet: {underWay.map((l) => `${l.name} ${l.code}`).join(', ')}; press or fill it
                first.
              </p>
            )}
            <Choose
              label="For"
              value={chosenUse}
              onChange={setUse}
              choices={uses.map((u) => ({ value: u, label: u }))}
            />
            <Choose
              label="How"
              value={chosenWay}
              onChange={setWay}
              choices={(product && isJarForTea(product) ? (['MOUTH'] as const) : WAYS).map((w) => ({
                value: w,
                label: WAY[w],
              }))}
            />
            {chosenWay === 'SKIN' && (
              <Choose
                label="The skin there"
                value={skin}
                onChange={setSkin}
                choices={(Object.keys(SKIN) as (keyof typeof SKIN)[]).map((k) => ({
                  value: k,
                  label: SKIN[k].name,
                  ...(SKIN[k].hint ? { hint: SKIN[k].hint } : {}),
                }))}
              />
            )}
            {perCup != null && (
              <Slider
                label="Herb to a cup"
                unit="g"
                value={perCup}
                min={0.5}
                max={10}
                step={0.5}
                onChange={setCup}
              />
            )}
            <DoseAmount
              unit={unit}
              units={units}
              countedIn={countedIn ?? offered?.usualUnit}
              onUnit={setCountedIn}
              value={dose}
              most={Math.max(product?.vessel === 'FLASK' ? 250 : 20, Math.ceil(dose))}
              onChange={setDose}
            />
            {plan?.stands && <p className="font-medium">{plan.stands}</p>}
            {plan && (
              <p className="text-soft text-sm">
                {plan.proposal.words}{' '}
                {plan.proposal.perDose != null && (
                  <button
                    type="button"
                    className="text-ink min-h-6 font-semibold underline"
                    onClick={() => setDose(plan.proposal.perDose ?? dose)}
                  >
                    Take {plan.proposal.counted} each time
                  </button>
                )}
              </p>
            )}
            {timesOf(pattern) !== null && (
              <Slider
                label={timesOf(pattern) ?? ''}
                unit=""
                value={times}
                min={1}
                max={6}
                step={1}
                onChange={setTimes}
              />
            )}
            <Slider
              label="Lasts"
              unit={days === 1 ? 'day' : 'days'}
              value={days}
              min={1}
              max={60}
              step={1}
              onChange={setDays}
            />
            <Toggle
              label="Only until it is better; that long at most"
              checked={untilBetter}
              onChange={setUntilBetter}
            />
            <PatternFields value={pattern} onChange={setPattern} />
            <Slope
              label="Build up over the first"
              days={rampDays}
              longest={days}
              onDays={setRampDays}
              amountLabel="Beginning with"
              amount={rampFrom ?? dose / 2}
              onAmount={setRampFrom}
              dose={dose}
              counted={counted}
            />
            <Slope
              label="Taper off over the last"
              days={taperDays}
              longest={days}
              onDays={setTaperDays}
              amountLabel="Ending with"
              amount={taperTo ?? dose / 2}
              onAmount={setTaperTo}
              dose={dose}
              counted={counted}
            />
            <Choose
              label="When"
              value={relation}
              onChange={setRelation}
              choices={RELATIONS.map((r) => ({ value: r, label: RELATION[r] }))}
            />
            {timed && (
              <div className="grid grid-cols-2 items-start gap-3">
                <NumberInput
                  label={`Minutes ${RELATION[relation]}`}
                  hint="empty where it does not matter"
                  unit="min"
                  value={minutes}
                  onChange={setMinutes}
                />
                <NumberInput
                  label="to, at most"
                  hint="empty for no range"
                  unit="min"
                  value={minutesTo}
                  onChange={setMinutesTo}
                />
              </div>
            )}
            {chosenWay === 'MOUTH' && (
              <NumberInput
                label="Drunk over"
                hint="sipped slowly; leave it empty for at once"
                unit="min"
                value={over}
                onChange={setOver}
              />
            )}
            <Input
              label="From"
              type="date"
              value={start}
              onChange={(e) => setStart(e.target.value || today)}
            />
          </div>
        </Section>
        <div className="space-y-3">
          {plan && (
            <Section title="The course">
              <CourseStrip days={plan.days} today={today} unit={unit} />
            </Section>
          )}
          <Announce text={inBreath(findings)} />
          <Findings findings={findings} label="Course findings" />
          {plan?.child && <ForAChild child={plan.child} unit={unit} />}
          {plan && plan.expecting.length > 0 && <Thirds known={plan.expecting} />}
          <Because lines={plan?.because ?? []} />
          <SafetyLine />
        </div>
        <div className="space-y-3">
          <Section title="What follows">
            <dl className="space-y-2">
              <Figure
                label="Needed"
                value={figure(plan?.total ?? NaN)}
                unit={unit}
                note={`${figure(plan?.onHand ?? NaN)} ${unit} in the ${product ? VESSEL[product.vessel] : 'bottle'}${plan?.runsOutOn ? `, which runs out on ${date(plan.runsOutOn)}` : ''}`}
              />
              {plan?.driedGPerDay && (
                <Figure label="Dried herb a day" value={range(plan.driedGPerDay)} unit="g" />
              )}
              {plan && plan.alcoholGPerDose > 0 && (
                <Figure label="Alcohol in a dose" value={figure(plan.alcoholGPerDose)} unit="g" />
              )}
              <Figure label="Last day" value={date(plan?.lastDay)} />
            </dl>
            {doses.map((d) => (
              <p key={d.use + d.form} className="text-soft mt-2 text-sm">
                Card, {d.use}: {range(d.driedGPerDay)} g dried a day from {d.fromAgeYears} years (
                {d.source.title}, {d.source.year}; not checked by this household)
              </p>
            ))}
          </Section>
          <Acknowledge findings={findings} reasons={reasons} />
          <ProblemNotice error={save.error ?? check.error} />
          <Button
            kind="main"
            disabled={!plan || check.invalid || stopped || save.isPending}
            onClick={() => save.mutate()}
          >
            Start the course
          </Button>
          {stopped && (
            <p className="text-madder font-semibold">
              STOPPED for {people.find((p) => p.id === person)?.name}. Read why; ask the prescriber or
              pharmacist.{' '}
              {chosenUse && (
                <Link
                  className="underline"
                  to={`/needs?need=${encodeURIComponent(chosenUse)}&person=${person}`}
                >
                  What else there is for it
                </Link>
              )}
            </p>
          )}
        </div>
      </div>
    </Page>
  )
}

/** Dried herb as it lies in a jar: the tea is made of it cup by cup. */
const isJarForTea = (lot: Schemas['LotView']) =>
  lot.stage === 'STOCK' && lot.form === 'HERB' && lot.route === 'INTERNAL'

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
