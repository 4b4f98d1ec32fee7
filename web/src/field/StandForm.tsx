import { useState } from 'react'
import { api, ask, ifMatch, refusedBy, type Schemas } from '../api/client'
import { useTaxa } from '../herbarium/queries'
import { carry } from '../api/outbox'
import { Here } from '../notes/Here'
import { changeNote, useNote, type Note } from '../notes/queries'
import { useFormOfNotebook, useKept, useKeptId } from '../ui/kept'
import { KeptHere } from '../ui/KeptHere'
import { Unsaved } from '../ui/Unsaved'
import { degreesOf, numberOf } from '../ui/read'
import { Choose } from '../ui/Choose'
import { Button, Input, Toggle } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { WhatChanged } from '../ui/WhatChanged'
import { useSecond, wantsSecond } from '../ui/Second'
import { needed, useFields } from '../ui/useFields'
import { useSaved } from '../ui/useSaved'
import { addStand } from './commands'
import { GroundMap, useGround } from './Ground'
import { boundsOf, type Point } from './paper'
import { useStands } from './queries'

type Request = Schemas['StandRequest']

/** Positions and years as they are typed. */
type Values = Pick<Request, 'name' | 'place' | 'ground' | 'permission' | 'plenty' | 'protectedSpecies'> &
  Record<
    'taxonId' | 'neighbour' | 'latitude' | 'longitude' | 'elevationM' | 'growingSince' | 'reason',
    string
  >

const LABELS: Record<string, string> = {
  taxonId: 'Plant',
  name: 'Name',
  place: 'Place',
  ground: 'Ground',
  permission: 'Whose land',
  plenty: 'How much there is',
  protectedSpecies: 'Protected',
  neighbour: 'Toxic plant within it',
  latitude: 'Latitude',
  longitude: 'Longitude',
  elevationM: 'Height',
  growingSince: 'Growing there since',
}

/** In the words of the form. */
const say = (field: string, value: unknown): string => {
  const of = { ground: GROUND, permission: PERMISSION, plenty: PLENTY }[field]
  const known = of?.find((c) => c.value === value)
  if (known) return known.label
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : value ? String(value) : 'empty'
}

const MOST_LETTERS = 120

const GROUND = [
  { value: 'CLEAN', label: 'clean' },
  { value: 'UNKNOWN', label: 'not known', hint: 'spray, road, flood, dogs?' },
  { value: 'CONTAMINATED', label: 'contaminated' },
] as const
const PERMISSION = [
  { value: 'OWN_GARDEN', label: 'own garden' },
  { value: 'GIVEN', label: 'owner allows it' },
  { value: 'UNKNOWN', label: 'not known' },
  { value: 'REFUSED', label: 'owner refuses' },
] as const
const PLENTY = [
  { value: 'PLENTIFUL', label: 'plentiful' },
  { value: 'FAIR', label: 'fair' },
  { value: 'SCARCE', label: 'scarce' },
  { value: 'DECLINING', label: 'declining' },
] as const

/** As the form holds it. */
const whereOf = (
  s:
    Partial<Pick<Schemas['StandView'], 'latitude' | 'longitude' | 'elevationM' | 'growingSince'>> | undefined,
) => ({
  latitude: String(s?.latitude ?? ''),
  longitude: String(s?.longitude ?? ''),
  elevationM: String(s?.elevationM ?? ''),
  growingSince: String(s?.growingSince ?? ''),
})

export function StandForm(props: {
  stand?: Schemas['StandView']
  /** A note that the stand is made of. */
  noteId?: string | undefined
  onDone: () => void
}) {
  const note = useNote(props.noteId ?? '')
  return props.noteId && !note.data ? null : <TheForm {...props} note={note.data} />
}

