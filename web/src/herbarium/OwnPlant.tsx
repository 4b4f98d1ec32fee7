import { useState } from 'react'
import { errorAt, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Toggle } from '../ui/controls'
import { CONDITION, EVIDENCE, MEDICINE, PART, ROUTE, STAGE } from '../ui/dictionary'
import { forget, useHere, useTyped } from '../ui/kept'
import { ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { useChange } from './Edit'
import { Months } from './Months'
import { useCharacters } from './queries'
import { STAGES } from './stages'

type TaxonView = Schemas['TaxonView']
type Card = Schemas['CardFile']
type Part = Schemas['PartFile']
type Caution = Schemas['CautionFile']
type Evidence = Schemas['SourceFile']['evidence']

const keysOf = <K extends string>(words: Record<K, unknown>) => Object.keys(words) as K[]

/** What a plant of the household's own still wants until it can be gathered, each by a form of its own. */
export function OwnPlant({ t }: { t: TaxonView }) {
  const [open, setOpen] = useState('')
  const forms = {
    character: <AddCharacter t={t} onDone={() => setOpen('')} />,
    part: <AddPart t={t} onDone={() => setOpen('')} />,
    caution: <AddCaution t={t} onDone={() => setOpen('')} />,
  }
  return (
    <div className="mb-3">
      <Section title="From a draft to a plant that is gathered">
        <div className="space-y-3">
          <Wanting t={t} />
          <div className="flex flex-wrap gap-2">
            <Button aria-pressed={open === 'character'} onClick={() => setOpen('character')}>
              Add a character
            </Button>
            <Button aria-pressed={open === 'part'} onClick={() => setOpen('part')}>
              Add a part
            </Button>
            <Button aria-pressed={open === 'caution'} onClick={() => setOpen('caution')}>
              Add a caution
            </Button>
          </div>
          {open in forms && forms[open as keyof typeof forms]}
          <Whole t={t} />
        </div>
      </Section>
    </div>
  )
}

function Wanting({ t }: { t: TaxonView }) {
  const wanting = [...t.missing, ...(t.parts.length === 0 ? ['no part is gathered of it yet'] : [])]
  return wanting.length === 0 ? (
    <p>Nothing is wanting{t.draft ? ': it can be called whole.' : '.'}</p>
  ) : (
    <div>
      <p className="font-medium">Still wanting</p>
      <ul className="list-disc pl-5">
        {wanting.map((m) => (
          <li key={m}>{m}</li>
        ))}
      </ul>
    </div>
  )
}

/** Called whole it can be gathered, where it is told for sure and the stand allows it; a draft is put aside again. */
function Whole({ t }: { t: TaxonView }) {
  const change = useChange(t.id)
  return (
    <div className="space-y-2">
      <Toggle
        label="I looked up what it is taken for, in a flora of this region; the look-alikes on this page are all there are"
        checked={t.lookAlikesChecked}
        onChange={(lookAlikesChecked) => change.mutate((c) => ({ ...c, lookAlikesChecked }))}
      />
      <ProblemNotice error={change.error} />
      <Button
        kind={t.draft ? 'main' : 'quiet'}
        disabled={change.isPending || (t.draft && (t.missing.length > 0 || t.parts.length === 0))}
        onClick={() => change.mutate((c) => ({ ...c, draft: !t.draft }))}
      >
        {t.draft ? 'It is whole' : 'Put it aside as a draft'}
      </Button>
    </div>
  )
}

/** Kept: what was typed is no longer wanted. */
function useDone(onDone: () => void) {
  const here = useHere()
  return () => {
    forget(here)
    onDone()
  }
}

function AddCharacter({ t, onDone }: { t: TaxonView; onDone: () => void }) {
  const characters = useCharacters()
  const change = useChange(t.id)
  const [of, setOf] = useState('')
  const [state, setState] = useState('')
  const open = (characters.data ?? []).filter(
    (c) => c.groups.includes(t.group) && !t.characters.some((x) => x.character === c.id),
  )
  const chosen = open.find((c) => c.id === of)
  return (
    <form
      className="grid gap-3 sm:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault()
        change.mutate((c) => ({ ...c, characters: { ...c.characters, [of]: `always ${state}` } }), {
          onSuccess: onDone,
        })
      }}
    >
      <Choose
        label="Character"
        value={of}
        choices={open.map((c) => ({ value: c.id, label: c.name }))}
        onChange={(c) => {
          setOf(c)
          setState('')
        }}
      />
      <Choose
        label="What it always shows"
        value={state}
        choices={(chosen?.states ?? []).map((s) => ({ value: s.id, label: s.words }))}
        onChange={setState}
      />
      <p className="text-soft text-sm sm:col-span-2">
        Always is said of every one: the young, the shaded, the grazed and the withered as well. Leave out
        what varies.
      </p>
      <Keep change={change} ready={state !== ''}>
        Keep the character
      </Keep>
    </form>
  )
}

