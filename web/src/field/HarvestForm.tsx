import { number } from '../ui/read'
import { isoToday } from '../ui/clock'
import { useNavigate, useParams } from 'react-router'
import { api, ask, type Schemas, errorAt } from '../api/client'
import { waits } from '../api/outbox'
import { useTaxon } from '../herbarium/queries'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input, NumberInput, Slider, Toggle } from '../ui/controls'
import { Announce } from '../ui/Announce'
import { Findings, inBreath } from '../ui/Findings'
import { Figure, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { Steps } from '../ui/Steps'
import { useCarry } from '../ui/useCarry'
import { useLive } from '../ui/useLive'
import { HAZARD, PART, SEX, STAGE } from '../ui/dictionary'
import { forget, useFormOfNotebook, useKept, useKeptId } from '../ui/kept'
import { figure } from '../ui/words'
import { harvest } from './commands'
import { LookedAgain } from './LookedAgain'
import { useContacts } from './Contacts'
import { useStand } from './queries'
import { useTags } from './Tags'
import { pageOnly } from '../ui/may'

type Request = Schemas['HarvestRequest']

export const HarvestForm = pageOnly('record', function HarvestForm() {
  const { id = '' } = useParams()
  const stand = useStand(id)
  return (
    <Loaded query={stand}>
      {(s) => (s.taxonId ? <WithCard stand={s} taxonId={s.taxonId} /> : <NobodyKnows stand={s} />)}
    </Loaded>
  )
})

/** The same that the server would say, without a form that nothing could save. */
function NobodyKnows({ stand }: { stand: Schemas['StandView'] }) {
  return (
    <Page
      title={`Harvest at ${stand.name}`}
      actions={
        <ButtonLink kind="main" to={`/field/stands/${stand.id}/identify`}>
          Identify
        </ButtonLink>
      }
    >
      <p className="border-madder bg-madder-pale max-w-2xl border-l-8 px-3 py-2 text-lg">
        Nobody knows what this plant is. Nothing may be picked of it; look again when it can be told.
      </p>
    </Page>
  )
}

function WithCard({ stand, taxonId }: { stand: Schemas['StandView']; taxonId: string }) {
  const taxon = useTaxon(taxonId)
  return <Loaded query={taxon}>{(t) => <HarvestPage stand={stand} taxon={t} />}</Loaded>
}

/** The day so many days later; nonsense is sent as it is and refused at its field. */
function daysAfter(day: string, days: number) {
  const at = new Date(`${day}T00:00:00Z`)
  at.setUTCDate(at.getUTCDate() + days)
  return Number.isNaN(at.getTime()) ? undefined : at.toISOString().slice(0, 10)
}

/** What the hands need, and what the plant does to hands, animals and lungs. */
function TakeAlong({ taxon, tools }: { taxon: Schemas['TaxonView']; tools: string }) {
  const hazards = taxon.hazards.filter((h) => h.kind !== 'SWALLOWED')
  const contacts = useContacts(taxon.id)
  if (!tools && hazards.length === 0 && !taxon.washing) return null
  return (
    <div className="border-amber bg-amber-pale border-l-4 px-3 py-1 text-sm">
      {tools && <p>Take along: {tools}.</p>}
      {hazards.map((h) => (
        <p key={h.kind}>
          <strong>{HAZARD[h.kind]}</strong>: {h.words}
        </p>
      ))}
      {taxon.washing && <p>Washing: {taxon.washing}</p>}
      <Findings findings={contacts.data?.findings ?? []} label="Contacts" />
    </div>
  )
}

/** A share as the slider has it, never more than it is. */
const percentOf = (share: number | undefined) => Math.max(1, Math.floor((share ?? 0.01) * 100 + 1e-9))

/** How much of each plant and of how many: until somebody says otherwise what the card lets be taken of the part. */
function useShares(form: string, allowed: Schemas['PartView'] | undefined) {
  const [ownPerPlant, setPerPlant] = useKept<number | null>(form, 'perPlant', null)
  const [ownOfPlants, setOfPlants] = useKept<number | null>(form, 'ofPlants', null)
  const perPlant = ownPerPlant ?? percentOf(allowed?.sharePerPlant)
  const ofPlants = ownOfPlants ?? percentOf(allowed?.shareOfStand)
  // Of the stand's part: of so many plants so much of each.
  return { perPlant, setPerPlant, ofPlants, setOfPlants, share: (perPlant * ofPlants) / 100 }
}

/** A harvest as it is said, and what is said of it. */
function useHarvestForm({ stand, taxon }: { stand: Schemas['StandView']; taxon: Schemas['TaxonView'] }) {
  const navigate = useNavigate()
  const today = isoToday()
  const parts: Request['part'][] = taxon.parts.length > 0 ? taxon.parts.map((p) => p.part) : ['HERB']
  // What was looked at again yesterday was not looked at today; out of the notebook it comes back as of its own day.
  const form = useFormOfNotebook() ?? `harvest ${stand.id} ${today}`
  const id = useKeptId(form)
  const [part, setPart] = useKept<Request['part']>(form, 'part', parts[0] ?? 'HERB')
  const [stage, setStage] = useKept<Request['stage']>(form, 'stage', taxon.parts[0]?.stages[0] ?? 'FLOWERING')
  const [tag, setTag] = useKept(form, 'tag', '')
  const tags = useTags(stand.id)
  const [on, setOn] = useKept(form, 'on', today)
  const [mass, setMass] = useKept(form, 'mass', '')
  const [unweighed, setUnweighed] = useKept(form, 'unweighed', false)
  const [measured, setMeasured] = useKept(form, 'measured', '')
  const { perPlant, setPerPlant, ofPlants, setOfPlants, share } = useShares(
    form,
    taxon.parts.find((p) => p.part === part),
  )
  const [sex, setSex] = useKept<NonNullable<Request['sex']> | ''>(form, 'sex', '')
  const [weather, setWeather] = useKept(form, 'weather', '')
  const [left, setLeft] = useKept(form, 'left', '')
  const [days, setDays] = useKept(form, 'days', '')
  const [tells, setTells] = useKept<string[]>(form, 'tells', [])
  const [singly, setSingly] = useKept(form, 'singly', false)
  const reasons = useAcknowledged()

  const body: Request = {
    id,
    part,
    stage,
    on,
    ...(unweighed ? { measuredAs: measured } : { massG: number(mass) }),
    shareTaken: share / 100,
    perPlant: perPlant / 100,
    ...(sex ? { sex } : {}),
    weather,
    tells,
    examinedSingly: singly,
    ...(tag ? { tagId: tag } : {}),
    ...(left ? { leftStanding: left } : {}),
    ...(days ? { returnOn: daysAfter(on, number(days)) } : {}),
    acknowledged: reasons.list,
  }
  const massOk = unweighed ? measured.trim() !== '' : number(mass) > 0
  // What is picked is gated before it is weighed: the gates ask how much of the stand, not how heavy.
  const check = useLive(
    'harvest',
    { ...body, massG: undefined, measuredAs: 'not yet', acknowledged: [] },
    (b, signal) =>
      ask(
        api.POST('/api/field/stands/{id}/harvests/check', {
          params: { path: { id: stand.id } },
          body: b,
          signal,
        }),
      ),
  )
  const done = (to: string) => async () => {
    forget(form)
    await navigate(to)
  }
  const save = useCarry(harvest, { onSent: done('/drying'), onKept: done('/field/notebook') })
  const noLine = waits(check.error)
  const at = (field: string) => errorAt(save.error, field)
  const used = taxon.parts.find((p) => p.part === part)
  const findings = check.data?.findings ?? []
  const stopped = findings.some((f) => f.severity === 'STOP')
  return {
    part,
    setPart,
    setStage,
    taxon,
    stage,
    parts,
    used,
    check,
    tags,
    tag,
    setTag,
    unweighed,
    measured,
    setMeasured,
    at,
    mass,
    setMass,
    setUnweighed,
    perPlant,
    setPerPlant,
    ofPlants,
    setOfPlants,
    sex,
    setSex,
    today,
    on,
    setOn,
    left,
    setLeft,
    days,
    setDays,
    weather,
    setWeather,
    share,
    noLine,
    findings,
    reasons,
    save,
    stopped,
    massOk,
    stand,
    body,
    form,
    id,
    tells,
    singly,
    setTells,
    setSingly,
  }
}
type HarvestState = ReturnType<typeof useHarvestForm>

function HarvestPage({ stand, taxon }: { stand: Schemas['StandView']; taxon: Schemas['TaxonView'] }) {
  const f = useHarvestForm({ stand, taxon })
  const {
    save,
    body,
    unweighed,
    measured,
    mass,
    part,
    form,
    id,
    stage,
    tag,
    on,
    perPlant,
    ofPlants,
    sex,
    weather,
    left,
    days,
    tells,
    singly,
    setTells,
    setSingly,
  } = f

  return (
    <Page title={`Harvest: ${stand.name}`}>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate({
            variables: { standId: stand.id, body },
            words: `${unweighed ? measured : `${mass} g`} of ${stand.commonName}, ${PART[part]}, at ${stand.name}`,
            back: {
              path: `/field/stands/${stand.id}/harvest`,
              form,
              fields: {
                id,
                part,
                stage,
                tag,
                on,
                mass,
                unweighed,
                measured,
                perPlant,
                ofPlants,
                sex,
                weather,
                left,
                days,
                tells,
                singly,
              },
            },
          })
        }}
      >
        <Steps names={['what you take', 'how much', 'look again', 'record it']}>
          <Section title="What you take">
            <WhatIsTaken f={f} />
          </Section>
          <Section title="How much">
            <HowMuch f={f} />
          </Section>
          <Section title="Looked at again today">
            <LookedAgain
              taxon={taxon}
              part={part}
              stage={stage}
              tells={tells}
              onTells={setTells}
              singly={singly}
              onSingly={setSingly}
            />
          </Section>
          <Verdict f={f} />
        </Steps>
      </form>
    </Page>
  )
}

