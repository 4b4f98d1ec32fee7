import { useKept, useKeptId } from '../ui/kept'
import { isoToday } from '../ui/clock'
import { number } from '../ui/read'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { api, ask, ifMatch, ProblemError, type Schemas } from '../api/client'
import { TakenBack } from '../ui/TakenBack'
import { Unsaved } from '../ui/Unsaved'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { MedicineNames } from './MedicineNames'
import { CONDITION, MEDICINE, type Condition, type Medicine } from '../ui/dictionary'
import { Findings } from '../ui/Findings'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { WhatChanged } from '../ui/WhatChanged'
import { useFamilies, usePeople } from './queries'
import { Only } from '../ui/may'
import { useSaved } from '../ui/useSaved'

type PersonView = Schemas['PersonView']
type Body = Schemas['PersonRequest']

const CONDITIONS = Object.keys(CONDITION) as Condition[]
const MEDICINES = Object.keys(MEDICINE) as Medicine[]

const LABELS: Record<string, string> = {
  name: 'Name',
  bornOn: 'Born on',
  weightKg: 'Weight',
  heightCm: 'Height',
  trimester: 'Pregnancy',
  breastFeeding: 'Breast-feeding',
  conditions: 'Conditions',
  medicines: 'Medicines by kind',
  medicineNames: 'Medicines by name',
  allergyFamilies: 'Allergies',
  operationOn: 'Operation',
  recipient: 'Lives elsewhere',
}

const say = (field: string, value: unknown): string => {
  if (field === 'medicines') return (value as Medicine[]).map((m) => MEDICINE[m]).join(', ') || 'none'
  if (field === 'medicineNames')
    return (value as { name: string }[]).map((m) => m.name ?? m).join(', ') || 'none'
  if (field === 'conditions') return (value as Condition[]).map((c) => CONDITION[c]).join(', ') || 'none'
  if (field === 'allergyFamilies') return (value as string[]).join(', ') || 'none'
  if (value === undefined || value === null || value === '') return 'empty'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return String(value)
}

const TRIMESTERS = [
  { value: 'NO', label: 'not pregnant' },
  { value: '1', label: 'first trimester', hint: 'to the end of week 12' },
  { value: '2', label: 'second trimester', hint: 'weeks 13 to 27' },
  { value: '3', label: 'third trimester', hint: 'from week 28' },
] as const

/** @param more what other rooms know of somebody who is on record */
export function Person({ more }: { more?: (person: PersonView) => React.ReactNode }) {
  const { id } = useParams()
  const people = usePeople()
  return (
    <Loaded query={people}>
      {(all) => {
        const known = all.find((p) => p.id === id)
        return id === 'new' || known ? (
          <PersonForm key={known?.id ?? 'new'} person={known} more={more} />
        ) : (
          <Page title="Nobody here">
            <p>There is no such person.</p>
          </Page>
        )
      }}
    </Loaded>
  )
}

