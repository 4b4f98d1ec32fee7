import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { PlantDrawing, usualStates } from '../herbarium/drawing'
import { useCharacters, useComparison, useTaxon } from '../herbarium/queries'
import { Tells } from '../herbarium/Tells'
import { Button, Choose, Toggle } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { Loaded, SafetyLine } from '../ui/page'
import { useLive } from '../ui/useLive'
import { LOOKING, STAGE } from '../ui/dictionary'
import { Question } from './Question'
import { Verdict, VerdictStrip } from './Verdict'

export type Stage = Schemas['IdentifyRequest']['stage']
export type Observation = Schemas['ObservationRequest']
export type Group = Schemas['CharacterView']['groups'][number]
type Condition = NonNullable<Schemas['IdentifyRequest']['conditions']>[number]
export type Answer = Schemas['IdentifyAnswer']

export interface Seen {
  on: string
  stage: Stage
  region: string
  conditions: Condition[]
  observations: Observation[]
}

export const STAGES: Record<Group, Stage[]> = {
  PLANT: ['SEEDLING', 'ROSETTE', 'LEAFY', 'FLOWERING', 'FRUITING', 'WINTER'],
  FERN: ['SPORING'],
  LICHEN: ['THALLUS'],
  FUNGUS: ['FRUIT_BODY'],
}
const CONDITIONS: { value: Condition; label: string }[] = [
  { value: 'WET', label: 'wet' },
  { value: 'DULL_WEATHER', label: 'dull weather' },
  { value: 'SHADE', label: 'in shade' },
  { value: 'FROSTED', label: 'after frost' },
  { value: 'DRIED', label: 'a dried piece' },
]

/**
 * Tapping what is seen, the most telling question first, any other in any order. Says what remains possible and whether it
 * is certain; the verdict is the server's.
 *
 * @param expected what it is taken for; undefined when nobody knows
 */
