import { number } from '../ui/read'
import { StrikeOut } from '../ui/StrikeOut'
import { TakenBack } from '../ui/TakenBack'
import { isoToday } from '../ui/clock'
import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, ProblemError, type Schemas } from '../api/client'
import { useLot } from '../shelf/queries'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Button, ButtonLink, Input, NumberInput, Toggle } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { RELATION, WAY } from '../ui/dictionary'
import { date, figure } from '../ui/words'
import { Answers } from './Answers'
import { CourseStrip } from './Calendar'
import { Diary } from './Diary'
import { useCourse } from './queries'
import { NoteReaction } from './Reactions'
import { Spoon } from './Spoon'
import { only, useMay } from '../ui/may'

type CourseView = Schemas['CourseView']

export function Course() {
  const { id = '' } = useParams()
  const course = useCourse(id)
  return <Loaded query={course}>{(c) => <CoursePage course={c} />}</Loaded>
}

function CoursePage({ course }: { course: CourseView }) {
  const today = isoToday()
  const may = useMay('record')
  const end = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/dosing/courses/{id}/end', {
          params: { path: { id: course.id }, header: ifMatch(course.version) },
        }),
      ),
  })
  const lot = useLot(course.lotId)
  const when = whenOf(course)
  const ends = course.status === 'ENDED' ? 'This course was ended.' : 'This course is finished.'
  return (
    <Page
      title={`${course.person}: ${course.product}`}
      actions={
        <>
          <ButtonLink to={`/dosing/courses/${course.id}/card`}>Dose card</ButtonLink>
          {may && (
            <ButtonLink
              to={`/dosing/new?person=${course.personId}&follows=${course.id}&start=${dayAfter(course)}`}
            >
              Plan what comes after
            </ButtonLink>
          )}
          {course.status === 'RUNNING' && may && (
            <Button onClick={() => end.mutate()} disabled={end.isPending}>
              {course.untilBetter ? 'It is better: end it' : 'End the course'}
            </Button>
          )}
        </>
      }
    >
      <p className="mb-3">
        From{' '}
        <Link className="underline" to={`/shelf/${course.lotId}`}>
          {course.lotCode}
        </Link>
        , {date(course.startOn)} to {date(course.lastDay)}, {course.pattern}, {when}, {figure(course.total)}{' '}
        {course.unit} in all
        {course.use ? `, for ${course.use}` : ''}
        {course.countedOut ? `; a full dose is ${course.countedOut}` : ''}
        {course.timing?.overMinutes ? `, drunk over ${course.timing.overMinutes} minutes` : ''}
        {course.untilBetter ? '; only until it is better' : ''}.
      </p>
      <Phases course={course} />
      {course.status !== 'RUNNING' && (
        <p className="mb-3">
          <strong className="font-semibold">{ends}</strong>{' '}
          {may && (
            <Link
              className="underline"
              to={`/dosing/direct/new?swallowed=${course.lotId}&person=${course.personId}`}
            >
              Something of it was swallowed all the same
            </Link>
          )}
        </p>
      )}
      <TakenBack subject={course.id} />
      <ProblemNotice error={end.error} />
      <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="space-y-4">
          <Section title="Planned and taken">
            <CourseStrip days={course.days} today={today} taken={course.taken} unit={course.unit} />
            <p className="mt-2">
              Up to today planned {figure(course.adherence.planned)} {course.unit}, taken{' '}
              <strong>
                {figure(course.adherence.taken)} {course.unit}
              </strong>
              {course.adherence.missedDays > 0 &&
                `; nothing on ${course.adherence.missedDays === 1 ? 'one day' : `${course.adherence.missedDays} days`}`}
              .
            </p>
          </Section>
          {course.recipient || course.untilBetter ? <Asked course={course} /> : null}
          <Ticks course={course} today={today} />
          <Diary course={course} />
        </div>
        <div className="space-y-4">
          <Findings findings={course.findings} label="Course findings" />
          {course.findings.some((f) => f.code === 'FIRST_TIME') && <Trial course={course} today={today} />}
          <Tried course={course} />
          <Happened course={course} />
          <Answers
            person={course.personId}
            plants={lot.data?.herbs ?? []}
            wanted={course.findings.some((f) => f.code === 'NOT_CHECKED' || f.code === 'WATCH_MEDICINE')}
          />
          <Section title="Stop and get help at">
            <p>{course.dangerSigns.join(', ')}.</p>
            <p className="mt-1">A doctor today at: {course.doctorToday.join(', ')}.</p>
            <ButtonLink kind="grave" to={`/help?person=${course.personId}`}>
              Something is wrong
            </ButtonLink>
          </Section>
          <SafetyLine />
        </div>
      </div>
    </Page>
  )
}