/** A stand that is changed goes at once; a new one may lie on the device until there is a line. */
function useStandSaved({
  stand,
  note,
  draft,
  id,
  onDone,
}: {
  stand: Schemas['StandView'] | undefined
  note: Note | undefined
  draft: string
  id: string
  onDone: () => void
}) {
  const [waits, setWaits] = useState(false)
  const second = useSecond()
  /** Whether the server has it. */
  const send = async (v: Values, version: number) => {
    const body: Request = {
      ...v,
      taxonId: v.taxonId || undefined,
      id,
      neighbour: v.neighbour || undefined,
      latitude: degreesOf(v.latitude),
      longitude: degreesOf(v.longitude),
      elevationM: degreesOf(v.elevationM),
      growingSince: numberOf(v.growingSince),
      reason: v.reason || undefined,
      second: second.second,
    }
    if (stand) {
      const params = { path: { id }, header: ifMatch(version) }
      await ask(api.PUT('/api/field/stands/{id}', { params, body }))
      return true
    }
    const back = { path: '/field', form: draft, fields: { id, values: v } }
    const { sent } = await carry(addStand, body, `A new stand: ${v.name}`, back)
    // The note goes with the stand that was made of it.
    if (sent && note) await changeNote(note, { about: 'STAND', aboutId: id })
    // At once: what is read anew after it may hang as well.
    if (!sent) setWaits(true)
    return sent
  }
  const save = useSaved(
    'field',
    draft,
    ({ v, version }: { v: Values; version: number }) => send(v, version),
    (sent) => sent && onDone(),
  )
  return { save, second, waits }
}

function TheForm({
  stand,
  note,
  onDone,
}: {
  stand?: Schemas['StandView']
  note: Note | undefined
  onDone: () => void
}) {
  const taxa = useTaxa()
  // What was on the page when it was opened; a newer one must not wipe what is being typed.
  const [seen] = useState({ stand, version: stand?.version ?? 0 })
  const draft = useFormOfNotebook() ?? `stand ${stand?.id ?? 'new'} ${note?.id ?? seen.version}`
  const id = useKeptId(draft, stand?.id)
  const kept = useKept<Values>(draft, 'values', () => ({
    taxonId: stand?.taxonId ?? '',
    name: stand?.name ?? note?.words.split('\n')[0]?.slice(0, MOST_LETTERS) ?? '',
    place: stand?.place ?? note?.place ?? '',
    ground: stand?.ground ?? 'UNKNOWN',
    permission: stand?.permission ?? 'UNKNOWN',
    plenty: stand?.plenty ?? 'FAIR',
    protectedSpecies: stand?.protectedSpecies ?? false,
    neighbour: stand?.neighbour ?? '',
    ...whereOf(stand ?? note),
    reason: '',
  }))
  const { save, second, waits } = useStandSaved({ stand, note, draft, id, onDone })
  const f = useFields(
    kept,
    (v) => ({
      name: needed(v.name, 'Give the stand a name.'),
      place: needed(v.place, 'Say where it is.'),
    }),
    save.error,
  )
  // A stand laid anew where something spoke against the place wants a reason too.
  const askedWhy =
    wantsSecond(save.error) ||
    refusedBy(save.error).some((r) => r.code === 'SAME_PLACE') ||
    Boolean(f.values.reason)
  if (waits) return <KeptHere />
  return (
    <form noValidate className="mb-4" onSubmit={f.submit((v) => save.mutate({ v, version: seen.version }))}>
      <Unsaved form={draft} />
      <Section title={stand ? 'The stand' : 'A new stand'}>
        <Fields f={f} taxa={taxa} />
        <div className="mt-3 space-y-3">
          {(stand || askedWhy) && (
            <Input
              label="Why"
              hint={
                stand
                  ? 'needed to call it clean, allowed, unprotected, plentiful, older or free of a toxic neighbour again'
                  : 'why what speaks against this place does not hold for this stand'
              }
              {...f.text('reason')}
            />
          )}
          <ProblemNotice error={save.error} />
          {second.panel(save.error)}
          <WhatChanged
            error={save.error}
            before={
              seen.stand && {
                ...seen.stand,
                taxonId: seen.stand.taxonId ?? '',
                neighbour: seen.stand.neighbour ?? '',
                ...whereOf(seen.stand),
              }
            }
            mine={f.values}
            labels={LABELS}
            say={say}
            onMerged={(fields, version) => {
              const v = { ...f.values, ...fields } as Values
              const where = whereOf(v as object)
              save.mutate({
                v: { ...v, ...where, neighbour: v.neighbour ?? '', reason: f.values.reason },
                version,
              })
            }}
          />
          <Button kind="main" type="submit" disabled={save.isPending}>
            Save the stand
          </Button>
        </div>
      </Section>
    </form>
  )
}

