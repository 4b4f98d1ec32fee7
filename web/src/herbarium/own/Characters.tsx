import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Choose } from '../../ui/Choose'
import { Button, Toggle } from '../../ui/controls'
import { FREQUENCY, ORGAN, STAGE, type Stage } from '../../ui/dictionary'
import { useTyped } from '../../ui/kept'
import { ProblemNotice } from '../../ui/page'
import { useChange } from '../Edit'
import { useCharacters, useTaxa, useTaxon } from '../queries'
import { STAGES } from '../stages'

type TaxonView = Schemas['TaxonView']
type Shown = Schemas['ShownView']
type Character = Schemas['CharacterView']
type Card = Schemas['CardFile']
type Frequency = 'always' | 'usual' | 'rare'

const said = (shown: Shown[], all: readonly Stage[]) =>
  shown
    .map((s) => {
      const words = s.states.map((x) => `${FREQUENCY[x.frequency]} ${x.words}`).join('; ')
      const stages = s.stages.filter((x) => all.includes(x))
      return shown.length > 1 ? `${stages.map((x) => STAGE[x]).join(', ')}: ${words}` : words
    })
    .join(' · ')

/** As a card writes it: "usual opposite, rare whorled". */
const line = (states: { state: string; frequency: Frequency }[]) =>
  states.map((s) => `${s.frequency} ${s.state}`).join(', ')

const FILE: Record<Schemas['StateView']['frequency'], Frequency | null> = {
  ALWAYS: 'always',
  USUAL: 'usual',
  RARE: 'rare',
  POSSIBLE: null,
}

/** What another card says of a character, as lines for this one. */
function copied(card: Card, shown: Shown[]): Card {
  const lines = shown
    .filter((s) => s.under.length === 0)
    .map((s): [string, string] => {
      const key = shown.length === 1 ? s.character : `${s.character}@${s.stages.join(',')}`
      return [
        key,
        line(
          s.states.flatMap((x) => {
            const frequency = FILE[x.frequency]
            return frequency ? [{ state: x.state, frequency }] : []
          }),
        ),
      ]
    })
    .filter(([, words]) => words !== '')
  return {
    ...card,
    characters: { ...unsaid(card, shown[0]?.character ?? '').characters, ...Object.fromEntries(lines) },
  }
}

const unsaid = (card: Card, character: string): Card => ({
  ...card,
  characters: Object.fromEntries(
    Object.entries(card.characters).filter(([key]) => key.split('@')[0] !== character),
  ),
})

/**
 * Every character that such a plant can show: what is said of it, how often and at which stage. A relative's stands beside as a
 * proposal; nothing of it counts before it was taken over, one by one.
 */
export function Characters({ t }: { t: TaxonView }) {
  const characters = useCharacters()
  const taxa = useTaxa()
  const [beside, setBeside] = useTyped('beside', '')
  const relative = useTaxon(beside)
  const [open, setOpen] = useState('')
  const change = useChange(t.id)
  const all = (characters.data ?? []).filter((c) => c.groups.includes(t.group))
  const organs = [...new Set(all.map((c) => c.organ))]
  const of = (c: Character) => t.characters.filter((x) => x.character === c.id)
  const stages: readonly Stage[] = STAGES[t.group]
  return (
    <div className="space-y-2">
      <p className="text-soft text-sm">
        Always is said of every one: the young, the shaded, the grazed and the withered as well. What varies
        is usual or rare; what nobody knows is left out.
      </p>
      <div className="max-w-96">
        <Choose
          label="Beside a relative"
          value={beside}
          choices={(taxa.data ?? [])
            .filter((x) => x.id !== t.id && x.group === t.group)
            .map((x) => ({ value: x.id, label: x.commonName, hint: x.name }))}
          onChange={setBeside}
        />
      </div>
      <ProblemNotice error={change.error} />
      {organs.map((o) => {
        const here = all.filter((c) => c.organ === o)
        return (
          <details key={o} className="border-line border-b py-1">
            <summary className="min-h-7 cursor-pointer font-semibold">
              {ORGAN[o]}{' '}
              <span className="text-soft font-normal">
                {here.filter((c) => of(c).length > 0).length} of {here.length}
              </span>
            </summary>
            <ul>
              {here.map((c) => {
                const own = of(c)
                const its = relative.data?.characters.filter((x) => x.character === c.id) ?? []
                return (
                  <li key={c.id} className="border-line border-t py-1">
                    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                      <span className="font-medium sm:w-64">{c.name}</span>
                      <span className="least-40 flex-1">
                        {own.length > 0 ? said(own, stages) : <span className="text-soft">not said</span>}
                        {relative.data && its.length > 0 && (
                          <span className="text-soft block text-sm">
                            {relative.data.commonNames[0]}: {said(its, stages)}
                          </span>
                        )}
                      </span>
                      {its.length > 0 && said(its, stages) !== said(own, stages) && (
                        <Button
                          aria-label={`The same: ${c.name}`}
                          disabled={change.isPending}
                          onClick={() => change.mutate((card) => copied(card, its))}
                        >
                          The same
                        </Button>
                      )}
                      {own.length > 0 && (
                        <Button
                          aria-label={`Take off: ${c.name}`}
                          disabled={change.isPending}
                          onClick={() => change.mutate((card) => unsaid(card, c.id))}
                        >
                          Take off
                        </Button>
                      )}
                      <Button
                        aria-label={`${own.length > 0 ? 'Say otherwise' : 'Say it'}: ${c.name}`}
                        aria-expanded={open === c.id}
                        onClick={() => setOpen(open === c.id ? '' : c.id)}
                      >
                        {own.length > 0 ? 'Say otherwise' : 'Say it'}
                      </Button>
                    </div>
                    {open === c.id && <Say t={t} c={c} stages={stages} onDone={() => setOpen('')} />}
                  </li>
                )
              })}
            </ul>
          </details>
        )
      })}
    </div>
  )
}

