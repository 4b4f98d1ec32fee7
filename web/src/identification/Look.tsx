import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { waits } from '../api/outbox'
import { useCharacters } from '../herbarium/queries'
import { Button, ButtonLink, Toggle } from '../ui/controls'
import { LOOKING, STAGE } from '../ui/dictionary'
import { Loaded, ProblemNotice, SafetyLine } from '../ui/page'
import { draftKey, forget, read, write } from '../ui/kept'
import { useLive } from '../ui/useLive'
import { date } from '../ui/words'
import { Question } from './Question'
import { useOrder } from './queries'
import { StageOfIt, type Group, type Stage } from './StageOfIt'
import { Verdict } from './Verdict'

export type Answer = Schemas['IdentifyAnswer']
type Observation = Schemas['ObservationRequest']
type Condition = NonNullable<Schemas['IdentifyRequest']['conditions']>[number]

/** A look as it is kept with a stand. */
export interface Seen {
  stage: Stage
  conditions: Condition[]
  observations: Observation[]
  again: Observation[]
}

/**
 * @param answer undefined where there is no line: it is kept all the same, and the verdict waits
 * @param wentOn whether answers of an earlier look are among these: then it is still that one look
 */
type Keep = (answer: Answer | undefined, seen: Seen, wentOn: boolean) => React.ReactNode

/** What was seen at a look that was not certain, to go on from. */
export type Earlier = Pick<Schemas['IdentificationView'], 'on' | 'stage' | 'conditions' | 'observations'>

const CONDITIONS: { value: Condition; label: string }[] = [
  { value: 'WET', label: 'wet' },
  { value: 'DULL_WEATHER', label: 'dull weather' },
  { value: 'SHADE', label: 'in shade' },
  { value: 'FROSTED', label: 'after frost' },
  { value: 'DRIED', label: 'a dried piece' },
]

/**
 * A blind look: while answers are given no name, no odds and no verdict is on the page or in the browser, for whoever
 * expects a plant sees it. What it says is asked for at the end, after some answers were looked at again; then nothing can
 * be changed any more, only looked at anew.
 */
export function Look({
  draft,
  group,
  on,
  region,
  earlier,
  children,
}: {
  /** What the unsaved answers are kept under; `forget` it when they are saved. */
  draft: string
  group: Group
  on: string
  region: string
  earlier?: Earlier | undefined
  /** What to do with the verdict. */
  children: Keep
}) {
  const [round, setRound] = useState(0)
  return (
    <Round
      key={round}
      draft={draft}
      group={group}
      on={on}
      region={region}
      earlier={earlier}
      onAnew={() => {
        forget(draft)
        setRound(round + 1)
      }}
    >
      {children}
    </Round>
  )
}

interface Step {
  character: string
  /** Null when it can't be seen; twice, when it could not be on another leaf or plant either. */
  state: string | null
}

/** Characters that could not be seen so many times or more. */
const unseen = (steps: Step[], times: number) => [
  ...new Set(
    steps
      .filter((s) => steps.filter((x) => x.character === s.character && x.state === null).length >= times)
      .map((s) => s.character),
  ),
]

/** A look under way, as the browser keeps it until it is saved. */
interface Begun {
  stage: Stage
  conditions: Condition[]
  steps: Step[]
  wentOn: boolean
  ended: boolean
  again: Observation[]
  notAgain: boolean
}

/** A look that was kept, as one that is still under way. */
export const asBegun = (seen: Seen): Begun => ({
  stage: seen.stage,
  conditions: seen.conditions,
  steps: seen.observations,
  wentOn: false,
  ended: false,
  again: [],
  notAgain: false,
})

function Offer({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <section
      aria-label={name}
      className="border-water bg-water-pale mb-3 max-w-3xl space-y-2 border-l-8 px-3 py-2"
    >
      {children}
    </section>
  )
}