/** What it is and where. */
function Fields({ f, taxa }: { f: ReturnType<typeof useFields<Values>>; taxa: ReturnType<typeof useTaxa> }) {
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <Choose
          label="Taken for"
          {...f.chosen('taxonId')}
          choices={
            taxa.data
              ? [
                  { value: '', label: 'nobody knows yet' },
                  ...taxa.data.map((t) => ({ value: t.id, label: t.commonName, hint: t.name })),
                ]
              : []
          }
        />
        <Input label="Name of the stand" {...f.text('name')} />
        <Input label="Place" {...f.text('place')} />
        <Input
          label="Toxic plant growing within it"
          hint="leave empty if none was seen"
          {...f.text('neighbour')}
        />
        <Choose label="Ground" {...f.chosen('ground')} choices={[...GROUND]} />
        <Choose label="Whose land" {...f.chosen('permission')} choices={[...PERMISSION]} />
        <Choose label="How much there is" {...f.chosen('plenty')} choices={[...PLENTY]} />
        <Toggle
          label="Protected plant or place"
          checked={f.values.protectedSpecies}
          onChange={f.chosen('protectedSpecies').onChange}
        />
      </div>
      <WhereOnTheGround f={f} />
      <div className="mt-3 grid grid-cols-2 gap-3 lg:grid-cols-4">
        <Input
          label="Latitude"
          hint="in degrees, if it is to be on the map"
          inputMode="decimal"
          {...f.text('latitude')}
        />
        <Input label="Longitude" inputMode="decimal" {...f.text('longitude')} />
        <Input label="Height above the sea, m" inputMode="decimal" {...f.text('elevationM')} />
        <Input
          label="Growing there since the year"
          hint="for roots and bark, which want old plants"
          inputMode="numeric"
          {...f.text('growingSince')}
        />
      </div>
    </>
  )
}

/** One touch where the device tells where it is, or on the map; degrees are for those who have them. */
function WhereOnTheGround({ f }: { f: ReturnType<typeof useFields<Values>> }) {
  const [onMap, setOnMap] = useState(false)
  const ground = useGround()
  const stands = useStands()
  const shapes = ground.data ?? []
  const all = stands.data ?? []
  const bounds = boundsOf(shapes, all)
  const [longitude, latitude] = [degreesOf(f.values.longitude), degreesOf(f.values.latitude)]
  const point: Point[] = longitude === undefined || latitude === undefined ? [] : [[longitude, latitude]]
  return (
    <div className="mt-3 space-y-2">
      <div className="flex flex-wrap items-center gap-2">
        <Here f={f} />
        {bounds && (
          <Button onClick={() => setOnMap(!onMap)} aria-expanded={onMap}>
            {onMap ? 'Put the map away' : 'Point at it on the map'}
          </Button>
        )}
      </div>
      {onMap && bounds && (
        <div className="max-w-3xl">
          <GroundMap
            shapes={shapes}
            stands={all}
            season={undefined}
            bounds={bounds}
            chosen={undefined}
            onChoose={() => undefined}
            drawing={{ kind: 'PATH', points: point }}
            onPoint={([x, y]) => f.set({ longitude: String(x), latitude: String(y) })}
          />
        </div>
      )}
    </div>
  )
}
