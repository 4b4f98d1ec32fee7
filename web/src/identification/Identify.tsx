import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { PlantDrawing, usualStates, type Characters } from '../herbarium/drawing'
import { useCharacters, useTaxon } from '../herbarium/queries'
import { Button, Choose } from '../ui/controls'
import { Danger } from '../ui/Danger'
import { Findings } from '../ui/Findings'
import { Loaded, SafetyLine } from '../ui/page'
import { useLive } from '../ui/useLive'
import { figure, lower, month, title } from '../ui/words'

export type Stage = Schemas['IdentifyRequest']['stage']
export type Observation = Schemas['ObservationRequest']
type Answer = Schemas['IdentifyAnswer']
type Character = Schemas['CharacterView']

export interface Seen {
  on: string
  stage: Stage
  region: string
  observations: Observation[]
}

const STAGES: Stage[] = ['ROSETTE', 'LEAFY', 'FLOWERING', 'FRUITING']

/**
 * Tapping what is seen, the most telling question first. Says what remains possible and whether it is certain; the
 * verdict is the server's.
 */
export function Identify({
  expected,
  seen,
  onChange,
  children,
}: {
  expected: string
  seen: Seen
  onChange: (seen: Seen) => void
  children?: (answer: Answer | undefined) => React.ReactNode
}) {
  const characters = useCharacters()
  const [unseeable, setUnseeable] = useState<string[]>([])
  const body = {
    month: Number(seen.on.slice(5, 7)),
    stage: seen.stage,
    region: seen.region,
    observations: seen.observations,
  }
  const answer = useLive('identify', body, (b: typeof body, signal) =>
    ask(api.POST('/api/calculators/identify', { body: b, signal })),
  )
  const observe = (character: string, state: string) =>
    onChange({
      ...seen,
      observations: [...seen.observations.filter((o) => o.character !== character), { character, state }],
    })
  const forget = (character: string) =>
    onChange({ ...seen, observations: seen.observations.filter((o) => o.character !== character) })

  return (
    <Loaded query={characters}>
      {(all) => {
        const visible = all.filter((c) => c.stages.includes(seen.stage))
        const open = visible.filter(
          (c) => !seen.observations.some((o) => o.character === c.id) && !unseeable.includes(c.id),
        )
        const asked = answer.data?.next?.character
        const first = open.find((c) => c.id === asked) ?? open[0]
        const rest = open.filter((c) => c.id !== first?.id)
        return (
          <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
            {answer.data && <VerdictStrip answer={answer.data} />}
            <div className="space-y-3">
              <div className="max-w-xs">
                <Choose
                  label="It is now"
                  value={seen.stage}
                  choices={STAGES.map((s) => ({ value: s, label: lower(s) }))}
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
              {first ? (
                <Question
                  character={first}
                  why={answer.data?.next?.character === first.id ? answer.data.next.why : undefined}
                  onState={(s) => observe(first.id, s)}
                  onUnseeable={() => setUnseeable([...unseeable, first.id])}
                />
              ) : (
                <p>Everything that can be seen at this stage has been looked at.</p>
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
                            aria-label={`Take back ${c?.name ?? o.character}`}
                          >
                            {c?.name}: {c?.states.find((s) => s.id === o.state)?.words} ×
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
                    <Question key={c.id} character={c} small onState={(s) => observe(c.id, s)} />
                  ))}
                </div>
              </details>
            </div>
            <div className="space-y-3">
              {answer.data && <Verdict answer={answer.data} characters={all} />}
              <Compare
                expected={expected}
                against={rival(answer.data, expected)}
                stage={seen.stage}
                observed={Object.fromEntries(seen.observations.map((o) => [o.character, o.state]))}
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
  const dangerous = answer?.verdict.open.map((o) => o.taxon).find((t) => t !== expected)
  const strongest = others[0]
  return strongest && strongest.posterior > 0.001 ? strongest.taxon : (dangerous ?? strongest?.taxon)
}

function Question({
  character,
  why,
  small,
  onState,
  onUnseeable,
}: {
  character: Character
  why?: string | undefined
  small?: boolean
  onState: (state: string) => void
  onUnseeable?: () => void
}) {
  return (
    <fieldset
      className={`bg-sheet border-line border-t-2 px-3 py-2 ${small ? '' : 'border-water border-t-4'}`}
    >
      <legend className={`float-left w-full font-semibold ${small ? '' : 'text-xl'}`}>
        {character.name}
      </legend>
      <p className="text-soft clear-both text-sm">{character.howToLook}</p>
      {why && <p className="text-water text-sm font-medium">{why}</p>}
      <div className={`mt-2 grid gap-2 ${small ? '' : 'sm:grid-cols-2'}`}>
        {character.states.map((s) => (
          <Button key={s.id} className="justify-start! text-left" onClick={() => onState(s.id)}>
            {s.words}
          </Button>
        ))}
        {onUnseeable && (
          <Button className="text-soft justify-start! border-dashed" onClick={onUnseeable}>
            cannot see it
          </Button>
        )}
      </div>
    </fieldset>
  )
}

const STATUS = {
  CONFIRMED: { word: 'CONFIRMED', tone: 'border-lichen text-lichen bg-lichen-pale' },
  NOT_YET: { word: 'NOT YET', tone: 'border-amber text-amber bg-amber-pale' },
  STOP: { word: 'STOP', tone: 'border-madder text-madder bg-madder-pale' },
}

/** In the field, with one thumb: the verdict stays in sight while questions are answered. */
function VerdictStrip({ answer }: { answer: Answer }) {
  const status = STATUS[answer.verdict.status]
  const lead = answer.candidates.find((c) => c.taxon === answer.verdict.taxon)
  return (
    <a href="#verdict" className={`sticky top-0 z-10 block border-l-8 px-3 py-2 lg:hidden ${status.tone}`}>
      <strong className="text-lg">{status.word}</strong>{' '}
      <span className="text-ink">{lead ? `most like ${lead.commonName}` : 'tap what you see'}</span>
    </a>
  )
}

function Verdict({ answer, characters }: { answer: Answer; characters: Character[] }) {
  const { verdict } = answer
  const name = (id: string) => answer.candidates.find((c) => c.taxon === id)?.commonName ?? id
  const look = (ids: string[]) => ids.map((id) => characters.find((c) => c.id === id)?.name ?? id).join(', ')
  const status = STATUS[verdict.status]
  return (
    <section
      id="verdict"
      aria-label="Verdict"
      aria-live="polite"
      className={`border-l-8 px-3 py-2 ${status.tone}`}
    >
      <h2 className="text-2xl font-bold">{status.word}</h2>
      <div className="text-ink space-y-2">
        {verdict.taxon && <p className="text-lg">Most like {name(verdict.taxon)}.</p>}
        <ul className="space-y-0.5">
          {answer.candidates
            .filter((c, i) => c.posterior >= 0.005 || i < 2)
            .slice(0, 5)
            .map((c) => (
              <li key={c.taxon} className="flex items-center justify-between gap-2 text-sm">
                <span>
                  {c.commonName} {c.taxon !== 'none-of-these' && <Danger level={c.danger} />}
                </span>
                <span className="font-semibold">
                  {c.posterior > 0.999 ? 'over 99.9' : figure(c.posterior * 100)} %
                </span>
              </li>
            ))}
        </ul>
        {verdict.open.length > 0 && (
          <p className="text-sm">
            Still to be told from{' '}
            {verdict.open
              .map(
                (o) =>
                  name(o.taxon) + (o.would.length ? ` (by ${look(o.would.slice(0, 4)).toLowerCase()})` : ''),
              )
              .join('; ')}
            .
          </p>
        )}
        {verdict.excluded.length > 0 && (
          <p className="text-sm">
            Excluded:{' '}
            {verdict.excluded.map((e) => `${name(e.taxon)} by ${e.by.length} characters`).join(', ')}.
          </p>
        )}
        {verdict.tellableAt && (
          <p className="font-medium">
            It can be told when {lower(verdict.tellableAt.stage)}, about{' '}
            {verdict.tellableAt.months.map(month).join(', ')}, by{' '}
            {look(verdict.tellableAt.characters).toLowerCase()}.
          </p>
        )}
        <Findings findings={answer.findings.filter((f) => f.code !== 'UNGATED')} label="Verdict findings" />
      </div>
    </section>
  )
}

/** The expected plant and its strongest rival in the same frame, with what tells them apart. */
function Compare({
  expected,
  against,
  stage,
  observed,
}: {
  expected: string
  against: string | undefined
  stage: string
  observed: Characters
}) {
  const a = useTaxon(expected)
  const b = useTaxon(against ?? '')
  if (!a.data || !b.data) return null
  const left = usualStates(a.data.characters, stage)
  const right = usualStates(b.data.characters, stage)
  const telling = a.data.characters.filter((c) => {
    const other = b.data.characters.find(
      (x) => x.character === c.character && x.stages.some((s) => s === stage),
    )
    return (
      c.stages.some((s) => s === stage) &&
      other &&
      !c.states.some((s) => other.states.some((o) => o.state === s.state))
    )
  })
  const words = (taxon: typeof a.data, character: string) =>
    taxon.characters
      .find((c) => c.character === character && c.stages.some((s) => s === stage))
      ?.states.map((s) => s.words)
      .join(' or ')
  return (
    <section aria-label="Compare" className="bg-sheet border-line border-t-2 px-3 py-2">
      <div className="grid grid-cols-2 gap-2">
        {[
          { t: a.data, c: left },
          { t: b.data, c: right },
        ].map(({ t, c }) => (
          <figure key={t.id}>
            <PlantDrawing characters={c} label={`${t.commonNames[0] ?? t.name}, ${lower(stage)}`} />
            <figcaption className="text-sm font-medium">
              {t.commonNames[0]} <Danger level={t.danger} />
            </figcaption>
          </figure>
        ))}
      </div>
      <h2 className="mt-2 font-semibold">What tells them apart</h2>
      {telling.length === 0 && <p className="text-sm">Nothing that can be seen at this stage.</p>}
      <ul className="text-sm">
        {telling.slice(0, 8).map((c) => (
          <li key={c.character} className="border-line border-b py-0.5">
            <span className={observed[c.character] ? 'text-soft' : 'font-semibold'}>{title(c.name)}</span>:{' '}
            {words(a.data, c.character)}, not {words(b.data, c.character)}
          </li>
        ))}
      </ul>
    </section>
  )
}
