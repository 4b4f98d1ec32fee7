import { forget, useKept } from '../ui/kept'
import { listOf } from '../ui/read'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, ask, type Schemas } from '../api/client'
import { useSession } from '../household/queries'
import { Choose } from '../ui/Choose'
import { Button, Input } from '../ui/controls'
import { Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { DANGER, GROUP, ORGAN, STAGE } from '../ui/dictionary'
import { PlantDrawing } from './drawing'
import { useCharacters, useTaxa } from './queries'
import { pageOnly } from '../ui/may'
import { Months } from './Months'
import { STAGES } from './stages'

type Card = Schemas['CardFile']
type Character = Schemas['CharacterView']
type Group = Schemas['CharacterView']['groups'][number]
type Danger = Card['danger']

/** "Filipendula ulmaria" to filipendula-ulmaria. */
const idOf = (name: string) =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]+/g, '-')
    .replace(/^-|-$/g, '')

/** A card of the household's own, with the checks of those that ship. It lands as a draft: told, not gathered. */
export const NewPlant = pageOnly('keep', function NewPlant() {
  const characters = useCharacters()
  return <Loaded query={characters}>{(all) => <Form all={all} />}</Loaded>
})

/** A plant as it is described, and its saving. */
function useNewPlant({ all }: { all: Character[] }) {
  const navigate = useNavigate()
  const session = useSession()
  const taxa = useTaxa()
  const draft = 'a plant of your own'
  const [names, setNames] = useKept(draft, 'names', {
    name: '',
    author: '',
    common: '',
    family: '',
    lifeForm: '',
    habitat: '',
  })
  const [book, setBook] = useKept(draft, 'book', { title: '', year: '' })
  const [group, setGroup] = useKept<Group>(draft, 'group', 'PLANT')
  const [danger, setDanger] = useKept<Danger | ''>(draft, 'danger', '')
  const [months, setMonths] = useKept<Record<string, number[]>>(draft, 'months', {})
  const [states, setStates] = useKept<Record<string, string>>(draft, 'states', {})
  const [likes, setLikes] = useKept<{ taxon: string; tells: string }[]>(draft, 'likes', [])
  const [text, setText] = useState<string | null>(null)
  const set = (key: keyof typeof names) => (e: React.ChangeEvent<HTMLInputElement>) =>
    setNames({ ...names, [key]: e.target.value })

  const kept = async (id: string) => {
    forget(draft)
    await navigate(`/herbarium/${id}`)
  }
  const save = useCommand('herbarium', {
    mutationFn: () => {
      const id = idOf(names.name)
      const card: Card = {
        id,
        name: names.name,
        author: names.author,
        commonNames: listOf(names.common),
        family: names.family,
        group,
        lifeForm: names.lifeForm,
        danger: danger as Danger,
        draft: true,
        lookAlikesChecked: false,
        regions: [session.data?.region ?? ''],
        habitat: names.habitat,
        protection: 'Look up the local rule.',
        months: Object.fromEntries(Object.entries(months).filter(([, m]) => m.length > 0)),
        characters: Object.fromEntries(Object.entries(states).map(([c, s]) => [c, `always ${s}`])),
        lookAlikes: likes
          .filter((l) => l.taxon)
          .map((l) => ({ taxon: l.taxon, tells: l.tells, decisive: [] })),
        source: { title: book.title, year: Number(book.year), evidence: 'REFERENCE' },
      }
      return ask(api.PUT('/api/herbarium/taxa/{id}/card', { params: { path: { id } }, body: card }))
    },
    after: (view) => kept(view.card.id),
  })
  const read = useCommand('herbarium', {
    mutationFn: (yaml: string) =>
      ask(
        api.POST('/api/herbarium/own-cards', {
          body: yaml,
          bodySerializer: (b: unknown) => String(b),
          headers: { 'Content-Type': 'application/yaml' },
        }),
      ),
    after: (view) => kept(view.card.id),
  })
  const visible = all.filter((c) => c.groups.includes(group))
  const organs = [...new Set(visible.map((c) => c.organ))]
  return {
    read,
    text,
    setText,
    names,
    set,
    book,
    setBook,
    group,
    setGroup,
    setMonths,
    setStates,
    danger,
    setDanger,
    likes,
    taxa,
    setLikes,
    organs,
    visible,
    states,
    kept,
    save,
    months,
  }
}
type NewPlantForm = ReturnType<typeof useNewPlant>

function Form({ all }: { all: Character[] }) {
  const f = useNewPlant({ all })
  const { setText, text, save, group, months, setMonths, states } = f
  return (
    <Page
      title="A plant of your own"
      actions={
        <Button onClick={() => setText(text === null ? '' : null)}>
          {text === null ? 'From a written card' : 'Fill it in here'}
        </Button>
      }
    >
      <p className="mb-3 max-w-3xl">
        It lands as a draft: it takes part in identification at once, and can be gathered only when its
        look-alikes are checked and its cautions written down.
      </p>
      {text !== null ? (
        <Written f={f} />
      ) : (
        <form
          className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]"
          onSubmit={(e) => {
            e.preventDefault()
            save.mutate()
          }}
        >
          <div className="space-y-4">
            <Names f={f} />
            <Section title="When it is seen">
              {STAGES[group].map((s) => (
                <Months
                  key={s}
                  label={STAGE[s]}
                  value={months[s] ?? []}
                  onChange={(m) => setMonths({ ...months, [s]: m })}
                />
              ))}
            </Section>
            <LookAlikes f={f} />
            <Section title="What it always shows">
              <p className="text-soft mb-2 text-sm">
                Leave out what varies or what you do not know: usual and rare states, stages apart, a relative
                beside it and everything else of the card are said on its page afterwards.
              </p>
              <Characters f={f} />
            </Section>
            <ProblemNotice error={save.error} />
            <Button kind="main" type="submit" disabled={save.isPending}>
              Keep the draft
            </Button>
          </div>
          <div className="space-y-3">
            <Section title="As you describe it">
              <PlantDrawing
                characters={states}
                stage={months['FLOWERING']?.length ? 'FLOWERING' : (STAGES[group][1] ?? STAGES[group][0])}
                label="Drawing of the plant described"
              />
            </Section>
            <SafetyLine />
          </div>
        </form>
      )}
    </Page>
  )
}