/** Which part of which plants, and what the card says of it. */
function WhatIsTaken({ f }: { f: HarvestState }) {
  const { part, setPart, setStage, taxon, stage, parts, used, check, tags, tag, setTag } = f
  return (
    <div className="space-y-3">
      <Choose
        label="Part"
        value={part}
        onChange={(p) => {
          setPart(p)
          setStage(taxon.parts.find((x) => x.part === p)?.stages[0] ?? stage)
        }}
        choices={parts.map((p) => ({ value: p, label: PART[p] }))}
      />
      {used && (
        <p className="text-soft text-sm">
          {used.moment}. {used.method}
        </p>
      )}
      <TakeAlong taxon={taxon} tools={used?.tools ?? ''} />
      {check.data?.advice.map((line) => (
        <p key={line} className="text-sm font-medium">
          {line}
        </p>
      ))}
      <Choose
        label="Stage of the plant"
        value={stage}
        onChange={setStage}
        choices={taxon.months.map((m) => ({ value: m.stage, label: STAGE[m.stage] }))}
      />
      {(tags.data ?? []).length > 0 && (
        <Choose
          label="Which plants"
          value={tag}
          onChange={setTag}
          choices={[
            { value: '', label: 'of the stand' },
            ...(tags.data ?? []).map((t) => ({
              value: t.id,
              label: `tagged ${t.stake}`,
              hint: t.place,
            })),
          ]}
        />
      )}
    </div>
  )
}