/** What is typed of a person, and its saving. */
function usePersonForm(person: PersonView | undefined) {
  const navigate = useNavigate()
  // What was on the page when it was opened; a newer one must not wipe what is being typed.
  const [seen] = useState({ person, version: person?.version ?? 0 })
  // By its version: what was typed over something that has changed since is not brought back.
  const draft = `person ${person?.id ?? 'new'} ${seen.version}`
  const id = useKeptId(draft, person?.id)
  const [name, setName] = useKept(draft, 'name', person?.name ?? '')
  const [bornOn, setBornOn] = useKept(draft, 'bornOn', person?.bornOn ?? '')
  const [age, setAge] = useKept(draft, 'age', '')
  const [weight, setWeight] = useKept(draft, 'weight', person?.weightKg?.toString() ?? '')
  const [height, setHeight] = useKept(draft, 'height', person?.heightCm?.toString() ?? '')
  const [trimester, setTrimester] = useKept<(typeof TRIMESTERS)[number]['value']>(
    draft,
    'trimester',
    (person?.trimester?.toString() as '1' | undefined) ?? 'NO',
  )
  const [operation, setOperation] = useKept(draft, 'operation', person?.operationOn ?? '')
  const [feeding, setFeeding] = useKept(draft, 'feeding', person?.breastFeeding ?? false)
  const [recipient, setRecipient] = useKept(draft, 'recipient', person?.recipient ?? false)
  const [conditions, setConditions] = useKept(draft, 'conditions', person?.conditions ?? [])
  const [medicines, setMedicines] = useKept(draft, 'medicines', person?.medicines ?? [])
  const [named, setNamed] = useKept(draft, 'named', person?.medicineNames ?? [])
  const [families, setFamilies] = useKept(draft, 'families', person?.allergyFamilies ?? [])
  const known = useFamilies()

  const body = (): Body => ({
    id,
    name,
    bornOn,
    weightKg: weight.trim() === '' ? undefined : number(weight),
    heightCm: height.trim() === '' ? undefined : number(height),
    trimester: trimester === 'NO' ? undefined : Number(trimester),
    breastFeeding: feeding,
    conditions,
    medicines,
    medicineNames: named.map((m) => m.name),
    allergyFamilies: families,
    operationOn: operation || undefined,
    recipient,
  })
  const save = useSaved(
    'household',
    draft,
    ({ version, sent }: { version: number; sent: Body }) =>
      person
        ? ask(
            api.PUT('/api/people/{id}', {
              params: { path: { id }, header: ifMatch(version) },
              body: sent,
            }),
          )
        : ask(api.POST('/api/people', { body: sent })),
    async (saved: Schemas['PersonView']) => {
      // Something new may not go with what was taken in the weeks before: said here and now.
      const before = await ask(
        api.GET('/api/dosing/people/{id}/taken-before', { params: { path: { id: saved.id } } }),
      )
      await navigate(before.length > 0 ? `/dosing/people/${saved.id}?saved` : '/dosing')
    },
  )
  const problem = save.error instanceof ProblemError ? save.error.problem : undefined
  const at = (field: string) => problem?.errors?.find((e) => e.field === field)?.message
  const flip = <T,>(list: T[], item: T) =>
    list.includes(item) ? list.filter((i) => i !== item) : [...list, item]
  return {
    name,
    setName,
    at,
    bornOn,
    setBornOn,
    age,
    setAge,
    weight,
    setWeight,
    height,
    setHeight,
    trimester,
    setTrimester,
    feeding,
    setFeeding,
    operation,
    setOperation,
    recipient,
    setRecipient,
    setFamilies,
    families,
    known,
    person,
    draft,
    save,
    seen,
    body,
    named,
    setNamed,
    medicines,
    setMedicines,
    flip,
    conditions,
    setConditions,
  }
}
type PersonFormState = ReturnType<typeof usePersonForm>

function PersonForm({
  person,
  more,
}: {
  person: PersonView | undefined
  more: ((person: PersonView) => React.ReactNode) | undefined
}) {
  const f = usePersonForm(person)
  const {
    draft,
    save,
    seen,
    body,
    named,
    setNamed,
    medicines,
    setMedicines,
    flip,
    conditions,
    setConditions,
  } = f

  return (
    <Page title={person ? person.name : 'Somebody new'}>
      <Unsaved form={draft} />
      {person && <TakenBack subject={person.id} />}
      {person && <TakenBefore id={person.id} />}
      <form
        className="grid gap-4 lg:grid-cols-3"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate({ version: seen.version, sent: body() })
        }}
      >
        <Section title="Who">
          <WhoItIs f={f} />
        </Section>
        <Section title="Medicines taken">
          <MedicineNames chosen={named} onChange={setNamed} />
          <h3 className="mt-3 font-semibold">Or by kind</h3>
          <Ticks
            words={MEDICINE}
            all={MEDICINES}
            chosen={medicines}
            onFlip={(m) => setMedicines(flip(medicines, m))}
          />
        </Section>
        <Section title="Conditions">
          <Ticks
            words={CONDITION}
            all={CONDITIONS}
            chosen={conditions}
            onFlip={(c) => setConditions(flip(conditions, c))}
          />
          <Allergies f={f} />
        </Section>
        <div className="space-y-3 lg:col-span-3">
          <ProblemNotice error={save.error} />
          <WhatChanged
            error={save.error}
            before={seen.person}
            mine={body()}
            labels={LABELS}
            say={say}
            onMerged={(fields, version) => save.mutate({ version, sent: { ...body(), ...fields } as Body })}
          />
          <Only deed="keep">
            <Button kind="main" type="submit" disabled={save.isPending}>
              Save
            </Button>
          </Only>
        </div>
      </form>
      {person && more?.(person)}
    </Page>
  )
}