function Ticks({ course, today }: { course: CourseView; today: string }) {
  const shown = course.days.filter((d) => d.date <= today).slice(-4)
  if (shown.length === 0) return <p>The course begins on {date(course.startOn)}.</p>
  return (
    <Section title="Doses">
      <ul>
        {shown.toReversed().map((d) => (
          <li key={d.date} className="border-line flex flex-wrap items-center gap-2 border-b py-2">
            <span className="w-full font-medium sm:w-24">{d.date === today ? 'today' : date(d.date)}</span>
            {d.doses === 0 && <span className="text-soft">pause</span>}
            {Array.from({ length: d.doses }, (_, i) => (
              <Tick key={i} course={course} day={d} slot={i + 1} />
            ))}
          </li>
        ))}
      </ul>
    </Section>
  )
}

function Tick({ course, day, slot }: { course: CourseView; day: Schemas['DayView']; slot: number }) {
  // A new one each time, so that what was struck out can be taken after all.
  const [id, setId] = useState(() => v7())
  const taken = course.taken.find((t) => t.date === day.date && t.slot === slot)
  const may = useMay('record')
  const [other, setOther] = useState<string | null>(null)
  const [over, setOver] = useState('')
  const [swallowed, setSwallowed] = useState(false)
  const reasons = useAcknowledged()
  const take = useCommand('shelf', {
    mutationFn: (amount: number | undefined) =>
      ask(
        api.POST('/api/dosing/courses/{id}/doses', {
          params: { path: { id: course.id } },
          body: {
            id,
            on: day.date,
            slot,
            amount,
            overMinutes: over.trim() === '' ? undefined : number(over),
            swallowed: swallowed || undefined,
            acknowledged: reasons.list,
          },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
    },
  })
  const refused = take.error instanceof ProblemError ? (take.error.problem.findings ?? []) : []
  const stopped = refused.some((f) => f.severity === 'STOP' || f.severity === 'HOLD')
  if (taken) {
    return (
      <span className="flex flex-wrap items-center gap-2">
        <span className="bg-lichen-pale text-lichen border-lichen flex items-center gap-2 border-2 px-3 py-1.5 font-medium">
          <Spoon full />
          taken {figure(taken.amount)} {course.unit}
          {taken.overMinutes != null && ` over ${taken.overMinutes} min`}
        </span>
        <StrikeOut
          what={`dose ${slot} of ${date(day.date)}`}
          onStrike={(because) =>
            ask(
              api.POST('/api/dosing/courses/{id}/doses/{dose}/strike', {
                params: { path: { id: course.id, dose: taken.id } },
                body: because,
              }),
            )
          }
        />
      </span>
    )
  }
  const which = `dose ${slot} of ${date(day.date)}`
  const otherWords = course.timing?.overMinutes != null ? 'another amount or pace' : 'another amount'
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button
        disabled={!may || !course.dosable || take.isPending}
        aria-label={`take ${figure(day.perDose)} ${course.unit}, ${which}`}
        onClick={() => take.mutate(undefined)}
      >
        <Spoon />
        take {figure(day.perDose)} {course.unit}
      </Button>
      {other === null ? (
        <button
          type="button"
          className="min-h-6 text-sm underline"
          disabled={!may || !course.dosable}
          aria-label={`${otherWords}, ${which}`}
          onClick={() => setOther('')}
        >
          {otherWords}
        </button>
      ) : (
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault()
            take.mutate(other.trim() === '' ? undefined : number(other))
          }}
        >
          <div className="w-36">
            <NumberInput label="Really taken" unit={course.unit} value={other} onChange={setOther} />
          </div>
          {course.timing?.overMinutes != null && (
            <div className="w-36">
              <NumberInput label="Drunk over" unit="min" value={over} onChange={setOver} />
            </div>
          )}
          <Button type="submit" disabled={take.isPending}>
            Record it
          </Button>
        </form>
      )}
      <ProblemNotice error={take.error} />
      {!stopped && <Acknowledge findings={refused} reasons={reasons} />}
      {stopped && (
        <Toggle
          label="It is swallowed already: keep it, so that it counts"
          checked={swallowed}
          onChange={setSwallowed}
        />
      )}
    </div>
  )
}

/** "20 to 30 minutes before a meal". */
export function whenOf(course: CourseView) {
  const t = course.timing
  if (!t || t.relation === 'ANY') return 'at any time'
  const minutes =
    t.minutes == null ? '' : `${t.minutes}${t.minutesTo == null ? '' : ` to ${t.minutesTo}`} minutes `
  return `${minutes}${RELATION[t.relation]}`
}

/** The day on which another phase may begin. */
function dayAfter(course: CourseView) {
  const last = course.status === 'ENDED' && course.lastDay > isoToday() ? isoToday() : course.lastDay
  const at = new Date(`${last}T00:00:00Z`)
  at.setUTCDate(at.getUTCDate() + 1)
  const day = at.toISOString().slice(0, 10)
  return day < isoToday() ? isoToday() : day
}

/** What came before it and what comes after, as one run. */
function Phases({ course }: { course: CourseView }) {
  if (!course.before && course.after.length === 0) return null
  const phase = (p: Schemas['PhaseView']) => (
    <Link className="underline" to={`/dosing/courses/${p.id}`}>
      {p.product}, {date(p.startOn)} to {date(p.lastDay)}
    </Link>
  )
  return (
    <p className="mb-3">
      {course.before && <>After {phase(course.before)}. </>}
      {course.after.map((p) => (
        <span key={p.id}>Then {phase(p)}. </span>
      ))}
    </p>
  )
}