export function Identify({
  expected,
  group,
  seen,
  onChange,
  children,
}: {
  expected?: string
  group: Group
  seen: Seen
  onChange: (seen: Seen) => void
  children?: (answer: Answer | undefined) => React.ReactNode
}) {
  const characters = useCharacters()
  // What was tapped, oldest first, so that the last step can be undone: a state seen or something not to be seen.
  const [steps, setSteps] = useState<{ character: string; unseeable: boolean }[]>([])
  const body = {
    month: Number(seen.on.slice(5, 7)),
    stage: seen.stage,
    region: seen.region,
    conditions: seen.conditions,
    observations: seen.observations,
    unseeable: steps.filter((s) => s.unseeable).map((s) => s.character),
  }
  const answer = useLive('identify', body, (b: typeof body, signal) =>
    ask(api.POST('/api/calculators/identify', { body: b, signal })),
  )
  const lead = answer.data?.verdict.taxon ?? expected ?? ''
  const leading = useTaxon(lead)
  const drawn = leading.data ? usualStates(leading.data.characters, seen.stage) : {}
  const on = { ...drawn, ...Object.fromEntries(seen.observations.map((o) => [o.character, o.state])) }

  const without = (character: string) => seen.observations.filter((o) => o.character !== character)
  const observe = (character: string, state: string) => {
    setSteps([...steps, { character, unseeable: false }])
    onChange({ ...seen, observations: [...without(character), { character, state }] })
  }
  const cannotSee = (character: string) => setSteps([...steps, { character, unseeable: true }])
  const forget = (character: string) => {
    setSteps(steps.filter((s) => s.character !== character))
    onChange({ ...seen, observations: without(character) })
  }
  const last = steps[steps.length - 1]
  const undo = () => {
    if (!last) return
    setSteps(steps.slice(0, -1))
    if (!last.unseeable) onChange({ ...seen, observations: without(last.character) })
  }

  return (
    <Loaded query={characters}>
      {(all) => {
        const visible = all.filter(
          (c) =>
            c.stages.includes(seen.stage) &&
            c.groups.includes(group) &&
            !c.notUnder.some((n) => seen.conditions.includes(n)),
        )
        const unseeable = steps.filter((s) => s.unseeable).map((s) => s.character)
        const open = visible.filter(
          (c) => !seen.observations.some((o) => o.character === c.id) && !unseeable.includes(c.id),
        )
        const asked = answer.data?.next?.character
        // Until the next question is known none is shown: one that jumps under a thumb gets a false answer.
        const choosing =
          !answer.isError && (!answer.data || (answer.behind && !open.some((c) => c.id === asked)))
        const first = choosing ? undefined : (open.find((c) => c.id === asked) ?? open[0])
        const rest = open.filter((c) => c.id !== first?.id)
        return (
          <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_25rem]">
            {answer.data && <VerdictStrip answer={answer.data} />}
            <div className="space-y-3">
              <div className="flex flex-wrap items-end gap-3">
                <div className="w-44">
                  <Choose
                    label="It is now"
                    value={seen.stage}
                    choices={STAGES[group].map((s) => ({ value: s, label: STAGE[s] }))}
                    onChange={(stage) =>
                      onChange({
                        ...seen,
                        stage,
                        observations: seen.observations.filter((o) =>
                          all.find((c) => c.id === o.character)?.stages.includes(stage),
                        ),
                      })
                    }
                  />
                </div>
                <Button onClick={undo} disabled={!last}>
                  Undo
                </Button>
                <details>
                  <summary className="text-note min-h-6 cursor-pointer text-sm underline">
                    How you see it
                    {seen.conditions.length > 0 && `: ${seen.conditions.map((c) => LOOKING[c]).join(', ')}`}
                  </summary>
                  <div className="flex flex-wrap gap-3 py-1">
                    {CONDITIONS.map((c) => (
                      <Toggle
                        key={c.value}
                        label={c.label}
                        checked={seen.conditions.includes(c.value)}
                        onChange={(yes) =>
                          onChange({
                            ...seen,
                            conditions: yes
                              ? [...seen.conditions, c.value]
                              : seen.conditions.filter((x) => x !== c.value),
                          })
                        }
                      />
                    ))}
                  </div>
                </details>
              </div>
              {choosing && (
                <p role="status" className="text-soft border-line min-h-60 border-t-4 px-3 py-2">
                  Choosing what to look at next
                </p>
              )}
              {first ? (
                <Question
                  key={first.id}
                  character={first}
                  on={on}
                  why={asked === first.id ? answer.data?.next?.why : undefined}
                  onState={(s) => observe(first.id, s)}
                  onUnseeable={() => cannotSee(first.id)}
                />
              ) : (
                !choosing && <p>Everything that can be seen at this stage has been looked at.</p>
              )}
              {seen.observations.length > 0 && (
                <section aria-label="Seen so far" className="border-line bg-sheet border-t-2 px-3 py-2">
                  <h2 className="font-semibold">Seen so far</h2>
                  <ul className="flex flex-wrap gap-1.5 py-1">
                    {seen.observations.map((o) => {
                      const c = all.find((x) => x.id === o.character)
                      return (
                        <li key={o.character}>
                          <button
                            type="button"
                            className="border-water bg-water-pale min-h-8 border px-2 text-sm"
                            onClick={() => forget(o.character)}
                          >
                            <span className="sr-only">Take back </span>
                            {c?.name}: {c?.states.find((s) => s.id === o.state)?.words}{' '}
                            <span aria-hidden>×</span>
                          </button>
                        </li>
                      )
                    })}
                  </ul>
                </section>
              )}
              <details>
                <summary className="text-note min-h-6 cursor-pointer underline">
                  Any other character, in any order ({rest.length})
                </summary>
                <div className="mt-2 grid gap-3 md:grid-cols-2">
                  {rest.map((c) => (
                    <Question key={c.id} character={c} on={on} small onState={(s) => observe(c.id, s)} />
                  ))}
                </div>
              </details>
            </div>
            <div className="space-y-3">
              {answer.data && <Verdict answer={answer.data} characters={all} />}
              <Beside
                expected={expected ?? lead}
                against={rival(answer.data, expected ?? lead)}
                stage={seen.stage}
                observed={seen.observations.map((o) => o.character)}
              />
              {children?.(answer.data)}
              <SafetyLine />
            </div>
          </div>
        )
      }}
    </Loaded>
  )
}

/** The candidate that most needs telling from the expected plant. */
function rival(answer: Answer | undefined, expected: string) {
  const others = answer?.candidates.filter((c) => c.taxon !== expected && c.taxon !== 'none-of-these') ?? []
  const strongest = others[0]
  if (strongest && strongest.posterior > 0.001) return strongest.taxon
  const open = answer?.verdict.open.map((o) => o.taxon) ?? []
  return others.find((c) => open.includes(c.taxon))?.taxon ?? strongest?.taxon
}

/** The expected plant and its strongest rival in the same frame, with what tells them apart. */
function Beside({
  expected,
  against,
  stage,
  observed,
}: {
  expected: string
  against: string | undefined
  stage: Stage
  observed: string[]
}) {
  const a = useTaxon(expected)
  const b = useTaxon(against ?? '')
  const comparison = useComparison(expected, expected === '' ? '' : (against ?? ''), stage)
  if (!a.data || !b.data) return null
  return (
    <section aria-label="Compare" className="bg-sheet border-line border-t-2 px-3 py-2">
      <div className="grid grid-cols-2 gap-2">
        {[a.data, b.data].map((t) => (
          <figure key={t.id}>
            <PlantDrawing
              characters={usualStates(t.characters, stage)}
              stage={stage}
              label={`${t.commonNames[0] ?? t.name}, ${STAGE[stage]}`}
            />
            <figcaption className="text-sm font-medium">
              {t.commonNames[0]} <Danger level={t.danger} />
            </figcaption>
          </figure>
        ))}
      </div>
      {comparison.data && (
        <Tells
          comparison={comparison.data}
          harmful={b.data.danger === 'POISONOUS' || b.data.danger === 'DEADLY'}
          seen={observed}
          most={8}
        />
      )}
    </section>
  )
}