const OFTEN = [
  { value: '', label: 'not seen' },
  { value: 'always', label: 'always' },
  { value: 'usual', label: 'usually' },
  { value: 'rare', label: 'rarely' },
] as const

/** One character: how often each of its states is seen, at all stages or at some. */
function Say({
  t,
  c,
  stages,
  onDone,
}: {
  t: TaxonView
  c: Character
  stages: readonly Stage[]
  onDone: () => void
}) {
  const change = useChange(t.id)
  const [often, setOften] = useState<Record<string, Frequency | ''>>({})
  const [at, setAt] = useState<Stage[]>([])
  const [tried, setTried] = useState(false)
  const states = c.states.flatMap((s) => {
    const frequency = often[s.id]
    return frequency ? [{ state: s.id, frequency }] : []
  })
  const seenAt = stages.filter((s) => c.stages.includes(s))
  const already = t.characters.some((x) => x.character === c.id)
  return (
    <form
      className="bg-water-pale my-1 space-y-2 p-2"
      aria-label={c.name}
      onSubmit={(e) => {
        e.preventDefault()
        setTried(true)
        if (states.length === 0) return
        const key = at.length === 0 ? c.id : `${c.id}@${at.join(',')}`
        change.mutate(
          (card) => {
            // Said of all stages it replaces what was said before, said of one it stands beside.
            const rest = at.length === 0 ? unsaid(card, c.id) : card
            return { ...rest, characters: { ...rest.characters, [key]: line(states) } }
          },
          { onSuccess: onDone },
        )
      }}
    >
      <p className="text-sm">{c.howToLook}</p>
      <div className="grid gap-2 sm:grid-cols-3">
        {c.states.map((s) => (
          <Choose
            key={s.id}
            label={s.words}
            value={often[s.id] ?? ''}
            choices={OFTEN.map((o) => ({ ...o }))}
            onChange={(f: Frequency | '') =>
              // What is always so is never otherwise.
              setOften(f === 'always' ? { [s.id]: f } : { ...withoutAlways(often), [s.id]: f })
            }
          />
        ))}
      </div>
      {seenAt.length > 1 && (
        <fieldset>
          <legend className="text-soft text-sm font-medium">
            {already
              ? 'Only at these stages; at none chosen it replaces what is said'
              : 'Only at these stages, if it changes'}
          </legend>
          <div className="flex flex-wrap gap-x-4">
            {seenAt.map((s) => (
              <Toggle
                key={s}
                label={STAGE[s]}
                checked={at.includes(s)}
                onChange={() => setAt(at.includes(s) ? at.filter((x) => x !== s) : [...at, s])}
              />
            ))}
          </div>
        </fieldset>
      )}
      {tried && states.length === 0 && (
        <p role="alert" className="text-madder text-sm font-medium">
          Say of one of them how often it is seen.
        </p>
      )}
      <ProblemNotice error={change.error} />
      <Button kind="main" type="submit" disabled={change.isPending}>
        Keep the character
      </Button>
    </form>
  )
}

const withoutAlways = (often: Record<string, Frequency | ''>) =>
  Object.fromEntries(Object.entries(often).filter(([, f]) => f !== 'always'))
