import { useCommand } from '../ui/command'
import { useState } from 'react'
import { useParams } from 'react-router'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { useCharacters, useTaxa, useTaxon } from '../herbarium/queries'
import { Button, ButtonLink, Input } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { GROUND, PERMISSION, PLENTY, STAGE, VERDICT } from '../ui/dictionary'
import { StrikeOut } from '../ui/StrikeOut'
import { TakenBack } from '../ui/TakenBack'
import { date } from '../ui/words'
import { Contacts } from './Contacts'
import { OverYears } from './Years'
import { Notes } from '../notes/Notes'
import { Photos } from './Photos'
import { useLooks, usePhotos, useStand } from './queries'
import { WhenReady } from './Ready'
import { StandForm } from './StandForm'
import { Tags } from './Tags'
import { PutAway, PutAwayNotice } from './PutAway'
import { Settles, StandVerdict } from './Verdict'
import { Only, only } from '../ui/may'

export function Stand() {
  const { id = '' } = useParams()
  const stand = useStand(id)
  return <Loaded query={stand}>{(s) => <StandPage stand={s} />}</Loaded>
}

/** What was looked at, in the vocabulary's words. */
function Looked({ observations }: { observations: { character: string; state: string }[] }) {
  const characters = useCharacters()
  return (
    <details className="text-sm">
      <summary className="text-note min-h-6 cursor-pointer underline">
        {observations.length === 1 ? 'One character was' : `${observations.length} characters were`} looked at
      </summary>
      <ul className="text-soft columns-2 gap-6">
        {observations.map((o) => {
          const c = characters.data?.find((x) => x.id === o.character)
          return (
            <li key={o.character}>
              {c?.name ?? o.character}: {c?.states.find((x) => x.id === o.state)?.words ?? o.state}
            </li>
          )
        })}
      </ul>
    </details>
  )
}

/** The newest look counts; the older ones stay to be compared. */
function Looks({ stand }: { stand: Schemas['StandView'] }) {
  const looks = useLooks(stand.id)
  const [newest, ...older] = looks.data ?? []
  return (
    <Section title="Last identification">
      {newest ? (
        <Look stand={stand} look={newest} />
      ) : (
        looks.isSuccess && <p>Nobody has identified it. Nothing may be picked here until it is confirmed.</p>
      )}
      {stand.secondLook === 'WANTED' &&
        (stand.identification?.status === 'CONFIRMED' ||
          stand.identification?.status === 'SECOND_WANTED') && (
          <p className="border-amber bg-amber-pale mt-1 border-l-8 px-3 py-1">
            {stand.identification.status === 'CONFIRMED'
              ? 'Something deadly is taken for this plant, so one look is not enough.'
              : 'This look told it from everything dangerous, but by too little to stand alone.'}{' '}
            Let somebody else of the household look, {STAGE[stand.identification.stage]} too and without
            telling them what it came to, or look yourself on another day at other plants of the stand. A look
            of the same day by the same person, or of the same plants, does not count.
          </p>
        )}
      {older.length > 0 && (
        <details className="border-line mt-2 border-t pt-1">
          <summary className="text-note min-h-6 cursor-pointer underline">
            {older.length === 1 ? 'An earlier look' : `${older.length} earlier looks`}
          </summary>
          {older.map((look) => (
            <div key={look.id} className="mt-2">
              <Look stand={stand} look={look} />
            </div>
          ))}
        </details>
      )}
    </Section>
  )
}

/** What was said when some answers were asked again. */
function Again({ look }: { look: Schemas['IdentificationView'] }) {
  const differing = look.again.filter(
    (a) => !look.observations.some((o) => o.character === a.character && o.state === a.state),
  )
  return differing.length === 0 ? (
    <p className="text-soft">
      Looked at again, {look.again.length} of {look.observations.length}: the same
    </p>
  ) : (
    <p className="text-amber font-medium">
      Looked at again, {differing.length} of {look.again.length} came out differently
    </p>
  )
}

