import { listOf } from '../ui/read'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { Button, ButtonLink } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { Empty, Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { tray } from '../ui/tray'
import {
  CAUTION_STATUS,
  CONSTITUENT,
  FREQUENCY,
  HAZARD,
  LOOKING,
  ORIGIN,
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
              <Button onClick={() => tray.put({ kind: 'plant', id: t.id, label: name })}>
                Put on the tray
              </Button>
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
          <div className="grid gap-3 lg:grid-cols-[17rem_minmax(0,1fr)_minmax(0,1fr)]">
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
            </div>
            <div className="space-y-3">
              <LookAlikes t={t} />
              <Section title="Parts and doses">
                {t.parts.length === 0 && <Empty>Nothing of it is gathered.</Empty>}
                {t.parts.map((p) => (
                  <PartOfPlant key={p.part} t={t} p={p} checks={checks} />
                ))}
              </Section>
              <Uses t={t} checks={checks} />
            </div>
            <div className="space-y-3">
              <Cautions t={t} checks={checks} />
              <CharactersAt t={t} stage={stage} checks={checks} />
              <Sources checks={checks} />
            </div>
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
      {t.lookAlikes.length === 0 && <Empty>None listed.</Empty>}
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

function Uses({ t, checks }: { t: TaxonView; checks: Check[] }) {
  return (
    <Section title="Actions and uses">
      {t.actions.length > 0 && <p>{t.actions.join(', ')}</p>}
      <ul className="space-y-1">
        {t.uses.map((u) => (
          <li key={u.name + u.route}>
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
      {t.foods.map((f) => (
        <p key={f.what} className="mt-1">
          <strong>As food:</strong> {f.what}. {f.limit}
        </p>
      ))}
      {t.constituents.length > 0 && (
        <p className="text-soft mt-1 text-sm">holds {t.constituents.map((c) => CONSTITUENT[c]).join(', ')}</p>
      )}
    </Section>
  )
}

function Cautions({ t, checks }: { t: TaxonView; checks: Check[] }) {
  return (
    <Section title="Cautions">
      <p className="text-soft mb-1 text-sm">
        What is not listed here has not been checked: unknown, not safe.
      </p>
      <ul className="space-y-1">
        {t.cautions.map((c) => (
          <li key={c.subject + c.value}>
            <strong>
              {about(c)}: {CAUTION_STATUS[c.status]}
            </strong>{' '}
            {c.effect}. <Sourced source={c.source} taxon={t.id} checks={checks} />
          </li>
        ))}
      </ul>
    </Section>
  )
}

function CharactersAt({ t, stage, checks }: { t: TaxonView; stage: Stage; checks: Check[] }) {
  const shown = t.characters.filter((c) => c.stages.some((s) => s === stage))
  return (
    <Section title={`Characters, ${STAGE[stage]}`}>
      <dl className="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-x-3 gap-y-1 text-sm">
        {shown.map((c) => (
          <div key={c.character + c.stages.join() + c.under.join()} className="contents">
            <dt className="text-soft">
              {c.name}
              {c.under.length > 0 && `, ${c.under.map((u) => LOOKING[u]).join(' and ')}`}
            </dt>
            <dd>{c.states.map((s) => `${FREQUENCY[s.frequency]} ${s.words}`).join('; ')}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2">
        <Sourced source={t.source} taxon={t.id} checks={checks} />
      </p>
    </Section>
  )
}

/** What a household's own version is, how to take it elsewhere and how to be rid of it. */
function OwnVersion({ t }: { t: TaxonView }) {
  const card = useCard(t.id, true)
  const queries = useQueryClient()
  const back = useMutation({
    mutationFn: (version: number) =>
      ask(
        api.DELETE('/api/herbarium/taxa/{id}/card', {
          params: { path: { id: t.id }, header: ifMatch(version) },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
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
