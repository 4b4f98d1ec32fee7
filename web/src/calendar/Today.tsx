import { SeasonNow } from '../field/Season'
import { number } from '../ui/read'
import { useCommand, useRenew } from '../ui/command'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, ProblemError, refusedBy, type Schemas } from '../api/client'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { ScaleReader } from '../drying/ScaleReader'
import { Button, ButtonLink, NumberInput } from '../ui/controls'
import { nowIso } from '../ui/clock'
import { Loaded, Page, ProblemNotice } from '../ui/page'
import { date, figure } from '../ui/words'
import { Watched } from '../household/Watched'
import { WhomToCall } from '../household/WhomToCall'
import { useToday } from './queries'
import { only } from '../ui/may'

type Task = Schemas['Due']

/** How long a done thing stays where it was. */
const RECEIPT_MS = 7000

const HEADINGS: Record<Task['kind'], string> = {
  STOP_TAKING: 'Stop taking',
  CALL_BACK: 'To call back',
  LOOK_AGAIN: 'To look at again',
  RETURN: 'To go back to',
  COME_BACK: 'To come back to, as written down',
  GATHER: 'To gather this week, by the plan',
  WEIGH_HARVEST: 'To weigh: came home',
  RACK: 'To the rack',
  WEIGH: 'To weigh',
  SHAKE: 'To shake',
  PRESS: 'To press',
  FILL: 'To fill',
  DOSE: 'To take',
  BETTER_YET: 'Is it better?',
  ASK_AFTER: 'To ask after',
  FOLLOW_UP: 'How it went',
  DIARY: 'How it is today',
  USE_UP: 'To use up',
  DESICCANT: 'Desiccant to change',
  SET_ASIDE: 'To set aside',
}

const PAGE: Record<Task['kind'], (t: Task) => string> = {
  STOP_TAKING: (t) => `/dosing/courses/${t.subjectId}`,
  CALL_BACK: (t) => `/tracing/${t.subjectId}/recall`,
  LOOK_AGAIN: (t) => `/field/stands/${t.subjectId}`,
  RETURN: (t) => `/field/stands/${t.subjectId}`,
  COME_BACK: (t) => `/notes/${t.subjectId}`,
  GATHER: (t) => `/field/stands/${t.subjectId}`,
  WEIGH_HARVEST: () => '/drying',
  RACK: () => '/drying',
  WEIGH: (t) => `/drying/${t.subjectId}`,
  SHAKE: (t) => `/making/batches/${t.subjectId}`,
  PRESS: (t) => `/making/batches/${t.subjectId}`,
  FILL: (t) => `/making/batches/${t.subjectId}`,
  DOSE: (t) => `/dosing/courses/${t.subjectId}`,
  BETTER_YET: (t) => `/dosing/courses/${t.subjectId}`,
  ASK_AFTER: (t) => `/dosing/courses/${t.subjectId}`,
  FOLLOW_UP: (t) => `/dosing/direct/${t.subjectId}`,
  DIARY: (t) => `/dosing/courses/${t.subjectId}`,
  USE_UP: (t) => `/shelf/${t.subjectId}`,
  DESICCANT: (t) => `/shelf/${t.subjectId}`,
  SET_ASIDE: (t) => `/tracing/${t.subjectId}`,
}

/** These are due whenever they are; since when would be no news. */
const UNDATED: Task['kind'][] = ['CALL_BACK', 'USE_UP', 'SET_ASIDE']

