import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useTaxon } from '../herbarium/queries'
import { useKeepsTo } from '../household/queries'
import { useAcknowledged } from '../ui/Acknowledge'
import { isoToday } from '../ui/clock'
import { useHere, useKeptId, useTyped } from '../ui/kept'
import { number } from '../ui/read'
import { useSaved } from '../ui/useSaved'
import { startOf, type Pattern } from './patterns'
import { useJudged } from './useJudged'

type Request = Schemas['CourseRequest']
type DoseUnit = Schemas['DoseUnitView']['unit']
export type Relation = NonNullable<Request['timing']>['relation']

/** What somebody has typed or chosen; what is proposed stands in where it is undefined. */
function useFields(person: string, lot: string, start: string) {
  const [personId, setPersonId] = useTyped('person', person)
  const [lotId, setLotId] = useTyped('lot', lot)
  const [use, setUse] = useTyped('use', '')
  const [way, setWay] = useTyped<Request['way'] | ''>('way', '')
  const [skin, setSkin] = useTyped<NonNullable<Request['skin']> | ''>('skin', '')
  const [ownDose, setDose] = useTyped<number>('dose')
  const [times, setTimes] = useTyped('times', 3)
  const [ownDays, setDays] = useTyped<number>('days')
  const [ownPattern, setPattern] = useTyped<Pattern>('pattern')
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
  const [relation, setRelation] = useTyped<Relation>('relation', 'AFTER_MEAL')
  const [startOn, setStartOn] = useTyped('start', start)
  return {
    person: personId,
    setPerson: setPersonId,
    lot: lotId,
    setLot: setLotId,
    use,
    setUse,
    way,
    setWay,
    skin,
    setSkin,
    ownDose,
    setDose,
    times,
    setTimes,
    ownDays,
    setDays,
    ownPattern,
    setPattern,
    ownCup,
    setCup,
    countedIn,
    setCountedIn,
    taperDays,
    setTaperDays,
    taperTo,
    setTaperTo,
    over,
    setOver,
    rampDays,
    setRampDays,
    rampFrom,
    setRampFrom,
    minutes,
    setMinutes,
    minutesTo,
    setMinutesTo,
    untilBetter,
    setUntilBetter,
    relation,
    setRelation,
    start: startOn,
    setStart: setStartOn,
  }
}

/** Dried herb as it lies in a jar: the tea is made of it cup by cup. */
export const isJarForTea = (lot: Schemas['LotView']) =>
  lot.stage === 'STOCK' && lot.form === 'HERB' && lot.route === 'INTERNAL'

type Fields = ReturnType<typeof useFields>

const isTimed = (relation: Relation) => relation === 'BEFORE_MEAL' || relation === 'AFTER_MEAL'

const typed = (figure: string, wanted: boolean) =>
  wanted && figure.trim() !== '' ? number(figure) : undefined

const timingOf = (f: Fields, way: Request['way']): NonNullable<Request['timing']> => ({
  relation: f.relation,
  minutes: typed(f.minutes, isTimed(f.relation)),
  minutesTo: typed(f.minutesTo, isTimed(f.relation)),
  overMinutes: typed(f.over, way === 'MOUTH'),
})

/** Building up and tapering off: from half a dose and to half a dose where nothing else is said. */
const slopesOf = (f: Fields, dose: number): Pick<Request, 'ramp' | 'taper'> => ({
  ramp: f.rampDays > 0 ? { startFraction: (f.rampFrom ?? dose / 2) / dose, days: f.rampDays } : undefined,
  taper: f.taperDays > 0 ? { endFraction: (f.taperTo ?? dose / 2) / dose, days: f.taperDays } : undefined,
})

const cupsOf = (units: Schemas['DoseUnitView'][], perCup: number | undefined) =>
  units.map((u) => (u.unit === 'CUP' && perCup != null ? { ...u, each: perCup } : u))

/** What the card of a jar's herb says: what it is for, and how much of it. */
function useCard(product: Schemas['LotView'] | undefined) {
  const herb = product?.herbs[0]
  const taxon = useTaxon(herb?.taxonId ?? '')
  return {
    uses: [
      ...new Set(
        (taxon.data?.uses ?? []).filter((u) => !herb || u.parts.includes(herb.part)).map((u) => u.name),
      ),
    ],
    doses: (taxon.data?.parts ?? []).filter((p) => p.part === herb?.part).flatMap((p) => p.doses),
  }
}