function AddPart({ t, onDone }: { t: TaxonView; onDone: () => void }) {
  const change = useChange(t.id)
  const done = useDone(onDone)
  const [part, setPart] = useTyped<Part['part'] | ''>('part', '')
  const [moment, setMoment] = useTyped('moment', '')
  const [method, setMethod] = useTyped('method', '')
  const [tools, setTools] = useTyped('tools', '')
  const [months, setMonths] = useTyped<number[]>('months', [])
  const [stages, setStages] = useTyped<Part['stages']>('stages', [])
  const [perPlant, setPerPlant] = useTyped('perPlant', '')
  const [ofStand, setOfStand] = useTyped('ofStand', '')
  const [routes, setRoutes] = useTyped<Part['routes']>('routes', [])
  const flip = <T,>(list: T[], item: T) =>
    list.includes(item) ? list.filter((x) => x !== item) : [...list, item]
  const there = t.parts.map((p) => p.part)
  const at = (field: string) => errorAt(change.error, `parts[${there.length}].${field}`)
  return (
    <form
      className="grid gap-3 sm:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault()
        if (part === '') return
        const added: Part = {
          part,
          moment,
          stages,
          months,
          sharePerPlant: number(perPlant) / 100,
          shareOfStand: number(ofStand) / 100,
          routes,
          method,
          ...(tools ? { tools } : {}),
        }
        change.mutate((c) => ({ ...c, parts: [...(c.parts ?? []), added] }), { onSuccess: done })
      }}
    >
      <Choose
        label="Part"
        value={part}
        choices={keysOf(PART)
          .filter((p) => !there.includes(p))
          .map((p) => ({ value: p, label: PART[p] }))}
        onChange={setPart}
      />
      <Input
        label="When it is best"
        hint="as buds before they open"
        value={moment}
        onChange={(e) => setMoment(e.target.value)}
      />
      <Input
        label="How it is taken"
        hint="as cut above the second pair of leaves"
        value={method}
        onChange={(e) => setMethod(e.target.value)}
      />
      <Input label="Tools" value={tools} onChange={(e) => setTools(e.target.value)} />
      <NumberInput
        label="Of each plant, at most"
        unit="%"
        value={perPlant}
        onChange={setPerPlant}
        error={at('sharePerPlant')}
      />
      <NumberInput
        label="Of the stand in a year, at most"
        unit="%"
        value={ofStand}
        onChange={setOfStand}
        error={at('shareOfStand')}
      />
      <fieldset className="sm:col-span-2">
        <legend className="text-soft text-sm font-medium">At which stage</legend>
        <div className="flex flex-wrap gap-x-4">
          {STAGES[t.group].map((s) => (
            <Toggle
              key={s}
              label={STAGE[s]}
              checked={stages.includes(s)}
              onChange={() => setStages(flip<Part['stages'][number]>(stages, s))}
            />
          ))}
        </div>
      </fieldset>
      <div className="sm:col-span-2">
        <Months label="Gathered in" value={months} onChange={setMonths} />
      </div>
      <fieldset className="sm:col-span-2">
        <legend className="text-soft text-sm font-medium">For what</legend>
        <div className="flex flex-wrap gap-x-4">
          {keysOf(ROUTE).map((r) => (
            <Toggle
              key={r}
              label={ROUTE[r]}
              checked={routes.includes(r)}
              onChange={() => setRoutes(flip(routes, r))}
            />
          ))}
        </div>
      </fieldset>
      <Keep change={change} ready={part !== ''}>
        Keep the part
      </Keep>
    </form>
  )
}

const FOR_WHOM = {
  PREGNANCY: 'somebody expecting',
  BREAST_FEEDING: 'somebody breast-feeding',
  UNDER_AGE: 'children under an age',
  CONDITION: 'an illness or condition',
  MEDICINE: 'a kind of medicine',
  SUN: 'skin in the sun',
  DRIVING: 'whoever drives',
} as const
type ForWhom = keyof typeof FOR_WHOM

/** Those of whom it has to be said which. */
const ASKS_WHICH: ForWhom[] = ['UNDER_AGE', 'CONDITION', 'MEDICINE']