/** Name, age, weight, and what else decides a dose. */
function WhoItIs({ f }: { f: PersonFormState }) {
  const {
    name,
    setName,
    at,
    bornOn,
    setBornOn,
    age,
    setAge,
    weight,
    setWeight,
    height,
    setHeight,
    trimester,
    setTrimester,
    feeding,
    setFeeding,
    operation,
    setOperation,
    recipient,
    setRecipient,
  } = f
  return (
    <div className="space-y-3">
      <Input label="Name" value={name} onChange={(e) => setName(e.target.value)} error={at('name')} />
      <Input
        label="Born on"
        type="date"
        value={bornOn}
        onChange={(e) => setBornOn(e.target.value)}
        error={at('bornOn')}
      />
      <NumberInput
        label="or an age"
        unit="years"
        value={age}
        onChange={(typed) => {
          setAge(typed)
          const years = yearsOf(typed)
          // A date taken from what stood here before must not stay behind an age that can't be read.
          if (typed.trim()) setBornOn(years === undefined ? '' : bornBefore(years))
        }}
        error={age.trim() && yearsOf(age) === undefined ? 'is no age from 0 to 120 years' : undefined}
        hint="if the day is not known; then it is taken as today"
      />
      <NumberInput label="Weight" unit="kg" value={weight} onChange={setWeight} error={at('weightKg')} />
      <NumberInput label="Height" unit="cm" value={height} onChange={setHeight} error={at('heightCm')} />
      <Choose
        label="Pregnancy"
        value={trimester}
        onChange={setTrimester}
        choices={[...TRIMESTERS]}
        error={at('trimester')}
      />
      <Toggle label="Breast-feeding" checked={feeding} onChange={setFeeding} />
      <Input
        label="Operation planned on"
        type="date"
        value={operation}
        onChange={(e) => setOperation(e.target.value)}
        error={at('operationOn')}
      />
      <Toggle label="Lives elsewhere, is given things" checked={recipient} onChange={setRecipient} />
    </div>
  )
}

/** Plant families that are not borne. */
function Allergies({ f }: { f: PersonFormState }) {
  const { setFamilies, families, known, at } = f
  return (
    <div className="mt-3 space-y-2">
      <Choose
        label="Allergic to a plant family"
        value=""
        onChange={(f) => setFamilies([...new Set([...families, f])])}
        choices={(known.data ?? []).map((f) => ({
          value: f.latin,
          label: f.words,
          hint: f.examples || f.latin,
        }))}
        error={at('allergyFamilies')}
      />
      <ul className="flex flex-wrap gap-2">
        {families.map((f) => (
          <li key={f} className="border-line border-2">
            <span className="px-2">{known.data?.find((k) => k.latin === f)?.words ?? f}</span>
            <button
              type="button"
              className="border-line min-h-9 min-w-9 border-l-2"
              aria-label={`no allergy to ${f}`}
              onClick={() => setFamilies(families.filter((x) => x !== f))}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** What was taken in the weeks before, judged by what is known of the person now. */
function TakenBefore({ id }: { id: string }) {
  const [search] = useSearchParams()
  const before = useQuery({
    queryKey: ['taken-before', id],
    queryFn: () => ask(api.GET('/api/dosing/people/{id}/taken-before', { params: { path: { id } } })),
  })
  if (!before.data || before.data.length === 0) return null
  return (
    <div className="mb-3 space-y-2" role="alert">
      <p className="text-lg font-semibold">
        {search.has('saved') ? 'Saved. ' : ''}Tell the prescriber or pharmacist what was taken in the last
        weeks:
      </p>
      <Findings findings={before.data} label="What was taken in the weeks before" />
    </div>
  )
}

function Ticks<T extends string>({
  words,
  all,
  chosen,
  onFlip,
}: {
  words: Record<T, string>
  all: T[]
  chosen: T[]
  onFlip: (item: T) => void
}) {
  return (
    <ul>
      {all.map((item) => (
        <li key={item}>
          <label className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 shrink-0"
              checked={chosen.includes(item)}
              onChange={() => onFlip(item)}
            />
            {words[item]}
          </label>
        </li>
      ))}
    </ul>
  )
}

/** undefined for what is no age */
function yearsOf(typed: string) {
  const years = number(typed.replace(/\s*(years?|y)\s*$/i, ''))
  return years >= 0 && years <= 120 ? years : undefined
}

/** A day of birth that gives so many years today. */
function bornBefore(years: number) {
  const [y, m, d] = isoToday().split('-')
  const whole = Math.floor(years)
  // A 29th of February is the 28th elsewhere.
  return `${String(Number(y) - whole).padStart(4, '0')}-${m}-${m === '02' && d === '29' ? '28' : d}`
}
