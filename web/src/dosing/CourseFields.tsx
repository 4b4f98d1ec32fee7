import { Choose } from '../ui/Choose'
import { Input, NumberInput, Slider, Toggle } from '../ui/controls'
import { LOT_STATE, RELATION, SKIN, WAY } from '../ui/dictionary'
import { figure } from '../ui/words'
import { DoseAmount } from './DoseAmount'
import { PatternFields, timesOf } from './patterns'
import { Slope } from './Slope'
import { isJarForTea, type NewCourseForm, type Relation } from './useNewCourse'

// A bottle, a flask or a tin is no incense.
const WAYS = (Object.keys(WAY) as NewCourseForm['chosenWay'][]).filter((w) => w !== 'INCENSE')

const RELATIONS: Relation[] = ['BEFORE_MEAL', 'WITH_MEAL', 'AFTER_MEAL', 'BEDTIME', 'ANY']

/** Who takes what of which bottle, for what and how. */
export function Who({ f }: { f: NewCourseForm }) {
  const { product } = f
  return (
    <>
      <Choose
        label="Person"
        value={f.person}
        onChange={f.setPerson}
        choices={f.people.map((p) => ({ value: p.id, label: p.name, hint: `${p.ageYears} years` }))}
      />
      <Choose
        label="Out of"
        value={f.lot}
        onChange={f.setLot}
        choices={f.products.map((l) => ({
          value: l.id,
          label: `${l.name} ${l.code}`,
          hint: `${isJarForTea(l) ? 'for tea, ' : ''}${figure(l.remaining)} ${l.unit} left, ${LOT_STATE[l.state]}`,
        }))}
      />
      {f.underWay.length > 0 && (
        <p className="text-soft text-sm">
          Not usable yet: {f.underWay.map((l) => `${l.name} ${l.code}`).join(', ')}; press or fill it first.
        </p>
      )}
      <Choose
        label="For"
        value={f.chosenUse}
        onChange={f.setUse}
        choices={f.uses.map((u) => ({ value: u, label: u }))}
      />
      <Choose
        label="How"
        value={f.chosenWay}
        onChange={f.setWay}
        choices={(product && isJarForTea(product) ? (['MOUTH'] as const) : WAYS).map((w) => ({
          value: w,
          label: WAY[w],
        }))}
      />
      {f.chosenWay === 'SKIN' && (
        <Choose
          label="The skin there"
          value={f.skin}
          onChange={f.setSkin}
          choices={(Object.keys(SKIN) as (keyof typeof SKIN)[]).map((k) => ({
            value: k,
            label: SKIN[k].name,
            ...(SKIN[k].hint ? { hint: SKIN[k].hint } : {}),
          }))}
        />
      )}
    </>
  )
}

/** One dose, in the words it is counted out in. */
export function HowMuch({ f }: { f: NewCourseForm }) {
  const { plan, product } = f
  return (
    <>
      {f.perCup != null && (
        <Slider
          label="Herb to a cup"
          unit="g"
          value={f.perCup}
          min={0.5}
          max={10}
          step={0.5}
          onChange={f.setCup}
        />
      )}
      <DoseAmount
        unit={f.unit}
        units={f.units}
        countedIn={f.countedIn ?? f.offered?.usualUnit}
        onUnit={f.setCountedIn}
        value={f.dose}
        most={Math.max(product?.vessel === 'FLASK' ? 250 : 20, Math.ceil(f.dose))}
        onChange={f.setDose}
      />
      {plan?.stands && <p className="font-medium">{plan.stands}</p>}
      {plan && (
        <p className="text-soft text-sm">
          {plan.proposal.words}{' '}
          {plan.proposal.perDose != null && (
            <button
              type="button"
              className="text-ink min-h-6 font-semibold underline"
              onClick={() => f.setDose(plan.proposal.perDose ?? f.dose)}
            >
              Take {plan.proposal.counted} each time
            </button>
          )}
        </p>
      )}
    </>
  )
}

/** How often, in which rhythm, for how long, and how it begins and ends. */
export function HowLong({ f }: { f: NewCourseForm }) {
  return (
    <>
      {timesOf(f.pattern) !== null && (
        <Slider
          label={timesOf(f.pattern) ?? ''}
          unit=""
          value={f.times}
          min={1}
          max={6}
          step={1}
          onChange={f.setTimes}
        />
      )}
      <Slider
        label="Lasts"
        unit={f.days === 1 ? 'day' : 'days'}
        value={f.days}
        min={1}
        max={60}
        step={1}
        onChange={f.setDays}
      />
      <Toggle
        label="Only until it is better; that long at most"
        checked={f.untilBetter}
        onChange={f.setUntilBetter}
      />
      <PatternFields value={f.pattern} onChange={f.setPattern} />
      <Slope
        label="Build up over the first"
        days={f.rampDays}
        longest={f.days}
        onDays={f.setRampDays}
        amountLabel="Beginning with"
        amount={f.rampFrom ?? f.dose / 2}
        onAmount={f.setRampFrom}
        dose={f.dose}
        counted={f.counted}
      />
      <Slope
        label="Taper off over the last"
        days={f.taperDays}
        longest={f.days}
        onDays={f.setTaperDays}
        amountLabel="Ending with"
        amount={f.taperTo ?? f.dose / 2}
        onAmount={f.setTaperTo}
        dose={f.dose}
        counted={f.counted}
      />
    </>
  )
}

/** At which time of the day, and from when. */
export function When({ f }: { f: NewCourseForm }) {
  return (
    <>
      <Choose
        label="When"
        value={f.relation}
        onChange={f.setRelation}
        choices={RELATIONS.map((r) => ({ value: r, label: RELATION[r] }))}
      />
      {f.timed && (
        <div className="grid grid-cols-2 items-start gap-3">
          <NumberInput
            label={`Minutes ${RELATION[f.relation]}`}
            hint="empty where it does not matter"
            unit="min"
            value={f.minutes}
            onChange={f.setMinutes}
          />
          <NumberInput
            label="to, at most"
            hint="empty for no range"
            unit="min"
            value={f.minutesTo}
            onChange={f.setMinutesTo}
          />
        </div>
      )}
      {f.chosenWay === 'MOUTH' && (
        <NumberInput
          label="Drunk over"
          hint="sipped slowly; leave it empty for at once"
          unit="min"
          value={f.over}
          onChange={f.setOver}
        />
      )}
      <Input
        label="From"
        type="date"
        value={f.start}
        onChange={(e) => f.setStart(e.target.value || f.today)}
      />
    </>
  )
}