/** How much of the stand, by weight or by eye, and what is left. */
function HowMuch({ f }: { f: HarvestState }) {
  const {
    unweighed,
    measured,
    setMeasured,
    at,
    mass,
    setMass,
    setUnweighed,
    perPlant,
    setPerPlant,
    ofPlants,
    setOfPlants,
    taxon,
    sex,
    setSex,
    today,
    on,
    setOn,
    left,
    setLeft,
    days,
    setDays,
    weather,
    setWeather,
  } = f
  return (
    <div className="space-y-3">
      {unweighed ? (
        <Input
          label="How much, by eye"
          hint="two bags, six handfuls, a bundle"
          value={measured}
          onChange={(e) => setMeasured(e.target.value)}
          error={at('measuredAs')}
        />
      ) : (
        <NumberInput label="Weight" unit="g" value={mass} onChange={setMass} error={at('massG')} />
      )}
      <Toggle label="Weighed at home" checked={unweighed} onChange={setUnweighed} />
      <Slider
        label="Taken of each plant"
        unit="%"
        value={perPlant}
        min={5}
        max={100}
        step={5}
        onChange={setPerPlant}
      />
      <Slider
        label="Of the plants"
        unit="%"
        value={ofPlants}
        min={1}
        max={100}
        step={1}
        onChange={setOfPlants}
      />
      {taxon.sexes && (
        <Choose
          label="Which plants they were"
          value={sex}
          onChange={setSex}
          choices={[
            { value: '', label: 'not looked at' },
            ...(['FEMALE', 'MALE', 'BOTH'] as const).map((s) => ({ value: s, label: SEX[s] })),
          ]}
        />
      )}
      <Input
        label="Day"
        type="date"
        max={today}
        value={on}
        onChange={(e) => setOn(e.target.value)}
        error={at('on')}
      />
      <Input
        label="What you leave, and why"
        value={left}
        onChange={(e) => setLeft(e.target.value)}
        hint="flowers for insects, seed shaken out"
        error={at('leftStanding')}
      />
      <NumberInput
        label="Come back for the rest in"
        unit="days"
        value={days}
        onChange={setDays}
        error={at('returnOn')}
      />
      <Input
        label="Weather"
        value={weather}
        onChange={(e) => setWeather(e.target.value)}
        hint="dry, dew, wind, sun"
        error={at('weather')}
      />
    </div>
  )
}

/** What the stand bears, and what is said of this harvest. */
function Verdict({ f }: { f: HarvestState }) {
  const { check, share, noLine, findings, reasons, save, stopped, massOk } = f
  return (
    <div className="space-y-4">
      <Section title="The stand">
        {check.data && (
          <dl className="grid grid-cols-2 gap-3">
            <Figure label="Its share for this part" value={figure(check.data.quota * 100)} unit="%" />
            <Figure
              label="With this harvest"
              value={figure(check.data.sharePicked * 100 + share)}
              unit="%"
              note={`taken this year; this time ${figure(share)} %`}
            />
          </dl>
        )}
      </Section>
      {noLine && (
        <p className="border-amber bg-amber-pale border-l-8 px-3 py-2">
          There is no line: nothing has looked at this harvest yet. It is kept on the device and held against
          the rules when the line is back; use nothing of it until then.
        </p>
      )}
      <Announce text={inBreath(findings)} />
      <Findings findings={findings} label="Harvest findings" />
      <Acknowledge findings={findings} reasons={reasons} />
      <ProblemNotice error={save.error} />
      <Button kind="main" type="submit" disabled={save.isPending || stopped || !massOk}>
        {noLine ? 'Keep the harvest' : 'Record the harvest'}
      </Button>
      {stopped && <p className="text-madder font-medium">Refused until the STOP above is resolved.</p>}
    </div>
  )
}
