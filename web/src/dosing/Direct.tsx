import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { LookedAgain } from '../field/LookedAgain'
import { useStands } from '../field/queries'
import { useTaxon } from '../herbarium/queries'
import { usePeople } from '../household/queries'
import { useLots } from '../shelf/queries'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Announce } from '../ui/Announce'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input, NumberInput, Toggle } from '../ui/controls'
import { MANNER, PART, SKIN, STAGE } from '../ui/dictionary'
import { Findings, inBreath } from '../ui/Findings'
import { useHere, useKeptId, useTyped } from '../ui/kept'
import { pageOnly, useMay } from '../ui/may'
import { Empty, Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { number } from '../ui/read'
import { StrikeOut } from '../ui/StrikeOut'
import { date, figure } from '../ui/words'
import { useSaved } from '../ui/useSaved'
import { NoteReaction } from './Reactions'
import { useJudged } from './useJudged'

type Request = Schemas['DirectRequest']
type Manner = Request['manner']
type Stage = NonNullable<Request['picked']>['stage']

const MANNERS = Object.keys(MANNER) as Manner[]
/** Kept of what is down already; whoever means to take it plans a course. */
const isDown = (m: Manner) => m === 'SWALLOWED'
const ON_SKIN: Manner[] = ['CRUSHED', 'COMPRESS', 'POWDER_ON_SKIN']

/** A plant used as it is, out of a stand, a basket or a jar. */
export const DirectUse = pageOnly('record', function DirectUse() {
  const people = usePeople()
  const lots = useLots()
  const stands = useStands()
  return (
    <Loaded query={people}>
      {(p) => (
        <Loaded query={lots}>
          {(l) => <Loaded query={stands}>{(s) => <Form people={p} lots={l} stands={s} />}</Loaded>}
        </Loaded>
      )}
    </Loaded>
  )
})

/** What is at hand: plants that are sure, and herb in the house; of what went down, whatever it was made of. */
const sourcesOf = (stands: Schemas['StandView'][], lots: Schemas['LotView'][], down: boolean) => [
  ...stands
    .filter((s) => !down && s.taxonId && s.certain)
    .map((s) => ({ value: `stand ${s.id}`, label: s.name, hint: `${s.commonName ?? ''}, growing` })),
  ...lots
    .filter((l) => l.herbs.length > 0 && (down || isFit(l)))
    .map((l) => ({
      value: `lot ${l.id}`,
      label: `${l.name} ${l.code}`,
      hint: `${figure(l.remaining)} ${l.unit} in the house`,
    })),
]

/** Herb as it is: not what lies on the rack, is set aside or past its date, nor what is gone. */
const isFit = (l: Schemas['LotView']) =>
  (l.stage === 'STOCK' || l.stage === 'HARVEST') &&
  l.herbs.length === 1 &&
  l.remaining > 0 &&
  l.state === 'USABLE' &&
  !l.expired &&
  !l.racked

/** Which of them somebody came here for. */
function askedFor(search: URLSearchParams) {
  const stand = search.get('stand')
  const lot = search.get('swallowed') ?? search.get('lot')
  return stand ? `stand ${stand}` : lot ? `lot ${lot}` : ''
}

/** A use as it is said, and what is said of it. */
function useDirectForm(
  people: Schemas['PersonView'][],
  lots: Schemas['LotView'][],
  stands: Schemas['StandView'][],
) {
  const navigate = useNavigate()
  const [search] = useSearchParams()
  const here = useHere()
  const id = useKeptId(here)
  const [manner, setManner] = useTyped<Manner>('manner', search.get('swallowed') ? 'SWALLOWED' : 'CRUSHED')
  const down = isDown(manner)
  const sources = sourcesOf(stands, lots, down)
  const asked = askedFor(search)
  const [source, setSource] = useTyped('source', asked || (sources[0]?.value ?? ''))
  const [person, setPerson] = useTyped('person', search.get('person') ?? people[0]?.id ?? '')
  const [skin, setSkin] = useTyped<NonNullable<Request['skin']> | ''>('skin', '')
  const [grams, setGrams] = useTyped('grams', '')
  const [on, setOn] = useTyped('on', isoToday())
  const [forTrial, setForTrial] = useTyped('forTrial', false)
  const [done, setDone] = useTyped('done', false)
  const [words, setWords] = useTyped('words', '')
  const [tells, setTells] = useTyped<string[]>('tells', [])
  const [singly, setSingly] = useTyped('singly', false)
  const [ownStage, setStage] = useTyped<Stage>('stage')
  const [ownPart, setPart] = useTyped<NonNullable<Request['part']>>('part')
  const reasons = useAcknowledged()

  const [kind, of] = source.split(' ')
  const stand = kind === 'stand' ? stands.find((s) => s.id === of) : undefined
  const lot = kind === 'lot' ? lots.find((l) => l.id === of) : undefined
  const inMl = down && lot?.unit === 'mL'
  const taxon = useTaxon(stand?.taxonId ?? lot?.herbs[0]?.taxonId ?? '')
  const parts = taxon.data?.parts ?? []
  const part = ownPart && parts.some((p) => p.part === ownPart) ? ownPart : parts[0]?.part
  const stage = ownStage ?? stand?.identification?.stage ?? 'LEAFY'
  const onSkin = ON_SKIN.includes(manner)
  const body: Request | null =
    person && (stand ? part : lot)
      ? {
          id,
          personId: person,
          standId: stand?.id,
          lotId: lot?.id,
          part: stand ? part : undefined,
          picked: stand ? { stage, tells, examinedSingly: singly } : undefined,
          manner,
          grams: grams.trim() === '' || inMl ? undefined : number(grams),
          ml: grams.trim() === '' || !inMl ? undefined : number(grams),
          skin: onSkin && skin !== '' ? skin : undefined,
          on,
          forTrial,
          done: done || down || undefined,
          words,
          acknowledged: reasons.list,
        }
      : null
  // What is not said yet is not asked about.
  const said = onSkin ? skin !== '' : manner === 'EATEN' ? stand || grams : grams
  const check = useJudged(
    'direct',
    body && said ? { ...body, acknowledged: [] } : null,
    (b, signal) => ask(api.POST('/api/dosing/direct/check', { body: b, signal })),
    ['STOP', 'HOLD'],
  )
  const { findings, stopped } = check
  const save = useSaved(
    'shelf',
    here,
    () => {
      if (!body) throw new Error('nothing chosen')
      return ask(api.POST('/api/dosing/direct', { body }))
    },
    (d) => navigate(`/dosing/direct/${d.id}`),
  )
  return {
    person,
    setPerson,
    people,
    source,
    setSource,
    sources,
    stand,
    parts,
    part,
    setPart,
    manner,
    setManner,
    onSkin,
    skin,
    setSkin,
    inMl,
    grams,
    setGrams,
    on,
    setOn,
    words,
    setWords,
    forTrial,
    setForTrial,
    said,
    findings,
    stopped,
    reasons,
    down,
    done,
    setDone,
    save,
    check,
    body,
    stage,
    setStage,
    taxon,
    tells,
    setTells,
    singly,
    setSingly,
  }
}
type DirectForm = ReturnType<typeof useDirectForm>

function Form({
  people,
  lots,
  stands,
}: {
  people: Schemas['PersonView'][]
  lots: Schemas['LotView'][]
  stands: Schemas['StandView'][]
}) {
  const f = useDirectForm(people, lots, stands)
  const { sources, save, stand, stage, setStage, taxon, part, tells, setTells, singly, setSingly, onSkin } = f
  if (sources.length === 0) {
    return (
      <Page title="Use a plant as it is">
        <Empty>Nothing is confirmed in the field and no herb is in the house.</Empty>
      </Page>
    )
  }
  return (
    <Page title="Use a plant as it is">
      <form
        className="grid gap-4 lg:grid-cols-[20rem_minmax(0,1fr)_22rem]"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate()
        }}
      >
        <Section title="Who, what, how">
          <WhoWhatHow f={f} />
        </Section>
        <div className="space-y-3">
          {stand && (
            <Section title="Looked at again before it was picked">
              <div className="max-w-60">
                <Choose
                  label="Stage of the plant"
                  value={stage}
                  onChange={setStage}
                  choices={(taxon.data?.months ?? []).map((m) => ({ value: m.stage, label: STAGE[m.stage] }))}
                />
              </div>
              {taxon.data && (
                <LookedAgain
                  taxon={taxon.data}
                  part={part ?? ''}
                  stage={stage}
                  tells={tells}
                  onTells={setTells}
                  singly={singly}
                  onSingly={setSingly}
                />
              )}
            </Section>
          )}
          {!onSkin && (taxon.data?.foods.length ?? 0) > 0 && (
            <Section title="Known as food">
              {taxon.data?.foods.map((f) => (
                <p key={f.what}>
                  <strong>{f.what}</strong>. {f.limit}
                </p>
              ))}
            </Section>
          )}
          <SafetyLine />
        </div>
        <div className="space-y-3">
          <Judged f={f} />
        </div>
      </form>
    </Page>
  )
}

