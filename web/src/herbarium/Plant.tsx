import { listOf } from '../ui/read'
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react'
import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { lazy, Suspense, useState } from 'react'
import { Link, useParams } from 'react-router'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { usePeople } from '../household/queries'
import { Choose } from '../ui/Choose'
import { OnPaper } from '../ui/Sheet'
import { Button, ButtonLink } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { Empty, Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { tray } from '../ui/tray'
import {
  BESIDE,
  NEARNESS,
  CONSTITUENT,
  FREQUENCY,
  HAZARD,
  LOOKING,
  ORIGIN,
  PART,
  POTENCY,
  ROUTE,
  STAGE,
  about,
  type Stage,
} from '../ui/dictionary'
import { capital } from '../ui/words'
import { PlantDrawing, usualStates } from './drawing'
import { Edit, Editing } from './Edit'
import { PartOfPlant } from './PartOfPlant'
import { useCard, useChecks, useTaxon } from './queries'
import { Citing, Sourced, Sources } from './Sourced'
import { Year } from './Year'
import { Only } from '../ui/may'
import { Notes } from '../notes/Notes'

const OwnPlant = lazy(async () => ({ default: (await import('./own/OwnPlant')).OwnPlant }))

type TaxonView = Schemas['TaxonView']
type Check = Schemas['CheckView']

export function Plant() {
  const { id = '' } = useParams()
  const taxon = useTaxon(id)
  const checks = useChecks(id)
  return <Loaded query={taxon}>{(t) => <Card key={t.id} t={t} checks={checks.data ?? []} />}</Loaded>
}

function Card({ t, checks }: { t: TaxonView; checks: Check[] }) {
  const telling =
    t.months.find((m) => m.stage === 'FLOWERING') ??
    [...t.months].sort((a, b) => count(t, b.stage) - count(t, a.stage))[0]
  const [stage, setStage] = useState(telling?.stage ?? 'LEAFY')
  const [editing, setEditing] = useState(false)
  const name = t.commonNames[0] ?? t.name
  return (
    <Editing.Provider value={editing}>
      <Citing taxon={t}>
        <Page
          title={name}
          actions={
            <>
              <ButtonLink to={`/herbarium/${t.id}/compare`}>Compare</ButtonLink>
              <ButtonLink to={`/herbarium/${t.id}/when`}>When can I be sure?</ButtonLink>
              <Button onClick={() => window.print()}>Print for the wall</Button>
              <OnPaper href={`/api/herbarium/taxa/${t.id}/wall.pdf`}>Wall card (PDF)</OnPaper>
              <Button onClick={() => tray.put({ kind: 'plant', id: t.id, label: name })}>Carry along</Button>
              <Only deed="keep">
                <Button aria-pressed={editing} onClick={() => setEditing(!editing)}>
                  {editing ? 'Done changing' : 'Change this card'}
                </Button>
              </Only>
            </>
          }
        >
          <Names t={t} />
          {t.draft && (
            <p className="border-amber bg-amber-pale mb-3 border-l-8 px-3 py-2" role="note">
              <strong>DRAFT.</strong> It can be identified, not gathered.{' '}
              {t.missing.length > 0 && <>Still wanting: {t.missing.join('; ')}.</>}
            </p>
          )}
          {editing && <OwnVersion t={t} />}
          {editing && <OwnPlantOf t={t} />}
          <div className="grid gap-3 lg:grid-cols-[17rem_minmax(0,1fr)_minmax(0,1fr)] print:grid-cols-2">
            <div className="space-y-3">
              <Section>
                <PlantDrawing
                  characters={usualStates(t.characters, stage)}
                  stage={stage}
                  label={`Drawing of ${name}, ${STAGE[stage]}, from its characters`}
                />
                <Year taxon={t} stage={stage} onStage={setStage} />
              </Section>
              <Place t={t} />
              <div className="print:hidden">
                <Notes of={{ about: 'PLANT', id: t.id, name }} />
              </div>
            </div>
            <div className="space-y-3">
              <ForWhomNot t={t} checks={checks} />
              <LookAlikes t={t} />
            </div>
            <div className="space-y-3">
              <Parts t={t} checks={checks} />
              <History t={t} />
              <InsteadOf t={t} />
            </div>
          </div>
          <div className="mt-3 space-y-3">
            <CharactersAt t={t} stage={stage} checks={checks} />
            <Sources checks={checks} />
          </div>
          <div className="mt-4">
            <SafetyLine />
          </div>
        </Page>
      </Citing>
    </Editing.Provider>
  )
}

const count = (t: TaxonView, stage: string) =>
  t.characters.filter((c) => c.stages.some((s) => s === stage)).length

function Names({ t }: { t: TaxonView }) {
  return (
    <div className="mb-3">
      <p>
        <span className="font-plant text-lg italic">{t.name}</span> {t.author} · {t.family} · {t.lifeForm},{' '}
        {ORIGIN[t.origin]} · <Danger level={t.danger} takenFor={t.takenFor} />
      </p>
      <p className="text-soft text-sm">
        <Edit
          taxon={t.id}
          label="common names"
          kind="list"
          value={t.commonNames.join(', ')}
          change={(c, v) => ({
            ...c,
            commonNames: listOf(v),
            ambiguousNames: (c.ambiguousNames ?? []).filter((n) => listOf(v).includes(n)),
          })}
        >
          {t.commonNames.join(', ')}
        </Edit>
        {t.ambiguousNames.length > 0 && (
          <>
            {' '}
            · <strong>{t.ambiguousNames.join(', ')}</strong> is said of other plants too
          </>
        )}
        {t.olderNames.length > 0 && <> · in older books {t.olderNames.join(', ')}</>}
        {t.genusEnough && <> · knowing the genus is enough</>}
        {t.halfParasite && <> · a half-parasite: look what it grows on</>}
      </p>
    </div>
  )
}

function Place({ t }: { t: TaxonView }) {
  return (
    <Section title="Where, and what it does to you">
      <p className="text-sm">
        <Edit taxon={t.id} label="habitat" value={t.habitat} change={(c, habitat) => ({ ...c, habitat })}>
          {t.habitat}
        </Edit>
      </p>
      <p className="text-soft text-sm">{t.protection}</p>
      {t.origin === 'INVASIVE' && (
        <p className="text-sm font-medium">Invasive: take all of it, and leave nothing that can regrow.</p>
      )}
      {t.sexes && <p className="text-sm">{t.sexes}</p>}
      <ul className="mt-1">
        {t.hazards.map((h) => (
          <li key={h.kind} className="text-sm">
            <strong className="text-amber">{HAZARD[h.kind]}:</strong> {h.words}
          </li>
        ))}
      </ul>
      {t.washing && (
        <p className="mt-1 text-sm">
          <strong>Washing it off:</strong> {t.washing}
        </p>
      )}
      {t.winterTells && (
        <p className="mt-1 text-sm">
          <strong>In winter:</strong> {t.winterTells}
        </p>
      )}
    </Section>
  )
}

function LookAlikes({ t }: { t: TaxonView }) {
  return (
    <Section title="Look-alikes">
      {t.lookAlikes.length === 0 && (
        <Empty>
          No card here names one. That is not the same as none: look into a flora of your region too.
        </Empty>
      )}
      {!t.lookAlikesChecked && <p className="text-amber text-sm font-medium">The list is not checked.</p>}
      {t.lookAlikes.map((l) => (
        <div key={l.taxon} className="mb-2">
          <p className="font-medium">
            <Link className="underline" to={`/herbarium/${t.id}/compare?with=${l.taxon}`}>
              {l.commonName}
            </Link>{' '}
            <Danger level={l.danger} />
          </p>
          <p>{l.tells}</p>
          <p className="text-soft text-sm">
            {l.tellable.length > 0
              ? `Can be told when ${l.tellable.map((s) => STAGE[s]).join(', ')}.`
              : 'Six characters never tell them apart; look for the decisive ones.'}
          </p>
        </div>
      ))}
    </Section>
  )
}

/** What a source says of one part, beside that part; figures that are used for gathering and for dosing. */
function Parts({ t, checks }: { t: TaxonView; checks: Check[] }) {
  if (t.parts.length === 0) {
    return (
      <Section title="Parts and doses">
        <Empty>Nothing of it is gathered.</Empty>
        <Holds t={t} />
      </Section>
    )
  }
  const elsewhere = t.uses.filter((u) => !t.parts.some((p) => u.parts.includes(p.part)))
  return (
    <Section title="Parts and doses">
      {t.actions.length > 0 && <p className="mb-1">{capital(t.actions.join(', '))}</p>}
      <TabGroup>
        <TabList className="border-line mb-2 flex flex-wrap gap-x-1 border-b-2 print:hidden">
          {t.parts.map((p) => (
            <Tab
              key={p.part}
              className="data-[selected]:border-water data-[selected]:bg-water-pale min-h-11 border-b-4 border-transparent px-3 font-semibold"
            >
              {capital(PART[p.part])}
            </Tab>
          ))}
        </TabList>
        <TabPanels>
          {t.parts.map((p) => (
            <TabPanel key={p.part} unmount={false} className="print:block!">
              <UsesOf t={t} uses={t.uses.filter((u) => u.parts.includes(p.part))} checks={checks} />
              <PartOfPlant t={t} p={p} checks={checks} />
            </TabPanel>
          ))}
        </TabPanels>
      </TabGroup>
      <UsesOf t={t} uses={elsewhere} checks={checks} />
      {t.foods.map((f) => (
        <p key={f.what} className="mt-1">
          <strong>As food:</strong> {f.what}. {f.limit}
        </p>
      ))}
      <Holds t={t} />
    </Section>
  )
}

function Holds({ t }: { t: TaxonView }) {
  return t.constituents.length === 0 ? null : (
    <p className="text-soft mt-1 text-sm">holds {t.constituents.map((c) => CONSTITUENT[c]).join(', ')}</p>
  )
}

function UsesOf({ t, uses, checks }: { t: TaxonView; uses: TaxonView['uses']; checks: Check[] }) {
  return (
    <ul className="mb-1 space-y-1">
      {uses.map((u) => (
        <li key={u.name + u.source.figure}>
          {u.grave ? (
            <strong className="text-madder">
              Claimed for {u.name}: a grave illness. No dose, no course; see a doctor.
            </strong>
          ) : (
            <strong>
              {capital(u.name)} ({ROUTE[u.route]}, {POTENCY[u.potency]})
            </strong>
          )}{' '}
          <Sourced source={u.source} taxon={t.id} checks={checks} />
        </li>
      ))}
    </ul>
  )
}

const KINDS = [
  { severity: 'STOP', title: 'Not for', tone: 'border-madder' },
  { severity: 'HOLD', title: 'Not before somebody has asked', tone: 'border-amber' },
  { severity: 'WARN', title: 'With care', tone: 'border-amber' },
  { severity: 'NOTE', title: 'To know', tone: 'border-line' },
] as const

/** Whom it is not for stands before what it is for. */
function ForWhomNot({ t, checks }: { t: TaxonView; checks: Check[] }) {
  const none = t.cautions.filter((c) => c.status === 'NONE_FOUND')
  const unknown = t.cautions.filter((c) => c.status === 'UNKNOWN')
  const row = (c: TaxonView['cautions'][number], effect: boolean) => (
    <li key={c.subject + c.value}>
      <strong>{about(c)}</strong>
      {effect && c.effect && `: ${c.effect}`}. <Sourced source={c.source} taxon={t.id} checks={checks} />
    </li>
  )
  return (
    <Section title="For whom it is not">
      {KINDS.map((k) => {
        const of = t.cautions.filter((c) => c.status === 'PRESENT' && c.severity === k.severity)
        return of.length === 0 ? null : (
          <div key={k.severity} className={`mb-2 border-l-8 pl-3 ${k.tone}`}>
            <h3 className="font-semibold">{k.title}</h3>
            <ul className="space-y-1">{of.map((c) => row(c, true))}</ul>
          </div>
        )
      })}
      {none.length > 0 && (
        <div className="border-lichen mb-2 border-l-8 pl-3">
          <h3 className="font-semibold">None found when checked</h3>
          <ul className="space-y-1">{none.map((c) => row(c, true))}</ul>
        </div>
      )}
      {unknown.length > 0 && (
        <div className="border-line mb-2 border-l-8 pl-3">
          <h3 className="font-semibold">Unknown</h3>
          <ul className="space-y-1">{unknown.map((c) => row(c, false))}</ul>
        </div>
      )}
      <p className="text-soft text-sm">
        What is not listed here has not been checked: unknown, not safe. What it does implies more; each
        course says so.
      </p>
    </Section>
  )
}

/** What the people of this house bore of it. */
function History({ t }: { t: TaxonView }) {
  const reactions = useQuery({
    queryKey: ['reactions', 'plant', t.id],
    queryFn: () =>
      ask(api.GET('/api/dosing/plants/{taxon}/reactions', { params: { path: { taxon: t.id } } })),
  })
  if (!reactions.data || reactions.data.length === 0) return null
  return (
    <Section title="Not borne by">
      <ul>
        {reactions.data.map((r) => (
          <li key={r.id} className="border-line border-b py-1">
            <Link className="underline" to={`/dosing/people/${r.personId}`}>
              {r.person}
            </Link>
            : <strong>{r.said}</strong>
            {r.words && ` “${r.words}”`}
          </li>
        ))}
      </ul>
    </Section>
  )
}

/** Gentler, stronger, in the house or near: other plants for the same. */
function InsteadOf({ t }: { t: TaxonView }) {
  const [person, setPerson] = useState('')
  const people = usePeople()
  const instead = useQuery({
    queryKey: ['instead', t.id, person],
    queryFn: () =>
      ask(
        api.GET('/api/planning/needs/instead', {
          params: { query: { taxon: t.id, ...(person ? { person } : {}) } },
        }),
      ),
    enabled: t.uses.some((u) => !u.grave),
  })
  if (!instead.data || (instead.data.length === 0 && person === '')) return null
  return (
    <section className="border-line bg-sheet border-t-2 px-4 py-3 print:hidden">
      <h2 className="text-lg font-semibold">Instead of it</h2>
      <div className="max-w-60">
        <Choose
          label="For whom"
          value={person}
          choices={[
            { value: '', label: 'nobody in particular' },
            ...(people.data ?? []).map((p) => ({ value: p.id, label: p.name })),
          ]}
          onChange={setPerson}
        />
      </div>
      {instead.data.map((i) => (
        <div key={i.use} className="mt-2">
          <h3 className="font-medium">{capital(i.use)}</h3>
          <ul>
            {i.others.slice(0, 5).map((o) => (
              <li key={o.plant.taxon}>
                <Link className="underline" to={`/herbarium/${o.plant.taxon}`}>
                  {o.plant.commonName}
                </Link>
                , {o.plant.parts.map((p) => PART[p]).join(', ')}: <strong>{BESIDE[o.beside]}</strong>,{' '}
                {NEARNESS[o.plant.nearness]}
              </li>
            ))}
            {i.dropped.map((d) => (
              <li key={d.taxon} className="text-soft text-sm">
                left out: {d.commonName}, {d.reason}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  )
}

const HAS_NOT = /^(it has no|there is no|the leaf has no)\b/

function CharactersAt({ t, stage, checks }: { t: TaxonView; stage: Stage; checks: Check[] }) {
  const shown = t.characters.filter((c) => c.stages.some((s) => s === stage))
  const hasNot = shown.filter((c) => c.states.every((s) => HAS_NOT.test(s.words)))
  return (
    <Section title={`Characters, ${STAGE[stage]}`}>
      <dl className="gap-x-8 text-sm sm:columns-2 xl:columns-3">
        {shown
          .filter((c) => !hasNot.includes(c))
          .map((c) => (
            <div
              key={c.character + c.stages.join() + c.under.join()}
              className="border-line break-inside-avoid border-b py-0.5"
            >
              <dt className="text-soft">
                {c.name}
                {c.under.length > 0 && `, ${c.under.map((u) => LOOKING[u]).join(' and ')}`}
              </dt>
              <dd>{c.states.map((s) => `${FREQUENCY[s.frequency]} ${s.words}`).join('; ')}</dd>
            </div>
          ))}
      </dl>
      {hasNot.length > 0 && (
        <p className="text-soft mt-1 text-sm">
          And {[...new Set(hasNot.flatMap((c) => c.states.map((s) => s.words)))].join('; ')}.
        </p>
      )}
      <p className="mt-2">
        <Sourced source={t.source} taxon={t.id} checks={checks} />
      </p>
    </Section>
  )
}

/** What a household's own version is, how to take it elsewhere and how to be rid of it. */
/** Only of a plant that does not ship: of those that do the household changes and adds in place. */
function OwnPlantOf({ t }: { t: TaxonView }) {
  const card = useCard(t.id, true)
  return card.data?.own && !card.data.shipped ? (
    <Suspense>
      <OwnPlant t={t} card={card.data} />
    </Suspense>
  ) : null
}

function OwnVersion({ t }: { t: TaxonView }) {
  const card = useCard(t.id, true)
  const back = useCommand('herbarium', {
    mutationFn: (version: number) =>
      ask(
        api.DELETE('/api/herbarium/taxa/{id}/card', {
          params: { path: { id: t.id }, header: ifMatch(version) },
        }),
      ),
  })
  return (
    <div className="border-water bg-water-pale mb-3 flex flex-wrap items-center gap-3 border-l-8 px-3 py-2">
      <p className="flex-1">
        Underlined with dashes is what can be changed. A change is your household’s own; it can add to what a
        card warns of, never take from it.
      </p>
      <a className="underline" href={`/api/herbarium/taxa/${t.id}/card.yaml`} download={`${t.id}.yaml`}>
        Save as a file
      </a>
      {card.data?.own && card.data.shipped && (
        <Button onClick={() => back.mutate(card.data.version)} disabled={back.isPending}>
          Back to the card as shipped
        </Button>
      )}
      <ProblemNotice error={back.error} />
    </div>
  )
}