/** A look as it goes: what was seen, what is asked next, and what it says in the end. */
function useRound(draft: string, on: string, region: string) {
  const characters = useCharacters()
  const order = useOrder(region)
  // What was begun here and not kept. It is offered, never gone on with unasked: it may have been another plant.
  const [begun] = useState(() => read<Begun | null>(draftKey(draft, 'begun'), null))
  const [stage, setStage] = useState<Stage | null>(null)
  const [conditions, setConditions] = useState<Condition[]>([])
  const [steps, setSteps] = useState<Step[]>([])
  const [wentOn, setWentOn] = useState(false)
  const [further, setFurther] = useState(false)
  const [ended, setEnded] = useState(false)
  const [early, setEarly] = useState(false)
  const [again, setAgain] = useState<Observation[]>([])
  const [notAgain, setNotAgain] = useState(false)
  const asking = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (stage === null || steps.length === 0) return
    const now: Begun = { stage, conditions, steps, wentOn, ended, again, notAgain }
    write(draftKey(draft, 'begun'), now)
  }, [draft, stage, conditions, steps, wentOn, ended, again, notAgain])
  const goOn = (from: Begun) => {
    setStage(from.stage)
    setConditions(from.conditions)
    setSteps(from.steps)
    setWentOn(from.wentOn)
    setEnded(from.ended)
    setAgain(from.again)
    setNotAgain(from.notAgain)
  }

  const observations = steps.flatMap((s) =>
    s.state === null ? [] : [{ character: s.character, state: s.state }],
  )
  const body = {
    month: Number(on.slice(5, 7)),
    stage: stage ?? 'LEAFY',
    region,
    conditions,
    observations,
    unseeable: unseen(steps, 1),
    unseenTwice: unseen(steps, 2),
    again,
  }
  const next = useLive('next look', stage === null ? null : body, (b: typeof body, signal) =>
    ask(api.POST('/api/calculators/identify/next', { body: b, signal })),
  )
  const wanted = ended && next.data && !next.behind && !notAgain ? next.data.again[0] : undefined
  // Without a line nothing is chosen and nothing is said; what is seen is kept.
  const alone = waits(next.error)
  const over = ended && next.data !== undefined && !next.behind && wanted === undefined && !alone
  const verdict = useQuery({
    queryKey: ['verdict', body],
    enabled: over,
    queryFn: ({ signal }) => ask(api.POST('/api/calculators/identify', { body, signal })),
  })
  return {
    characters,
    order,
    begun,
    goOn,
    month: body.month,
    stage,
    setStage,
    conditions,
    setConditions,
    steps,
    setSteps,
    wentOn,
    further,
    setFurther,
    ended,
    setEnded,
    early,
    setEarly,
    again,
    setAgain,
    setNotAgain,
    asking,
    observations,
    next,
    wanted,
    alone,
    over,
    verdict,
  }
}
type RoundState = ReturnType<typeof useRound>

/** What the parts of a round need beside its state: it has a stage by then. */
interface Going {
  f: RoundState
  stage: Stage
  all: Schemas['CharacterView'][]
  group: Group
  onAnew: () => void
}

function Round({
  draft,
  group,
  on,
  region,
  earlier,
  onAnew,
  children,
}: {
  draft: string
  group: Group
  on: string
  region: string
  earlier: Earlier | undefined
  onAnew: () => void
  children: Keep
}) {
  const f = useRound(draft, on, region)
  const { stage } = f
  if (stage === null) return <Beginning f={f} group={group} region={region} earlier={earlier} />
  return (
    <Loaded query={f.characters}>
      {(all) => {
        const going = { f, stage, all, group, onAnew }
        return f.ended ? <Ended {...going}>{children}</Ended> : <Asking {...going} />
      }}
    </Loaded>
  )
}

/** At which stage it is; before that what was begun and not kept, or was not certain. */
function Beginning({
  f: { begun, goOn, month, setStage },
  group,
  region,
  earlier,
}: {
  f: RoundState
  group: Group
  region: string
  earlier: Earlier | undefined
}) {
  return (
    <>
      {begun && (
        <Offer name="A look not kept yet">
          <p>
            A look was begun here and not kept: {begun.steps.length} characters, {STAGE[begun.stage]}. Go on
            only if it is the same plant.
          </p>
          <Button onClick={() => goOn(begun)}>Go on with it</Button>
        </Offer>
      )}
      {earlier && (
        <Offer name="A look that was not certain">
          <p>
            On {date(earlier.on)} {earlier.observations.length} characters were looked at,{' '}
            {STAGE[earlier.stage]}, and it was not certain. If it is still so, and the same plant, go on from
            there; both together are one look.
          </p>
          <Button
            onClick={() =>
              goOn({
                stage: earlier.stage,
                conditions: earlier.conditions,
                steps: earlier.observations,
                wentOn: true,
                ended: false,
                again: [],
                notAgain: false,
              })
            }
          >
            Take that look up again
          </Button>
        </Offer>
      )}
      <StageOfIt group={group} month={month} region={region} onStage={setStage} />
    </>
  )
}