export function Today() {
  const today = useToday()
  return (
    <Loaded query={today}>
      {(data) => (
        <Page
          title={`Today, ${date(data.today)}`}
          actions={
            <>
              <ButtonLink to="/calendar">In your calendar</ButtonLink>
              <ButtonLink to="/needs">What helps?</ButtonLink>
              <ButtonLink to="/year">Enough for winter</ButtonLink>
              <ButtonLink to="/field">Go out to the field</ButtonLink>
            </>
          }
        >
          <WhomToCall />
          <Watched />
          {data.tasks.length === 0 ? (
            <Doors />
          ) : (
            <div className="gap-x-8 lg:columns-2">
              {Object.entries(HEADINGS).map(([kind, heading]) => {
                const tasks = data.tasks.filter((t) => t.kind === kind)
                return tasks.length === 0 ? null : (
                  <section key={kind} aria-label={heading} className="mb-4 break-inside-avoid">
                    <h2
                      className={`mb-1 border-b-2 text-lg font-semibold ${kind === 'STOP_TAKING' ? 'text-madder border-madder' : 'text-water border-water'}`}
                    >
                      {heading}
                    </h2>
                    <ul>
                      {tasks.map((t) => (
                        <TaskRow key={`${t.kind}${t.subjectId}${t.slot ?? ''}`} task={t} today={data.today} />
                      ))}
                    </ul>
                  </section>
                )
              })}
            </div>
          )}
          <div className="mt-4">
            <SeasonNow />
          </div>
        </Page>
      )}
    </Loaded>
  )
}

const DOORS = [
  {
    to: '/field/identify',
    name: 'Look at a plant',
    says: 'Answer what you see; it says what it may be, and what not.',
  },
  {
    to: '/making',
    name: 'Reckon something',
    says: 'A tincture, a tea, a salve: from what you type, nothing has to be there.',
  },
  {
    to: '/shelf?add=have',
    name: 'Put on the shelf what is there',
    says: 'Jars, bottles and spirits you have already.',
  },
  {
    to: '/year',
    name: 'Plan the year',
    says: 'What you want in hand, and the weeks that bring it; or what is safe to begin with.',
  },
  {
    to: '/herbarium?show=season',
    name: 'See what is in season',
    says: 'What is gathered this month, and where it can be mistaken.',
  },
]

