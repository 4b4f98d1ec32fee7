import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect, useState } from 'react'
import { Controller, useForm } from 'react-hook-form'
import { z } from 'zod'
import { api, ask, ifMatch, ProblemError, refusedBy, type Schemas } from '../api/client'
import { useTaxa } from '../herbarium/queries'
import { draftKey, read, useKeptId, write } from '../ui/kept'
import { Unsaved } from '../ui/Unsaved'
import { degreesOf, numberOf } from '../ui/read'
import { Choose } from '../ui/Choose'
import { Button, Input, Toggle } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { WhatChanged } from '../ui/WhatChanged'
import { useSecond, wantsSecond } from '../ui/Second'
import { useSaved } from '../ui/useSaved'

const form = z.object({
  taxonId: z.string(),
  name: z.string().min(1, 'Give the stand a name.').max(120),
  place: z.string().min(1, 'Say where it is.').max(120),
  ground: z.enum(['CLEAN', 'UNKNOWN', 'CONTAMINATED']),
  permission: z.enum(['OWN_GARDEN', 'GIVEN', 'UNKNOWN', 'REFUSED']),
  plenty: z.enum(['PLENTIFUL', 'FAIR', 'SCARCE', 'DECLINING']),
  protectedSpecies: z.boolean(),
  neighbour: z.string().max(120),
  latitude: z.string(),
  longitude: z.string(),
  elevationM: z.string(),
  growingSince: z.string(),
  reason: z.string().max(300),
})
type Values = z.infer<typeof form>

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
const whereOf = (s: Partial<Schemas['StandView']> | undefined) => ({
  latitude: String(s?.latitude ?? ''),
  longitude: String(s?.longitude ?? ''),
  elevationM: String(s?.elevationM ?? ''),
  growingSince: String(s?.growingSince ?? ''),
})

export function StandForm({ stand, onDone }: { stand?: Schemas['StandView']; onDone: () => void }) {
  const taxa = useTaxa()
  // What was on the page when it was opened; a newer one must not wipe what is being typed.
  const [seen] = useState({ stand, version: stand?.version ?? 0 })
  const draft = `stand ${stand?.id ?? 'new'} ${seen.version}`
  const id = useKeptId(draft, stand?.id)
  const f = useForm<Values>({
    resolver: zodResolver(form),
    defaultValues: read<Values>(draftKey(draft, 'values'), {
      taxonId: stand?.taxonId ?? '',
      name: stand?.name ?? '',
      place: stand?.place ?? '',
      ground: stand?.ground ?? 'UNKNOWN',
      permission: stand?.permission ?? 'UNKNOWN',
      plenty: stand?.plenty ?? 'FAIR',
      protectedSpecies: stand?.protectedSpecies ?? false,
      neighbour: stand?.neighbour ?? '',
      ...whereOf(stand),
      reason: '',
    }),
  })
  const { subscribe } = f
  useEffect(() => {
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => write(draftKey(draft, 'values'), values),
    })
  }, [subscribe, draft])
  const second = useSecond()
  const save = useSaved(
    draft,
    ({ v, version }: { v: Values; version: number }) => {
      const body = {
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
      return stand
        ? ask(
            api.PUT('/api/field/stands/{id}', {
              params: { path: { id }, header: ifMatch(version) },
              body,
            }),
          )
        : ask(api.POST('/api/field/stands', { body }))
    },
    onDone,
  )
  // A stand laid anew where something spoke against the place wants a reason too.
  const askedWhy =
    wantsSecond(save.error) ||
    refusedBy(save.error).some((r) => r.code === 'SAME_PLACE') ||
    Boolean(f.getValues('reason'))
  const { setError } = f
  useEffect(() => {
    if (save.error instanceof ProblemError) {
      save.error.problem.errors?.forEach((e) => setError(e.field as keyof Values, { message: e.message }))
    }
  }, [save.error, setError])
  const { errors } = f.formState
  return (
    <form
      noValidate
      className="mb-4"
      onSubmit={f.handleSubmit((v) => save.mutate({ v, version: seen.version }))}
    >
      <Unsaved form={draft} />
      <Section title={stand ? 'The stand' : 'A new stand'}>
        <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
          <Controller
            control={f.control}
            name="taxonId"
            render={({ field }) => (
              <Choose
                label="Taken for"
                value={field.value}
                onChange={field.onChange}
                error={errors.taxonId?.message}
                choices={
                  taxa.data
                    ? [
                        { value: '', label: 'nobody knows yet' },
                        ...taxa.data.map((t) => ({ value: t.id, label: t.commonName, hint: t.name })),
                      ]
                    : []
                }
              />
            )}
          />
          <Input label="Name of the stand" {...f.register('name')} error={errors.name?.message} />
          <Input label="Place" {...f.register('place')} error={errors.place?.message} />
          <Input
            label="Toxic plant growing within it"
            hint="leave empty if none was seen"
            {...f.register('neighbour')}
            error={errors.neighbour?.message}
          />
          <Controller
            control={f.control}
            name="ground"
            render={({ field }) => (
              <Choose label="Ground" value={field.value} onChange={field.onChange} choices={[...GROUND]} />
            )}
          />
          <Controller
            control={f.control}
            name="permission"
            render={({ field }) => (
              <Choose
                label="Whose land"
                value={field.value}
                onChange={field.onChange}
                choices={[...PERMISSION]}
              />
            )}
          />
          <Controller
            control={f.control}
            name="plenty"
            render={({ field }) => (
              <Choose
                label="How much there is"
                value={field.value}
                onChange={field.onChange}
                choices={[...PLENTY]}
              />
            )}
          />
          <Controller
            control={f.control}
            name="protectedSpecies"
            render={({ field }) => (
              <Toggle label="Protected plant or place" checked={field.value} onChange={field.onChange} />
            )}
          />
        </div>
        <div className="mt-3 grid grid-cols-2 gap-3 lg:grid-cols-4">
          <Input
            label="Latitude"
            hint="in degrees, if it is to be on the map"
            inputMode="decimal"
            {...f.register('latitude')}
            error={errors.latitude?.message}
          />
          <Input
            label="Longitude"
            inputMode="decimal"
            {...f.register('longitude')}
            error={errors.longitude?.message}
          />
          <Input
            label="Height above the sea, m"
            inputMode="decimal"
            {...f.register('elevationM')}
            error={errors.elevationM?.message}
          />
          <Input
            label="Growing there since the year"
            hint="for roots and bark, which want old plants"
            inputMode="numeric"
            {...f.register('growingSince')}
            error={errors.growingSince?.message}
          />
        </div>
        <div className="mt-3 space-y-3">
          {(stand || askedWhy) && (
            <Input
              label="Why"
              hint={
                stand
                  ? 'needed to call it clean, allowed, unprotected, plentiful, older or free of a toxic neighbour again'
                  : 'why what speaks against this place does not hold for this stand'
              }
              {...f.register('reason')}
              error={errors.reason?.message}
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
            mine={f.getValues()}
            labels={LABELS}
            say={say}
            onMerged={(fields, version) => {
              const v = { ...f.getValues(), ...fields } as Values
              const where = whereOf(v as object)
              save.mutate({
                v: { ...v, ...where, neighbour: v.neighbour ?? '', reason: f.getValues('reason') },
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