/** Looked at: once more at another part where that is wanted, then what it says. */
function Ended({ f, stage, all, onAnew, children }: Going & { children: Keep }) {
  const {
    conditions,
    steps,
    wentOn,
    again,
    setAgain,
    setNotAgain,
    observations,
    wanted,
    alone,
    over,
    verdict,
  } = f
  const asked = all.find((c) => c.id === wanted)
  if (asked) {
    return (
      <div className="max-w-3xl space-y-3">
        <p className="text-lg font-semibold">
          Look again, at another part of the same plant: what is it there?
        </p>
        <Question
          key={`again ${asked.id}`}
          character={asked}
          reversed
          onState={(state) => setAgain([...again, { character: asked.id, state }])}
        />
        <Button onClick={() => setNotAgain(true)}>I can’t look again now</Button>
      </div>
    )
  }
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_25rem]">
      <div className="space-y-3">
        {!over && !alone && <p role="status">Working out what it says</p>}
        {alone && (
          <>
            <p className="border-amber bg-amber-pale border-l-8 px-3 py-2 text-lg">
              There is no line. What you saw is kept; what it says waits until it is back. Until then nothing
              is certain and nothing is to be picked of it.
            </p>
            <Answers steps={steps} all={all} />
          </>
        )}
        <ProblemNotice error={verdict.error} />
        {verdict.data && (
          <>
            <Verdict answer={verdict.data} characters={all} />
            <Answers steps={steps} all={all} />
            <div className="flex flex-wrap gap-2">
              <Button onClick={onAnew}>Look anew</Button>
              {verdict.data.verdict.taxon && (
                <ButtonLink to={`/herbarium/${verdict.data.verdict.taxon}/compare`}>
                  Learn what it is taken for
                </ButtonLink>
              )}
            </div>
          </>
        )}
      </div>
      <div className="space-y-3">
        {(verdict.data ?? alone) &&
          children(verdict.data, { stage, conditions, observations, again }, wentOn)}
        <SafetyLine />
      </div>
    </div>
  )
}

/** The question that sorts best now, and every other beside it. */
function Asking(going: Going) {
  const { f, stage, all, group } = going
  const {
    order,
    conditions,
    steps,
    setSteps,
    further,
    setEnded,
    early,
    setEarly,
    asking,
    observations,
    next,
    alone,
  } = f
  const visible = all.filter(
    (c) =>
      c.stages.includes(stage) && c.groups.includes(group) && !c.notUnder.some((n) => conditions.includes(n)),
  )
  const rank = (c: { id: string }) => {
    const at = order.data?.find((o) => o.stage === stage)?.characters.indexOf(c.id) ?? -1
    return at < 0 ? all.length : at
  }
  const open = visible
    .filter((c) => !steps.some((s) => s.character === c.id))
    .sort((a, b) => (alone ? rank(a) - rank(b) : 0))
  const question = next.data?.next ?? (further ? next.data?.further : undefined)
  const asked = question?.character
  const secondTry = question?.again === true
  // Until the next question is known none is shown: one that jumps under a thumb gets a false answer.
  const choosing = !next.isError && (!next.data || next.behind)
  const settled = !choosing && !alone && !further && observations.length > 0 && next.data?.settled === true
  // Asked for while the next question was being chosen, and there is none.
  if (early && (settled || (!choosing && !alone && !next.data?.next))) {
    setEarly(false)
    setEnded(true)
  }
  const first = choosing || settled ? undefined : alone ? open[0] : visible.find((c) => c.id === asked)
  const rest = open.filter((c) => c.id !== first?.id)
  const see = (character: string, state: string | null) => {
    // What is seen at last was never out of sight.
    const before = state === null ? steps : steps.filter((s) => s.character !== character)
    setSteps([...before, { character, state }])
    setEarly(false)
    // The question that was answered is gone, and the focus with it.
    asking.current?.focus({ preventScroll: true })
  }
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,48rem)_minmax(0,1fr)]">
      <div
        ref={asking}
        role="group"
        aria-label="What to look at"
        tabIndex={-1}
        className="space-y-3 outline-none"
      >
        <Bar {...going} settled={settled} />
        {alone && (
          <p className="border-amber bg-amber-pale border-l-4 px-3 py-1">
            There is no line: the questions come in the order that sorts best at this time of the year,
            whatever was answered. Answer what you can see.
          </p>
        )}
        {choosing && (
          <p role="status" className="text-soft border-line min-h-60 border-t-4 px-3 py-2">
            Choosing what to look at next
          </p>
        )}
        {early && !settled && !choosing && <TooEarly f={f} />}
        {settled && <Enough f={f} />}
        {first && secondTry && (
          <p className="text-lg font-semibold">
            This could not be seen before. On another leaf, or another plant of the same kind beside it: can
            you see it there?
          </p>
        )}
        {first && (
          <Question
            key={`${first.id} ${secondTry}`}
            character={first}
            why={asked === first.id ? question?.why : undefined}
            onState={(s) => see(first.id, s)}
            onUnseeable={() => see(first.id, null)}
          />
        )}
        {!choosing && !settled && !first && (
          <p>Everything that can be seen at this stage has been looked at.</p>
        )}
        {!alone && <ProblemNotice error={next.error} />}
        {/* The next question comes in above it: what moves under a thumb is not to be pressed until it stands. */}
        <details inert={choosing}>
          <summary className="text-note min-h-6 cursor-pointer underline">
            Any other character, in any order ({rest.length})
          </summary>
          <div className="mt-2 grid gap-3 md:grid-cols-2">
            {rest.map((c) => (
              <Question key={c.id} character={c} small onState={(s) => see(c.id, s)} />
            ))}
          </div>
        </details>
      </div>
      <div>
        <Answers steps={steps} all={all} onForget={(c) => setSteps(steps.filter((s) => s.character !== c))} />
      </div>
    </div>
  )
}

