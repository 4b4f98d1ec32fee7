import { number } from '../ui/read'
import { StrikeOut } from '../ui/StrikeOut'
import { isoToday } from '../ui/clock'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, ifMatch, ProblemError, type Schemas } from '../api/client'
import { useLot } from '../shelf/queries'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { Button, ButtonLink, Input, NumberInput, Toggle } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { Loaded, Page, ProblemNotice, SafetyLine, Section } from '../ui/page'
import { RELATION } from '../ui/dictionary'
import { date, figure } from '../ui/words'
import { CourseStrip } from './Calendar'
import { useCourse } from './queries'
import { only, useMay } from '../ui/may'

type CourseView = Schemas['CourseView']

export function Course() {
  const { id = '' } = useParams()
  const course = useCourse(id)
  return <Loaded query={course}>{(c) => <CoursePage course={c} />}</Loaded>
}

function CoursePage({ course }: { course: CourseView }) {
  const queries = useQueryClient()
  const today = isoToday()
  const may = useMay('record')
  const end = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/dosing/courses/{id}/end', {
          params: { path: { id: course.id }, header: ifMatch(course.version) },
        }),
      ),
    onSettled: () => queries.invalidateQueries(),
  })
  const when =
    course.timing && course.timing.relation !== 'ANY'
      ? `${course.timing.minutes ? `${course.timing.minutes} minutes ` : ''}${RELATION[course.timing.relation]}`
      : 'at any time'
  const ends = course.status === 'ENDED' ? 'This course was ended.' : 'This course is finished.'
  return (
    <Page
      title={`${course.person}: ${course.product}`}
      actions={
        course.status === 'RUNNING' &&
        may && (
          <Button onClick={() => end.mutate()} disabled={end.isPending}>
            End the course
          </Button>
        )
      }
    >
      <p className="mb-3">
        From{' '}
        <Link className="underline" to={`/shelf/${course.lotId}`}>
          {course.lotCode}
        </Link>
        , {date(course.startOn)} to {date(course.lastDay)}, {when}, {figure(course.totalMl)} {course.unit} in
        all
        {course.use ? `, for ${course.use}` : ''}
        {course.countedOut ? `; a full dose is ${course.countedOut}` : ''}
        {course.timing?.overMinutes ? `, drunk over ${course.timing.overMinutes} minutes` : ''}.
      </p>
      {course.status !== 'RUNNING' && <p className="mb-3 font-semibold">{ends}</p>}
      <ProblemNotice error={end.error} />
      <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="space-y-4">
          <Section title="Planned and taken">
            <CourseStrip days={course.days} today={today} taken={course.taken} />
            <p className="mt-2">
              Up to today planned {figure(course.adherence.plannedMl)} {course.unit}, taken{' '}
              <strong>
                {figure(course.adherence.takenMl)} {course.unit}
              </strong>
              {course.adherence.missedDays > 0 &&
                `; nothing on ${course.adherence.missedDays === 1 ? 'one day' : `${course.adherence.missedDays} days`}`}
              .
            </p>
          </Section>
          <Ticks course={course} today={today} />
        </div>
        <div className="space-y-4">
          <Findings findings={course.findings} label="Course findings" />
          {course.findings.some((f) => f.code === 'FIRST_TIME') && <Trial course={course} today={today} />}
          <Tried course={course} />
          <Section title="Stop and get help at">
            <p>{course.dangerSigns.join(', ')}.</p>
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
            <span className="w-full font-medium sm:w-32">{d.date === today ? 'today' : date(d.date)}</span>
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
  const queries = useQueryClient()
  // A new one each time, so that what was struck out can be taken after all.
  const [id, setId] = useState(() => v7())
  const taken = course.taken.find((t) => t.date === day.date && t.slot === slot)
  const may = useMay('record')
  const [other, setOther] = useState<string | null>(null)
  const [swallowed, setSwallowed] = useState(false)
  const reasons = useAcknowledged()
  const take = useMutation({
    mutationFn: (ml: number | undefined) =>
      ask(
        api.POST('/api/dosing/courses/{id}/doses', {
          params: { path: { id: course.id } },
          body: { id, on: day.date, slot, ml, swallowed: swallowed || undefined, acknowledged: reasons.list },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
      await queries.invalidateQueries()
    },
  })
  const refused = take.error instanceof ProblemError ? (take.error.problem.findings ?? []) : []
  const stopped = refused.some((f) => f.severity === 'STOP' || f.severity === 'HOLD')
  if (taken) {
    return (
      <span className="flex flex-wrap items-center gap-2">
        <span className="bg-lichen-pale text-lichen border-lichen border-2 px-3 py-1.5 font-medium">
          taken {figure(taken.ml)} {course.unit}
        </span>
        <StrikeOut
          what={`dose ${slot} of ${date(day.date)}`}
          onStrike={(reason) =>
            ask(
              api.POST('/api/dosing/courses/{id}/doses/{dose}/strike', {
                params: { path: { id: course.id, dose: taken.id } },
                body: { reason },
              }),
            )
          }
        />
      </span>
    )
  }
  const which = `dose ${slot} of ${date(day.date)}`
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button
        disabled={!may || !course.dosable || take.isPending}
        aria-label={`take ${figure(day.perDoseMl)} ${course.unit}, ${which}`}
        onClick={() => take.mutate(undefined)}
      >
        take {figure(day.perDoseMl)} {course.unit}
      </Button>
      {other === null ? (
        <button
          type="button"
          className="min-h-6 text-sm underline"
          disabled={!may || !course.dosable}
          aria-label={`another amount, ${which}`}
          onClick={() => setOther('')}
        >
          another amount
        </button>
      ) : (
        <form
          className="flex items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault()
            take.mutate(number(other))
          }}
        >
          <div className="w-36">
            <NumberInput label="Really taken" unit={course.unit} value={other} onChange={setOther} />
          </div>
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

/** A first small trial of each plant, with how it went. */
const Trial = only('record', function Trial({ course, today }: { course: CourseView; today: string }) {
  const queries = useQueryClient()
  const lot = useLot(course.lotId)
  const [reaction, setReaction] = useState('')
  const [well, setWell] = useState(true)
  const [ids] = useState<Record<string, string>>({})
  const save = useMutation({
    mutationFn: async () => {
      for (const herb of lot.data?.herbs ?? []) {
        ids[herb.taxonId] ??= v7()
        await ask(
          api.POST('/api/dosing/trials', {
            body: {
              id: ids[herb.taxonId] ?? '',
              personId: course.personId,
              taxonId: herb.taxonId,
              on: today,
              reaction,
              well,
            },
          }),
        )
      }
    },
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <Section title="First trial">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate()
        }}
      >
        <Input label="How it went" value={reaction} onChange={(e) => setReaction(e.target.value)} />
        <Toggle label="Nothing bad happened" checked={well} onChange={setWell} />
        <ProblemNotice error={save.error} />
        <Button type="submit" disabled={save.isPending}>
          Record the trial
        </Button>
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
                {herb}, {date(t.on)}: {t.well ? 'nothing bad happened' : 'it was not borne'}
                {t.reaction && `, ${t.reaction}`}
              </span>
              <StrikeOut
                what={`trial of ${herb} on ${date(t.on)}`}
                onStrike={(reason) =>
                  ask(
                    api.POST('/api/dosing/trials/{id}/strike', {
                      params: { path: { id: t.id } },
                      body: { reason },
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