/** Whoever takes it elsewhere, or until it is better, is asked; what they say stays. */
function Asked({ course }: { course: CourseView }) {
  const [id, setId] = useState(() => v7())
  const [words, setWords] = useState('')
  const may = useMay('record')
  const ask1 = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/dosing/courses/{id}/asked', {
          params: { path: { id: course.id } },
          body: { id, words },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
      setWords('')
    },
  })
  return (
    <Section title={course.untilBetter ? 'Is it better?' : `How it goes with ${course.person}`}>
      {course.asked.length === 0 && (
        <p className="text-soft text-sm">
          Nobody has asked yet. Today says when: on the third day, then every{' '}
          {course.untilBetter ? 'three days' : 'week'}.
        </p>
      )}
      <ul>
        {course.asked.map((a) => (
          <li key={a.id} className="border-line border-b py-1">
            {date(a.on)}, {a.by}: {a.words}
          </li>
        ))}
      </ul>
      {may && course.status === 'RUNNING' && (
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault()
            ask1.mutate()
          }}
        >
          <div className="least-60 flex-1">
            <Input label="What was said" value={words} onChange={(e) => setWords(e.target.value)} />
          </div>
          <Button type="submit" disabled={ask1.isPending || words.trim() === ''}>
            Keep it
          </Button>
        </form>
      )}
      <ProblemNotice error={ask1.error} />
    </Section>
  )
}

/** Something was noticed after a dose. */
const Happened = only('record', function Happened({ course }: { course: CourseView }) {
  const [open, setOpen] = useState(false)
  return (
    <Section title="Was something noticed?">
      {open ? (
        <NoteReaction person={{ id: course.personId, name: course.person }} course={course.id} />
      ) : (
        <Button onClick={() => setOpen(true)}>Note a reaction</Button>
      )}
    </Section>
  )
})

/** A first small trial of each plant, with how it went. */
const Trial = only('record', function Trial({ course, today }: { course: CourseView; today: string }) {
  const lot = useLot(course.lotId)
  const [reaction, setReaction] = useState('')
  const [day, setDay] = useState(today)
  const [ids] = useState<Record<string, string>>({})
  const save = useCommand('shelf', {
    mutationFn: async (well: boolean) => {
      for (const herb of lot.data?.herbs ?? []) {
        ids[herb.taxonId] ??= v7()
        await ask(
          api.POST('/api/dosing/trials', {
            body: {
              id: ids[herb.taxonId] ?? '',
              personId: course.personId,
              taxonId: herb.taxonId,
              way: course.way === 'SKIN' ? 'SKIN' : 'MOUTH',
              on: day,
              reaction,
              well,
            },
          }),
        )
      }
    },
  })
  return (
    <Section title="First trial">
      <form className="space-y-2" onSubmit={(e) => e.preventDefault()}>
        <Input
          label="Tried on"
          type="date"
          max={today}
          hint="it speaks from the day after: what comes late shows by then"
          value={day}
          onChange={(e) => setDay(e.target.value)}
        />
        <Input label="How it went" value={reaction} onChange={(e) => setReaction(e.target.value)} />
        <ProblemNotice error={save.error} />
        <div className="flex flex-wrap gap-2">
          <Button disabled={save.isPending} onClick={() => save.mutate(true)}>
            It was borne well
          </Button>
          <Button kind="grave" disabled={save.isPending} onClick={() => save.mutate(false)}>
            It was not borne
          </Button>
        </div>
      </form>
    </Section>
  )
})

/** What was tried of its herbs, so that a trial of the wrong plant or person can be struck out. */
function Tried({ course }: { course: CourseView }) {
  const lot = useLot(course.lotId)
  const trials = useQuery({
    queryKey: ['trials', course.personId],
    queryFn: () =>
      ask(api.GET('/api/dosing/people/{id}/trials', { params: { path: { id: course.personId } } })),
  })
  const herbs = lot.data?.herbs ?? []
  const tried = (trials.data ?? []).filter((t) => herbs.some((h) => h.taxonId === t.taxonId))
  if (tried.length === 0) return null
  return (
    <Section title="Tried before">
      <ul>
        {tried.map((t) => {
          const herb = herbs.find((h) => h.taxonId === t.taxonId)?.commonName ?? ''
          return (
            <li key={t.id} className="border-line flex flex-wrap justify-between gap-2 border-b py-1">
              <span>
                {herb}
                {t.way && `, ${WAY[t.way]}`}, {date(t.on)}:{' '}
                {t.well ? 'nothing bad happened' : 'it was not borne'}
                {t.reaction && `, ${t.reaction}`}
              </span>
              <StrikeOut
                what={`trial of ${herb} on ${date(t.on)}`}
                onStrike={(because) =>
                  ask(
                    api.POST('/api/dosing/trials/{id}/strike', {
                      params: { path: { id: t.id } },
                      body: because,
                    }),
                  )
                }
              />
            </li>
          )
        })}
      </ul>
    </Section>
  )
}