function TooEarly({ f: { setEarly, setEnded } }: { f: RoundState }) {
  return (
    <section aria-label="Too early" className="border-amber bg-amber-pale space-y-2 border-l-8 px-3 py-2">
      <p className="text-lg font-semibold">
        More can be looked at that may settle it. Once it is said, this look is over.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button kind="main" onClick={() => setEarly(false)}>
          Look on
        </Button>
        <Button onClick={() => setEnded(true)}>Say it all the same</Button>
      </div>
    </section>
  )
}

function Enough({ f: { next, setFurther } }: { f: RoundState }) {
  return (
    <section aria-label="Enough" className="border-water bg-water-pale space-y-2 border-l-8 px-3 py-2">
      <p className="text-lg font-semibold">
        Enough was looked at to say what this is, or that it can’t be said now.
      </p>
      {(next.data?.next ?? next.data?.further) && (
        <Button onClick={() => setFurther(true)}>Look on all the same</Button>
      )}
    </section>
  )
}

/** The stage, taking back, asking what it says, and how it is looked at. */
function Bar({ f, stage, onAnew, settled }: Going & { settled: boolean }) {
  const { conditions, setConditions, steps, setSteps, setEnded, setEarly, observations, next, alone } = f
  return (
    <div className="flex flex-wrap items-end gap-3">
      <p>
        It is now <strong>{STAGE[stage]}</strong>.{' '}
        <button type="button" className="text-note min-h-6 underline" onClick={onAnew}>
          Another stage
        </button>
      </p>
      <Button onClick={() => setSteps(steps.slice(0, -1))} disabled={steps.length === 0}>
        Undo
      </Button>
      <Button
        kind={settled ? 'main' : 'quiet'}
        disabled={observations.length === 0}
        onClick={() => (alone || settled || !next.data?.next ? setEnded(true) : setEarly(true))}
      >
        What does this say?
      </Button>
      <details>
        <summary className="text-note min-h-6 cursor-pointer text-sm underline">
          How you see it
          {conditions.length > 0 && `: ${conditions.map((c) => LOOKING[c]).join(', ')}`}
        </summary>
        <div className="flex flex-wrap gap-3 py-1">
          {CONDITIONS.map((c) => (
            <Toggle
              key={c.value}
              label={c.label}
              checked={conditions.includes(c.value)}
              onChange={(yes) =>
                setConditions(yes ? [...conditions, c.value] : conditions.filter((x) => x !== c.value))
              }
            />
          ))}
        </div>
      </details>
    </div>
  )
}

/** What was said so far; to be taken back one by one while the look goes on. */
function Answers({
  steps,
  all,
  onForget,
}: {
  steps: Step[]
  all: Schemas['CharacterView'][]
  onForget?: (character: string) => void
}) {
  const seen = steps.filter((s) => s.state !== null)
  if (seen.length === 0) return null
  const words = (s: Step) => {
    const c = all.find((x) => x.id === s.character)
    return `${c?.name ?? s.character}: ${c?.states.find((x) => x.id === s.state)?.words ?? ''}`
  }
  return (
    <section aria-label="Seen so far" className="border-line bg-sheet border-t-2 px-3 py-2">
      <h2 className="font-semibold">{onForget ? 'Seen so far' : 'What you saw'}</h2>
      <ul className="flex flex-wrap gap-1.5 py-1">
        {seen.map((s) => (
          <li key={s.character}>
            {onForget ? (
              <button
                type="button"
                className="border-water bg-water-pale min-h-8 border px-2 text-sm"
                onClick={() => onForget(s.character)}
              >
                <span className="sr-only">Take back </span>
                {words(s)} <span aria-hidden>×</span>
              </button>
            ) : (
              <span className="border-line inline-block border px-2 text-sm">{words(s)}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