/** Who uses what of which plant, and how. */
function WhoWhatHow({ f }: { f: DirectForm }) {
  const {
    person,
    setPerson,
    people,
    source,
    setSource,
    sources,
    stand,
    parts,
    part,
    setPart,
    manner,
    setManner,
    onSkin,
    skin,
    setSkin,
    inMl,
    grams,
    setGrams,
    on,
    setOn,
    words,
    setWords,
    forTrial,
    setForTrial,
  } = f
  return (
    <div className="space-y-3">
      <Choose
        label="Person"
        value={person}
        onChange={setPerson}
        choices={people.map((p) => ({ value: p.id, label: p.name, hint: `${p.ageYears} years` }))}
      />
      <Choose label="Of" value={source} onChange={setSource} choices={sources} />
      {stand && parts.length > 0 && part && (
        <Choose
          label="Part"
          value={part}
          onChange={setPart}
          choices={parts.map((p) => ({ value: p.part, label: PART[p.part] }))}
        />
      )}
      <Choose
        label="How"
        value={manner}
        onChange={setManner}
        choices={MANNERS.map((m) => ({ value: m, label: MANNER[m].name, hint: MANNER[m].hint }))}
      />
      {onSkin && (
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
      <NumberInput
        label="How much"
        hint={stand && (onSkin || manner === 'EATEN') ? 'empty if nobody weighed it' : 'as it is used'}
        unit={inMl ? 'mL' : 'g'}
        value={grams}
        onChange={setGrams}
      />
      <Input label="Day" type="date" max={isoToday()} value={on} onChange={(e) => setOn(e.target.value)} />
      <Input
        label="What for, and where on the body"
        value={words}
        onChange={(e) => setWords(e.target.value)}
      />
      <Toggle
        label={onSkin ? 'The first trial, on a small patch' : 'The first trial, a small bite'}
        checked={forTrial}
        onChange={setForTrial}
      />
    </div>
  )
}

/** What is said of it, and what is asked before it is noted. */
function Judged({ f }: { f: DirectForm }) {
  const { said, onSkin, findings, stopped, reasons, down, done, setDone, save, check, body } = f
  return (
    <>
      {!said && <p>{onSkin ? 'Say how the skin is there.' : 'Say how much.'}</p>}
      <Announce text={inBreath(findings)} />
      <Findings findings={findings} label="Findings on this use" />
      {!stopped && <Acknowledge findings={findings} reasons={reasons} />}
      {stopped && !down && (
        <Toggle
          label="It is on the skin or down already: keep it, so that it counts"
          checked={done}
          onChange={setDone}
        />
      )}
      <ProblemNotice error={save.error ?? check.error} />
      <Button
        kind="main"
        type="submit"
        disabled={!body || check.invalid || (stopped && !done && !down) || save.isPending || !check.said}
      >
        Note the use
      </Button>
      <p className="text-soft text-sm">
        For whole skin or a small clean cut only. A wound that is deep, dirty, bitten, burnt, spreading or
        near an eye belongs to a doctor.
      </p>
    </>
  )
}

/** One use, and how it went. */
export function DirectOne() {
  const { id = '' } = useParams()
  const use = useQuery({
    queryKey: ['direct', id],
    queryFn: () => ask(api.GET('/api/dosing/direct/{id}', { params: { path: { id } } })),
  })
  return <Loaded query={use}>{(u) => <One use={u} />}</Loaded>
}

function One({ use }: { use: Schemas['DirectView'] }) {
  const navigate = useNavigate()
  const may = useMay('record')
  const [bad, setBad] = useState(false)
  const [trialId] = useState(() => v7())
  const asked = useCommand('dosing', {
    mutationFn: async (well: boolean) => {
      if (well && use.forTrial) {
        await ask(
          api.POST('/api/dosing/trials', {
            body: {
              id: trialId,
              personId: use.personId,
              taxonId: use.taxonId,
              way: use.skin ? 'SKIN' : 'MOUTH',
              on: use.on,
              reaction: 'nothing noticed',
              well: true,
            },
          }),
        )
      }
      await ask(api.POST('/api/dosing/direct/{id}/asked', { params: { path: { id: use.id } } }))
    },
  })
  return (
    <Page
      title={`${use.person}: ${use.commonName}, ${MANNER[use.manner].name}`}
      actions={<ButtonLink to="/dosing/direct/new">Another use</ButtonLink>}
    >
      <p className="mb-3">
        {date(use.on)}, {PART[use.part]}
        {use.grams != null && `, ${figure(use.grams)} g`}
        {use.ml != null && `, ${figure(use.ml)} mL`}
        {use.skin && `, on skin that ${SKIN[use.skin].name}`}
        {use.forTrial && ', a first trial'}
        {use.words && `: ${use.words}`}. Noted by {use.notedBy}.{' '}
        <StrikeOut
          what={`this use of ${use.commonName}`}
          onStrike={async (because) => {
            await ask(
              api.POST('/api/dosing/direct/{id}/strike', {
                params: { path: { id: use.id } },
                body: because,
              }),
            )
            await navigate('/dosing')
          }}
        />
      </p>
      {may && use.askedOn == null && (
        <Section title="How did it go?">
          {bad ? (
            <NoteReaction
              person={{ id: use.personId, name: use.person }}
              taxa={[use.taxonId]}
              onNoted={() => asked.mutate(false)}
            />
          ) : (
            <div className="flex flex-wrap gap-2">
              <Button kind="main" onClick={() => asked.mutate(true)} disabled={asked.isPending}>
                Nothing was noticed
              </Button>
              <Button onClick={() => setBad(true)}>Something was noticed</Button>
            </div>
          )}
          {use.askOn && (
            <p className="text-soft mt-1 text-sm">Today asks for it on {date(use.askOn)}; a day is little.</p>
          )}
          <ProblemNotice error={asked.error} />
        </Section>
      )}
      {use.askedOn != null && <p>Asked after on {date(use.askedOn)}.</p>}
      <Past
        title="Plants used as they were"
        name="direct"
        open
        load={(page) => ask(api.GET('/api/dosing/direct', { params: { query: { page } } }))}
        to={(id) => `/dosing/direct/${id}`}
      />
    </Page>
  )
}