/** What is known of it, and what a gate then does. */
const KNOWN = {
  STOP: { label: 'not for them', status: 'PRESENT', severity: 'STOP' },
  WARN: { label: 'with care', status: 'PRESENT', severity: 'WARN' },
  NONE: { label: 'looked up, nothing found', status: 'NONE_FOUND' },
  UNKNOWN: { label: 'looked up, nobody knows', status: 'UNKNOWN' },
} as const satisfies Record<
  string,
  { label: string; status: Caution['status']; severity?: Caution['severity'] }
>

/** The card with a source more, and the name it goes by in it. */
function withSource(card: Card, source: Schemas['SourceFile']): [Card, string] {
  const same = Object.entries(card.sources ?? {}).find(
    ([, s]) => s.title === source.title && s.year === source.year && s.evidence === source.evidence,
  )
  if (same) return [card, same[0]]
  let n = Object.keys(card.sources ?? {}).length + 1
  while (`own${n}` in (card.sources ?? {})) n++
  return [{ ...card, sources: { ...card.sources, [`own${n}`]: source } }, `own${n}`]
}

function AddCaution({ t, onDone }: { t: TaxonView; onDone: () => void }) {
  const change = useChange(t.id)
  const done = useDone(onDone)
  const [whom, setWhom] = useTyped<ForWhom | ''>('whom', '')
  const [value, setValue] = useTyped('cautionOf', '')
  const [known, setKnown] = useTyped<keyof typeof KNOWN | ''>('known', '')
  const [effect, setEffect] = useTyped('effect', '')
  const [title, setTitle] = useTyped('sourceTitle', '')
  const [year, setYear] = useTyped('sourceYear', '')
  const [evidence, setEvidence] = useTyped<Evidence | ''>('sourceEvidence', '')
  const values =
    whom === 'CONDITION' ? Object.entries(CONDITION) : whom === 'MEDICINE' ? Object.entries(MEDICINE) : []
  return (
    <form
      className="grid gap-3 sm:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault()
        if (whom === '' || known === '' || evidence === '') return
        const { status, ...rest } = KNOWN[known]
        change.mutate(
          (c) => {
            const [card, source] = withSource(c, { title, year: number(year), evidence })
            const caution: Caution = {
              subject: whom,
              ...(value ? { value } : {}),
              status,
              ...('severity' in rest ? { severity: rest.severity } : {}),
              effect,
              source,
            }
            return { ...card, cautions: [...(card.cautions ?? []), caution] }
          },
          { onSuccess: done },
        )
      }}
    >
      <Choose
        label="For whom"
        value={whom}
        choices={keysOf(FOR_WHOM).map((w) => ({ value: w, label: FOR_WHOM[w] }))}
        onChange={(w) => {
          setWhom(w)
          setValue('')
        }}
      />
      {whom === 'UNDER_AGE' && (
        <NumberInput
          label="Under"
          unit="years"
          value={value}
          onChange={setValue}
          hint="18 for all children"
        />
      )}
      {values.length > 0 && (
        <Choose
          label="Which"
          value={value}
          choices={values.map(([v, label]) => ({ value: v, label }))}
          onChange={setValue}
        />
      )}
      <Choose
        label="What is known"
        value={known}
        choices={keysOf(KNOWN).map((k) => ({ value: k, label: KNOWN[k].label }))}
        onChange={setKnown}
      />
      <Input
        label="Why, in a few words"
        hint="as safety is not established"
        value={effect}
        onChange={(e) => setEffect(e.target.value)}
      />
      <Input
        label="Where it is written, or who says so"
        value={title}
        onChange={(e) => setTitle(e.target.value)}
      />
      <Input label="Of the year" inputMode="numeric" value={year} onChange={(e) => setYear(e.target.value)} />
      <Choose
        label="What kind of word that is"
        value={evidence}
        choices={keysOf(EVIDENCE).map((k) => ({ value: k, label: EVIDENCE[k] }))}
        onChange={setEvidence}
      />
      {/* Of none in particular it would be said of all of them: "nothing found" must not be. */}
      <Keep
        change={change}
        ready={whom !== '' && known !== '' && evidence !== '' && (value !== '' || !ASKS_WHICH.includes(whom))}
      >
        Keep the caution
      </Keep>
    </form>
  )
}

function Keep({
  change,
  ready,
  children,
}: {
  change: ReturnType<typeof useChange>
  ready: boolean
  children: string
}) {
  return (
    <div className="space-y-2 sm:col-span-2">
      <ProblemNotice error={change.error} />
      <Button kind="main" type="submit" disabled={change.isPending || !ready}>
        {children}
      </Button>
    </div>
  )
}