function Look({ stand, look }: { stand: Schemas['StandView']; look: Schemas['IdentificationView'] }) {
  const photos = usePhotos(stand.id)
  const taxa = useTaxa()
  const nameOf = (id: string) => taxa.data?.find((t) => t.id === id)?.commonName ?? 'a plant without a card'
  const taken = (photos.data ?? []).filter((p) => p.identificationId === look.id)
  return (
    <>
      <p>
        {date(look.on)}, {STAGE[look.stage]}, by {look.identifiedBy}
        {look.secondObserver ? ` and ${look.secondObserver}` : ''}: <strong>{VERDICT[look.status]}</strong>
        {look.genus ? `, the genus ${look.genus}` : ''}
        {look.taxonId && look.taxonId !== stand.taxonId ? `; most like ${nameOf(look.taxonId)}` : ''}
      </p>
      <StrikeOut
        what={`the look of ${date(look.on)}`}
        word="this look was wrong"
        onStrike={(because) =>
          ask(
            api.POST('/api/field/stands/{id}/identifications/{look}/strike', {
              params: { path: { id: stand.id, look: look.id } },
              body: because,
            }),
          )
        }
      />
      {look.otherPlants && <p className="text-soft">At other plants than the look before</p>}
      {look.again.length > 0 && <Again look={look} />}
      {look.book && <p className="text-soft">Checked in {look.book}</p>}
      <Looked observations={look.observations} />
      {taken.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-2" aria-label="Pictures taken at this look">
          {taken.map((p) => (
            <li key={p.id}>
              <a href={`/api/field/photos/${p.id}`}>
                <img
                  className="h-24 w-auto"
                  src={`/api/field/photos/${p.id}`}
                  alt={p.words || `${stand.name}, ${date(p.takenOn)}`}
                  loading="lazy"
                />
              </a>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

function StandPage({ stand }: { stand: Schemas['StandView'] }) {
  const [editing, setEditing] = useState(false)
  const taxon = useTaxon(stand.taxonId ?? '')
  const used = (taxon.data?.parts.length ?? 0) > 0
  return (
    <Page
      title={stand.name}
      actions={
        <>
          <ButtonLink kind="main" to={`/field/stands/${stand.id}/identify`}>
            Identify
          </ButtonLink>
          <Only deed="record">
            {stand.taxonId && !stand.putAwayOn && (used || !taxon.data) && (
              <ButtonLink to={`/field/stands/${stand.id}/harvest`}>Harvest</ButtonLink>
            )}
            {used && !stand.putAwayOn && stand.certain && (
              <ButtonLink to={`/dosing/direct/new?stand=${stand.id}`}>Use a leaf of it</ButtonLink>
            )}
          </Only>
          {used && <ButtonLink to={`/basket?stand=${stand.id}`}>What it makes</ButtonLink>}
          <ButtonLink to={`/tracing/${stand.id}`}>Trace</ButtonLink>
          <Only deed="record">
            <Button onClick={() => setEditing(!editing)}>{editing ? 'Cancel' : 'Change'}</Button>
          </Only>
        </>
      }
    >
      <TakenBack subject={stand.id} />
      <p className="mb-3">
        {stand.place} · {stand.commonName}
        {stand.scientificName && (
          <>
            {' '}
            · <span className="font-plant italic">{stand.scientificName}</span>
          </>
        )}{' '}
        <StandVerdict stand={stand} />
        <Settles stand={stand} />
      </p>
      {stand.putAwayOn && <PutAwayNotice stand={stand} />}
      {editing && <StandForm stand={stand} onDone={() => setEditing(false)} />}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="space-y-4">
          <Looks stand={stand} />
          <Section title="Ground">
            <p>
              {GROUND[stand.ground]}, {PERMISSION[stand.permission]}, {PLENTY[stand.plenty]}
              {stand.protectedSpecies ? ', protected' : ''}
              {stand.neighbour ? `; ${stand.neighbour} grows within it` : ''}
              {stand.growingSince ? `; growing there since ${stand.growingSince}` : ''}
            </p>
          </Section>
          <Tags stand={stand} />
          <Photos stand={stand} />
        </div>
        <div className="space-y-4">
          {stand.taxonId && <WhenReady stand={stand} />}
          <Notes of={{ about: 'STAND', id: stand.id, name: stand.name }} />
          {taxon.data?.hazards.some((h) => h.kind === 'SKIN') && (
            <Contacts taxon={taxon.data} called={stand.commonName} />
          )}
          {used && !stand.putAwayOn && (
            <OverYears stand={stand} parts={taxon.data?.parts.map((p) => p.part) ?? []} />
          )}
        </div>
      </div>
      {stand.taxonId && <DoubtOrClear stand={stand} />}
      {!stand.putAwayOn && <PutAway stand={stand} />}
    </Page>
  )
}

const DoubtOrClear = only('record', function DoubtOrClear({ stand }: { stand: Schemas['StandView'] }) {
  const [reason, setReason] = useState('')
  const doubt = useCommand('field', {
    mutationFn: () =>
      ask(
        api.POST('/api/tracing/stands/{id}/doubt', {
          params: { path: { id: stand.id }, header: ifMatch(stand.version) },
          body: { reason },
        }),
      ),
  })
  const clear = useCommand('field', {
    mutationFn: () => ask(api.POST('/api/tracing/stands/{id}/clear', { params: { path: { id: stand.id } } })),
  })
  return (
    <div className="mt-4">
      <Section title={stand.doubted ? 'Doubted' : 'Is it what you took it for?'}>
        {stand.doubted ? (
          <Findings
            findings={[
              {
                code: 'IDENTITY_DOUBTED',
                severity: 'STOP',
                message: stand.doubtReason ?? 'Somebody doubts what this is.',
                action:
                  'Identify it again, with a second person. Until then nothing made from it may be used.',
              },
            ]}
          />
        ) : (
          <form
            className="flex max-w-2xl flex-wrap items-end gap-2"
            onSubmit={(e) => {
              e.preventDefault()
              doubt.mutate()
            }}
          >
            <div className="least-64 flex-1">
              <Input
                label="Why it is doubted"
                value={reason}
                onChange={(e) => setReason(e.target.value)}
                hint="Everything made from it is set aside at once."
              />
            </div>
            <Button kind="grave" type="submit" disabled={doubt.isPending}>
              Doubt this stand
            </Button>
          </form>
        )}
        {doubt.data && (
          <p role="status" className="mt-2 font-medium">
            {doubt.data.lots.length} lots set aside.
          </p>
        )}
        {!stand.doubted && stand.identification?.secondObserver && (
          <div className="mt-3">
            <Button onClick={() => clear.mutate()} disabled={clear.isPending}>
              Lift the quarantine of what came from here
            </Button>
            {clear.data && <span className="ml-3">{clear.data.lots.length} lots usable again.</span>}
          </div>
        )}
        <ProblemNotice error={doubt.error ?? clear.error} />
      </Section>
    </div>
  )
})