/** Where a household begins that has nothing waiting. */
function Doors() {
  return (
    <>
      <p className="mb-3 text-lg">Nothing waits today. Begin where you like:</p>
      <ul className="grid gap-3 sm:grid-cols-2">
        {DOORS.map((d) => (
          <li key={d.to}>
            <Link
              to={d.to}
              className="bg-sheet border-line hover:border-water flex min-h-28 flex-col justify-center border-2 border-t-4 px-4 py-3"
            >
              <span className="text-xl font-semibold">{d.name}</span>
              <span className="text-soft">{d.says}</span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}

function TaskRow({ task, today }: { task: Task; today: string }) {
  return (
    <li className="border-line border-b py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <div className="least-48 flex-1">
          <Link to={PAGE[task.kind](task)} className="font-medium underline decoration-1 underline-offset-4">
            {task.title}
          </Link>
          <p className="text-soft text-sm">
            {task.detail}
            {task.overdue && !UNDATED.includes(task.kind) && (
              <strong className="text-madder ml-2">late, was due {date(task.due)}</strong>
            )}
          </p>
        </div>
        <Doing task={task} today={today} />
      </div>
    </li>
  )
}

const TAKEN_BACK = { reason: 'taken back at once' }

/** Strikes out what was just noted. @param id under which it was */
async function takeBack(task: Task, id: string): Promise<unknown> {
  const subject = task.subjectId
  switch (task.kind) {
    case 'SHAKE':
      return ask(
        api.POST('/api/making/batches/{id}/shakes/{shake}/strike', {
          params: { path: { id: subject, shake: id } },
          body: TAKEN_BACK,
        }),
      )
    case 'WEIGH':
      return ask(
        api.POST('/api/drying/runs/{id}/weighings/{weighing}/strike', {
          params: { path: { id: subject, weighing: id } },
          body: TAKEN_BACK,
        }),
      )
    case 'DOSE':
      return ask(
        api.POST('/api/dosing/courses/{id}/doses/{dose}/strike', {
          params: { path: { id: subject, dose: id } },
          body: TAKEN_BACK,
        }),
      )
    case 'COME_BACK':
      return ask(api.DELETE('/api/notes/{id}/been-back', { params: { path: { id: subject } } }))
    case 'PRESS': {
      const batch = await ask(api.GET('/api/making/batches/{id}', { params: { path: { id: subject } } }))
      return ask(
        api.POST('/api/making/batches/{id}/press/strike', {
          params: { path: { id: subject }, header: ifMatch(batch.version) },
          body: TAKEN_BACK,
        }),
      )
    }
    default: {
      const lines = await ask(api.GET('/api/shelf/lots/{id}/changes', { params: { path: { id: subject } } }))
      const line = lines.find((l) => (l.what === 'FINISHED' || l.what === 'THROWN_AWAY') && l.mayBeStruck)
      if (!line) throw new Error('Nothing to take back.')
      return ask(
        api.POST('/api/shelf/lots/{id}/changes/{change}/strike', {
          params: { path: { id: subject, change: line.id } },
          body: TAKEN_BACK,
        }),
      )
    }
  }
}

/** Does it from the list; what has no answer of one touch throws, and is done on its own page. */
async function doneOf(
  task: Task,
  id: string,
  today: string,
  amount: string,
  acknowledged: ReturnType<typeof useAcknowledged>['list'],
): Promise<unknown> {
  const path = { id: task.subjectId }
  switch (task.kind) {
    case 'SHAKE':
      return ask(api.POST('/api/making/batches/{id}/shakes', { params: { path }, body: { id, on: today } }))
    case 'WEIGH':
      return ask(
        api.POST('/api/drying/runs/{id}/weighings', {
          params: { path },
          body: { id, at: nowIso(), massG: number(amount), source: 'HAND', acknowledged },
        }),
      )
    case 'PRESS':
      return ask(
        api.POST('/api/making/batches/{id}/press', {
          params: { path, header: ifMatch(task.version ?? 0) },
          body: { yieldAmount: number(amount), on: today, acknowledged },
        }),
      )
    case 'DOSE':
      return ask(
        api.POST('/api/dosing/courses/{id}/doses', {
          params: { path },
          body: { id, on: today, slot: task.slot ?? 1 },
        }),
      )
    case 'COME_BACK':
      return ask(api.POST('/api/notes/{id}/been-back', { params: { path } }))
    case 'USE_UP':
      return ask(
        api.POST('/api/shelf/lots/{id}/finish', {
          params: {
            path,
            // Past its date nobody uses it up.
            query: { end: task.overdue ? 'THROWN_AWAY' : 'USED_UP' },
            header: ifMatch(task.version ?? 0),
          },
        }),
      )
    default:
      throw new Error('done on its own page')
  }
}

/** What is done with one touch, or with one figure. An oil is looked at when it is pressed: that is asked on its page. */
const isDoneHere = (task: Task): task is Task & { kind: keyof typeof VERB } =>
  task.kind in VERB && !(task.kind === 'PRESS' && task.amount == null)

const VERB = {
  SHAKE: 'Shaken',
  WEIGH: 'Weigh',
  PRESS: 'Press',
  DOSE: 'Taken',
  USE_UP: 'Used up',
  COME_BACK: 'Been there',
}

function OnItsPage({ task }: { task: Task }) {
  switch (task.kind) {
    case 'STOP_TAKING':
      return <ButtonLink to={`/dosing/courses/${task.subjectId}`}>See why</ButtonLink>
    case 'CALL_BACK':
      return <ButtonLink to={PAGE.CALL_BACK(task)}>What to say</ButtonLink>
    case 'LOOK_AGAIN':
      return <ButtonLink to={`/field/stands/${task.subjectId}/identify`}>Look</ButtonLink>
    case 'RETURN':
    case 'GATHER':
      return <ButtonLink to={`/field/stands/${task.subjectId}/harvest`}>Harvest</ButtonLink>
    case 'WEIGH_HARVEST':
      return <ButtonLink to="/drying">Weigh it</ButtonLink>
    case 'RACK':
      return <ButtonLink to={`/drying?harvest=${task.subjectId}`}>To the rack</ButtonLink>
    case 'FILL':
      return <ButtonLink to={`/making/batches/${task.subjectId}`}>Fill</ButtonLink>
    case 'PRESS':
      return <ButtonLink to={`/making/batches/${task.subjectId}`}>Press</ButtonLink>
    case 'DIARY':
      return <ButtonLink to={PAGE.DIARY(task)}>Note it</ButtonLink>
    case 'BETTER_YET':
    case 'FOLLOW_UP':
      return <ButtonLink to={PAGE[task.kind](task)}>Say</ButtonLink>
    case 'ASK_AFTER':
      return <ButtonLink to={PAGE.ASK_AFTER(task)}>Ask</ButtonLink>
    case 'DESICCANT':
      return <ButtonLink to={`/shelf/${task.subjectId}`}>Note it</ButtonLink>
    case 'SET_ASIDE':
      return <ButtonLink to={`/tracing/${task.subjectId}`}>See why</ButtonLink>
    default:
      return null
  }
}

/** Each task is done from the list itself. */
const Doing = only('record', function Doing({ task, today }: { task: Task; today: string }) {
  const again = useRenew('drying')
  const [id, setId] = useState(() => v7())
  const renew = useRef<ReturnType<typeof setTimeout>>(undefined)
  const [open, setOpen] = useState(false)
  const [receipt, setReceipt] = useState(false)
  const [amount, setAmount] = useState('')
  const reasons = useAcknowledged()
  const done = useCommand([], {
    mutationFn: () => doneOf(task, id, today, amount, reasons.list),
    // The row stays a moment as what was done: a thumb that taps again must not meet the next one, and can take it back.
    onSuccess: () => {
      setReceipt(true)
      renew.current = setTimeout(() => void again(), RECEIPT_MS)
    },
    onError: (e) => {
      if (e instanceof ProblemError && e.problem.status === 409) void again()
    },
  })
  const undo = useCommand([], {
    mutationFn: () => takeBack(task, id),
    onSuccess: () => {
      clearTimeout(renew.current)
      setReceipt(false)
      setId(v7())
      void again()
    },
  })
  if (receipt) {
    return (
      <span className="flex flex-wrap items-center gap-3">
        <span role="status" className="text-lichen py-2 font-semibold">
          ✓ done
        </span>
        <Button
          disabled={undo.isPending}
          aria-label={`Take it back: ${task.title}`}
          onClick={() => undo.mutate()}
        >
          Take it back
        </Button>
        <ProblemNotice error={undo.error} />
      </span>
    )
  }

  if (!isDoneHere(task)) return <OnItsPage task={task} />
  const verb = task.kind === 'USE_UP' && task.overdue ? 'Thrown away' : VERB[task.kind]
  const asks = task.kind === 'WEIGH' || task.kind === 'PRESS'
  return (
    <>
      {!open && (
        <Button
          disabled={done.isPending}
          aria-label={`${verb}: ${task.title}`}
          onClick={() => (asks ? setOpen(true) : done.mutate())}
        >
          {verb}
        </Button>
      )}
      {open && asks && (
        <form
          className="flex w-full flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault()
            done.mutate()
          }}
        >
          <div className="w-40">
            <NumberInput
              label={task.kind === 'WEIGH' ? 'Weight now' : 'What came out'}
              {...(task.unit ? { unit: task.unit } : {})}
              {...(task.kind === 'PRESS' ? { hint: `expected about ${figure(task.amount ?? 0)}` } : {})}
              value={amount}
              onChange={setAmount}
            />
          </div>
          {task.kind === 'WEIGH' && (
            <ScaleReader load={{ dryingRunId: task.subjectId }} onStable={(g) => setAmount(String(g))} />
          )}
          <Acknowledge findings={refusedBy(done.error)} reasons={reasons} />
          <Button kind="main" type="submit" disabled={done.isPending}>
            Record
          </Button>
        </form>
      )}
      {done.error && (
        <div className="w-full">
          <ProblemNotice error={done.error} />
        </div>
      )}
    </>
  )
})