/** A card written as a file. */
function Written({ f }: { f: NewPlantForm }) {
  const { read, text, setText } = f
  if (text === null) return null
  return (
    <form
      className="max-w-4xl space-y-3"
      onSubmit={(e) => {
        e.preventDefault()
        read.mutate(text)
      }}
    >
      <label className="block">
        <span className="text-soft block text-sm font-medium">The card, as YAML</span>
        <textarea
          className="bg-sheet border-line h-96 w-full border-2 p-2 font-mono text-sm"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <ProblemNotice error={read.error} />
      <Button kind="main" type="submit" disabled={read.isPending || text.trim() === ''}>
        Check and keep it
      </Button>
    </form>
  )
}

/** Names, book and danger. */
function Names({ f }: { f: NewPlantForm }) {
  const { names, set, book, setBook, group, setGroup, setMonths, setStates, danger, setDanger } = f
  return (
    <Section title="Names">
      <div className="grid gap-3 sm:grid-cols-2">
        <Input label="Scientific name" value={names.name} onChange={set('name')} />
        <Input label="Author" value={names.author} onChange={set('author')} />
        <Input
          label="Common names"
          hint="separated by commas, the usual one first"
          value={names.common}
          onChange={set('common')}
        />
        <Input label="Family" value={names.family} onChange={set('family')} />
        <Input
          label="Life form"
          hint="as perennial herb, shrub"
          value={names.lifeForm}
          onChange={set('lifeForm')}
        />
        <Input label="Where it grows" value={names.habitat} onChange={set('habitat')} />
        <Input
          label="Book the description is from"
          value={book.title}
          onChange={(e) => setBook({ ...book, title: e.target.value })}
        />
        <Input
          label="Its year"
          inputMode="numeric"
          value={book.year}
          onChange={(e) => setBook({ ...book, year: e.target.value })}
        />
        <Choose
          label="Kind"
          value={group}
          choices={(Object.keys(STAGES) as Group[]).map((g) => ({
            value: g,
            label: GROUP[g],
          }))}
          onChange={(g) => {
            setGroup(g)
            setMonths({})
            setStates({})
          }}
        />
        <Choose
          label="Danger"
          value={danger}
          choices={(['HARMLESS', 'WEAKER', 'IRRITANT', 'POISONOUS', 'DEADLY'] as const).map((d) => ({
            value: d,
            label: DANGER[d],
          }))}
          onChange={setDanger}
        />
      </div>
    </Section>
  )
}

/** What it is taken for, and what tells them apart. */
function LookAlikes({ f }: { f: NewPlantForm }) {
  const { likes, taxa, setLikes } = f
  return (
    <Section title="Look-alikes">
      {likes.map((l, i) => (
        <div key={i} className="mb-2 grid gap-2 sm:grid-cols-2">
          <Choose
            label="Looks like"
            value={l.taxon}
            choices={(taxa.data ?? []).map((t) => ({
              value: t.id,
              label: t.commonName,
              hint: t.name,
            }))}
            onChange={(taxon) => setLikes(likes.map((x, j) => (j === i ? { ...x, taxon } : x)))}
          />
          <Input
            label="What tells them apart"
            value={l.tells}
            onChange={(e) => setLikes(likes.map((x, j) => (j === i ? { ...x, tells: e.target.value } : x)))}
          />
        </div>
      ))}
      <Button onClick={() => setLikes([...likes, { taxon: '', tells: '' }])}>Add a look-alike</Button>
    </Section>
  )
}

/** Its characters, organ by organ. */
function Characters({ f }: { f: NewPlantForm }) {
  const { organs, visible, states, setStates } = f
  return (
    <>
      {organs.map((o) => (
        <details key={o} className="border-line border-b py-1">
          <summary className="min-h-7 cursor-pointer font-semibold">
            {ORGAN[o]}{' '}
            <span className="text-soft font-normal">
              {visible.filter((c) => c.organ === o && states[c.id]).length} of{' '}
              {visible.filter((c) => c.organ === o).length}
            </span>
          </summary>
          <div className="grid gap-3 py-2 sm:grid-cols-2">
            {visible
              .filter((c) => c.organ === o)
              .map((c) => (
                <Choose
                  key={c.id}
                  label={c.name}
                  value={states[c.id] ?? ''}
                  choices={[
                    { value: '', label: 'not known' },
                    ...c.states.map((s) => ({ value: s.id, label: s.words })),
                  ]}
                  onChange={(s) => {
                    const kept = Object.entries(states).filter(([k]) => k !== c.id)
                    setStates(Object.fromEntries(s === '' ? kept : [...kept, [c.id, s]]))
                  }}
                />
              ))}
          </div>
        </details>
      ))}
    </>
  )
}