/** A course as it is planned: what was chosen, what is proposed where nothing was, and what the server says of it. */
export function useNewCourse(people: Schemas['PersonView'][], lots: Schemas['LotView'][]) {
  const navigate = useNavigate()
  const today = isoToday()
  const [search] = useSearchParams()
  const left = lots.filter((l) => l.remaining > 0)
  const products = [...left.filter((l) => l.stage === 'FILLED'), ...left.filter(isJarForTea)]
  const underWay = lots.filter((l) => l.stage === 'BATCH' && l.remaining > 0)
  const here = useHere()
  const id = useKeptId(here)
  const f = useFields(
    search.get('person') ?? people[0]?.id ?? '',
    search.get('lot') ?? products[0]?.id ?? '',
    search.get('start') ?? today,
  )
  const product = products.find((l) => l.id === f.lot)
  const { uses, doses } = useCard(product)
  const [proposed, setProposed] = useState<{
    dose: number
    days: number
    unit?: DoseUnit
    // A week, so that whatever the pattern has a day in it.
  }>({ dose: 2, days: 7 })
  const keepsTo = useKeepsTo()
  const pattern: Pattern = f.ownPattern ?? startOf(keepsTo('PULSED') ? 'CYCLE' : 'DAILY')
  const follows = search.get('follows') ?? undefined
  const reasons = useAcknowledged()

  const chosenWay = f.way || (product?.route === 'EXTERNAL' ? 'SKIN' : 'MOUTH')
  // What is proposed, until something else is chosen.
  const dose = f.ownDose ?? proposed.dose
  const days = f.ownDays ?? proposed.days
  // What it can be counted out in stays where a figure is refused: a number is meant in the unit it was typed in.
  const of = `${f.lot} ${chosenWay}`
  const [offer, setOffer] = useState<{ of: string; plan: Schemas['CoursePlanView'] }>()
  const offered = offer?.of === of ? offer.plan : undefined
  const byTheCup = offered?.perCup != null
  // How the card makes a cup of this lot is asked anew for each lot; only what somebody typed goes along.
  const perCup = byTheCup ? (f.ownCup ?? offered.perCup) : undefined
  const timed = isTimed(f.relation)
  const unit = product?.unit ?? 'mL'
  const chosenUse = f.use && uses.includes(f.use) ? f.use : (uses[0] ?? '')
  const body: Request | null =
    f.person && f.lot
      ? {
          id,
          personId: f.person,
          lotId: f.lot,
          use: chosenUse || undefined,
          way: chosenWay,
          skin: chosenWay === 'SKIN' && f.skin !== '' ? f.skin : undefined,
          perDose: dose,
          unit,
          timesPerDay: f.times,
          pattern,
          countedIn: f.countedIn ?? proposed.unit,
          perCup,
          ...slopesOf(f, dose),
          courseDays: days,
          timing: timingOf(f, chosenWay),
          startOn: f.start,
          untilBetter: f.untilBetter || undefined,
          followsId: follows,
          acknowledged: reasons.list,
        }
      : null
  const check = useJudged(
    'course',
    body && { ...body, perCup: byTheCup ? f.ownCup : undefined, acknowledged: [] },
    (b, signal) => ask(api.POST('/api/dosing/courses/check', { body: b, signal })),
    ['STOP'],
  )
  const { said: plan, findings, stopped } = check
  if (plan && !check.behind) {
    const now = { dose: plan.proposal.startAt, days: plan.proposal.days, unit: plan.usualUnit }
    if (now.dose !== proposed.dose || now.days !== proposed.days || now.unit !== proposed.unit)
      setProposed(now)
  }
  if (plan && !check.behind && plan !== offer?.plan) setOffer({ of, plan })
  const units = cupsOf(offered?.units ?? [], perCup)
  const counted = units.find((u) => u.unit === (f.countedIn ?? offered?.usualUnit)) ?? units[0]
  const save = useSaved(
    'shelf',
    here,
    () => {
      if (!body) throw new Error('nothing chosen')
      return ask(api.POST('/api/dosing/courses', { body }))
    },
    (c) => navigate(`/dosing/courses/${c.id}`),
  )
  return {
    ...f,
    people,
    today,
    here,
    products,
    underWay,
    product,
    pattern,
    reasons,
    chosenWay,
    dose,
    days,
    offered,
    perCup,
    timed,
    unit,
    uses,
    chosenUse,
    check,
    plan,
    findings,
    stopped,
    units,
    counted,
    save,
    doses,
  }
}
export type NewCourseForm = ReturnType<typeof useNewCourse>
