import { useCallback, useEffect, useState } from 'react'
import { useParams } from 'react-router'
import { Button, ButtonLink, Input } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { Loaded, ProblemNotice } from '../ui/page'
import { clockTime } from '../ui/timers'
import { useAloud, useHasVoice } from '../ui/useAloud'
import { useAwake } from '../ui/useAwake'
import { useNow } from '../ui/useNow'
import { useSwipe } from '../ui/useSwipe'
import { beginWait, useKitchen, useSteps, type KitchenView } from './useKitchen'
import { Only } from '../ui/may'

/** One step at a time, to be read from two metres with wet hands. */
export function Kitchen() {
  const { id = '' } = useParams()
  const kitchen = useKitchen(id)
  return <Loaded query={kitchen}>{(k) => <AtTheStove kitchen={k} />}</Loaded>
}

function AtTheStove({ kitchen: k }: { kitchen: KitchenView }) {
  const [differs, setDiffers] = useState(false)
  const [really, setReally] = useState('')
  const [aloud, setAloud] = useState(false)
  const step = k.steps[k.at]
  const { done, back } = useSteps(k)
  useAloud(step ? `${step.hazard ? `${step.hazard} ` : ''}${step.text}` : 'All steps are done.', aloud)
  useAwake(step !== undefined)
  const hasVoice = useHasVoice()
  const { mutate, isPending } = done
  const advance = useCallback(() => {
    if (!step || isPending) return
    mutate(differs ? really : '', {
      onSuccess: () => {
        setDiffers(false)
        setReally('')
      },
    })
  }, [step, isPending, mutate, differs, really])
  useEffect(() => {
    document.title = `${k.name} · Sallowbrook`
    const onKey = (e: KeyboardEvent) => {
      const typing = (e.target as HTMLElement).closest('input, textarea, button, a')
      if (!typing && (e.key === ' ' || e.key === 'ArrowRight' || e.key === 'Enter')) {
        e.preventDefault()
        advance()
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [advance, k.name])
  const swipe = useSwipe(advance, () => {
    if (k.done.length > 0 && !back.isPending) back.mutate()
  })
  return (
    <main
      {...swipe}
      id="main"
      className="mx-auto flex min-h-[calc(100vh-9rem)] max-w-7xl flex-col gap-3 px-4 pt-3 pb-28 lg:pb-6"
    >
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-semibold">
          {k.name} <span className="text-soft text-lg">{k.code}</span>
        </h1>
        <div className="flex flex-wrap gap-3">
          {hasVoice && (
            <Button aria-pressed={aloud} onClick={() => setAloud(!aloud)}>
              {aloud ? 'Be silent' : 'Read aloud'}
            </Button>
          )}
          <ButtonLink to={`/making/batches/${k.batchId}`}>Back to the batch</ButtonLink>
        </div>
      </div>
      {step ? (
        <>
          <p className="text-soft text-lg">
            Step {k.at + 1} of {k.steps.length}
          </p>
          {step.hazard && (
            <Findings
              label="Hazard"
              findings={[
                {
                  code: 'HAZARD',
                  severity: 'WARN',
                  message: step.hazard,
                  action: 'Before you begin this step.',
                },
              ]}
            />
          )}
          {step.timerMinutes != null && k.done.length > 0 && <Wait key={k.at} kitchen={k} />}
          <button
            type="button"
            onClick={advance}
            disabled={isPending}
            className="bg-sheet border-water flex-1 border-2 border-t-8 p-6 text-left text-4xl leading-snug font-semibold lg:text-6xl"
          >
            <span aria-live="polite">{step.text}</span>
            <span className="text-soft mt-4 block text-lg font-normal">
              Touch anywhere here, stroke to the left, or the space bar, when it is done
            </span>
          </button>
          {differs && (
            <Input
              label="What was really done"
              hint="kept with the batch, such as 118 g instead of 120"
              value={really}
              onChange={(e) => setReally(e.target.value)}
            />
          )}
        </>
      ) : (
        <section className="bg-sheet border-lichen flex-1 border-2 border-t-8 p-6" aria-label="Done">
          <p className="text-4xl font-semibold">All steps are done.</p>
          <ol className="mt-4 list-decimal space-y-1 pl-6">
            {k.steps.map((s, i) => {
              const d = k.done.find((x) => x.step === i)
              return (
                <li key={s.text}>
                  {s.text} {d?.really && <strong>Really: {d.really}.</strong>}
                </li>
              )
            })}
          </ol>
        </section>
      )}
      <ProblemNotice error={done.error ?? back.error} />
      <Moves
        kitchen={k}
        step={step !== undefined}
        back={back}
        differs={differs}
        setDiffers={setDiffers}
        busy={isPending}
        advance={advance}
      />
    </main>
  )
}

/** On, back, and that it was done otherwise. */
function Moves({
  kitchen: k,
  step,
  back,
  differs,
  setDiffers,
  busy,
  advance,
}: {
  kitchen: KitchenView
  /** Whether one is left to do. */
  step: boolean
  back: ReturnType<typeof useSteps>['back']
  differs: boolean
  setDiffers: (differs: boolean) => void
  busy: boolean
  advance: () => void
}) {
  return (
    <Only deed="record">
      <div className="flex flex-wrap gap-3">
        <Button
          className="min-h-16! flex-1 text-xl"
          disabled={k.done.length === 0 || back.isPending}
          onClick={() => back.mutate()}
        >
          Back
        </Button>
        {step && (
          <Button className="min-h-16! flex-1 text-xl whitespace-nowrap" onClick={() => setDiffers(!differs)}>
            {differs ? 'As it says after all' : 'It was different'}
          </Button>
        )}
        {step && (
          <Button
            kind="main"
            className="min-h-16! grow-2 basis-full text-xl sm:basis-0"
            disabled={busy}
            onClick={advance}
          >
            Next step
          </Button>
        )}
      </div>
    </Only>
  )
}

/** The wait before a step, counted from when the one before was done; it goes on when this page is closed. */
function Wait({ kitchen }: { kitchen: KitchenView }) {
  const now = useNow(true)
  const [ends] = useState(() => beginWait(kitchen) ?? Date.now())
  return (
    <p className="text-amber text-3xl font-semibold" role="timer" aria-label="Time left">
      {ends > now ? `${clockTime(ends - now)} to wait` : 'The wait is over.'}
    </p>
  )
}
