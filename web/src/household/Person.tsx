import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, ProblemError, type Schemas } from '../api/client'
import { Button, Input, number, NumberInput, Toggle } from '../ui/controls'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { WhatChanged } from '../ui/WhatChanged'
import { lower } from '../ui/words'
import { usePeople } from './queries'

type PersonView = Schemas['PersonView']
type Condition = PersonView['conditions'][number]
type Medicine = PersonView['medicines'][number]

const CONDITIONS: Condition[] = [
  'ACTIVE_ULCER',
  'SALICYLATE_ALLERGY',
  'LOW_BLOOD_PRESSURE',
  'STOMACH_INFLAMMATION',
  'GALLSTONES',
  'LIVER_DISEASE',
  'KIDNEY_DISEASE',
  'THYROID_DISEASE',
  'BOWEL_OBSTRUCTION',
  'LOW_POTASSIUM',
  'ASTHMA',
  'FLUID_RETENTION',
  'RECOVERY_FROM_DRINK',
]
const MEDICINES: Medicine[] = [
  'ANTICOAGULANT',
  'ANTIPLATELET',
  'SEDATIVE',
  'ANTIEPILEPTIC',
  'IMMUNOSUPPRESSANT',
  'CONTRACEPTIVE',
  'ANTIRETROVIRAL',
  'DIGOXIN',
  'HEART_RHYTHM',
  'LITHIUM',
  'ANTIDEPRESSANT',
  'DIABETES',
  'BLOOD_PRESSURE',
  'DIURETIC',
  'ANTI_INFLAMMATORY',
  'ALCOHOL_REACTING',
]

export function Person() {
  const { id } = useParams()
  const people = usePeople()
  return (
    <Loaded query={people}>
      {(all) => {
        const known = all.find((p) => p.id === id)
        return id === 'new' || known ? (
          <PersonForm key={known?.id ?? 'new'} person={known} />
        ) : (
          <Page title="Nobody here">
            <p>There is no such person.</p>
          </Page>
        )
      }}
    </Loaded>
  )
}

function PersonForm({ person }: { person: PersonView | undefined }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  // What was on the page when it was opened; a newer one must not wipe what is being typed.
  const [seen] = useState({ person, version: person?.version ?? 0 })
  const [id] = useState(person?.id ?? v7())
  const [name, setName] = useState(person?.name ?? '')
  const [bornOn, setBornOn] = useState(person?.bornOn ?? '')
  const [weight, setWeight] = useState(person?.weightKg?.toString() ?? '')
  const [height, setHeight] = useState(person?.heightCm?.toString() ?? '')
  const [trimester, setTrimester] = useState(person?.trimester?.toString() ?? '')
  const [operation, setOperation] = useState(person?.operationOn ?? '')
  const [feeding, setFeeding] = useState(person?.breastFeeding ?? false)
  const [recipient, setRecipient] = useState(person?.recipient ?? false)
  const [conditions, setConditions] = useState(person?.conditions ?? [])
  const [medicines, setMedicines] = useState(person?.medicines ?? [])
  const [families, setFamilies] = useState(person?.allergyFamilies.join(', ') ?? '')

  const save = useMutation({
    mutationFn: (version: number) => {
      const body = {
        id,
        name,
        bornOn,
        weightKg: weight === '' ? undefined : number(weight),
        heightCm: height === '' ? undefined : number(height),
        trimester: trimester === '' ? undefined : number(trimester),
        breastFeeding: feeding,
        conditions,
        medicines,
        allergyFamilies: families
          .split(',')
          .map((f) => f.trim())
          .filter(Boolean),
        operationOn: operation || undefined,
        recipient,
      }
      return person
        ? ask(
            api.PUT('/api/people/{id}', {
              params: { path: { id }, header: ifMatch(version) },
              body,
            }),
          )
        : ask(api.POST('/api/people', { body }))
    },
    onSuccess: async () => {
      await queries.invalidateQueries()
      await navigate('/dosing')
    },
  })
  const problem = save.error instanceof ProblemError ? save.error.problem : undefined
  const at = (field: string) => problem?.errors?.find((e) => e.field === field)?.message
  const flip = <T,>(list: T[], item: T) =>
    list.includes(item) ? list.filter((i) => i !== item) : [...list, item]

  return (
    <Page title={person ? person.name : 'Somebody new'}>
      <form
        className="grid gap-4 lg:grid-cols-3"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate(seen.version)
        }}
      >
        <Section title="Who">
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
              label="Weight"
              unit="kg"
              value={weight}
              onChange={setWeight}
              error={at('weightKg')}
            />
            <NumberInput
              label="Height"
              unit="cm"
              value={height}
              onChange={setHeight}
              error={at('heightCm')}
            />
            <NumberInput
              label="Pregnant: which trimester"
              hint="1, 2 or 3; leave empty if not"
              value={trimester}
              onChange={setTrimester}
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
        </Section>
        <Section title="Medicines taken">
          <Ticks all={MEDICINES} chosen={medicines} onFlip={(m) => setMedicines(flip(medicines, m))} />
        </Section>
        <Section title="Conditions">
          <Ticks all={CONDITIONS} chosen={conditions} onFlip={(c) => setConditions(flip(conditions, c))} />
          <div className="mt-3">
            <Input
              label="Allergic to plant families"
              hint="in Latin, with commas: Asteraceae, Apiaceae"
              value={families}
              onChange={(e) => setFamilies(e.target.value)}
            />
          </div>
        </Section>
        <div className="space-y-3 lg:col-span-3">
          <ProblemNotice error={save.error} />
          <WhatChanged error={save.error} before={seen.person} onMine={(v) => save.mutate(v)} />
          <Button kind="main" type="submit" disabled={save.isPending}>
            Save
          </Button>
        </div>
      </form>
    </Page>
  )
}

function Ticks<T extends string>({
  all,
  chosen,
  onFlip,
}: {
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
              className="size-5"
              checked={chosen.includes(item)}
              onChange={() => onFlip(item)}
            />
            {lower(item)}
          </label>
        </li>
      ))}
    </ul>
  )
}
