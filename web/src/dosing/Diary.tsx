import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { Button, Input } from '../ui/controls'
import { Only, useMay } from '../ui/may'
import { Because, ProblemNotice, Section } from '../ui/page'
import { StrikeOut } from '../ui/StrikeOut'
import { date } from '../ui/words'

/** Whether it helps: the complaint in the person's own words, scored day by day, and what the days say. */
export function Diary({ course }: { course: Schemas['CourseView'] }) {
  return course.diary ? <Kept course={course} /> : <Begin course={course} />
}

function Begin({ course }: { course: Schemas['CourseView'] }) {
  const [complaint, setComplaint] = useState('')
  const may = useMay('record')
  const begin = useCommand('dosing', {
    mutationFn: () =>
      ask(
        api.PUT('/api/dosing/courses/{id}/diary', {
          params: { path: { id: course.id } },
          body: { complaint },
        }),
      ),
  })
  if (!may || course.status !== 'RUNNING') return null
  return (
    <Section title="Does it help?">
      <form
        className="space-y-2"
        onSubmit={(e) => {
          e.preventDefault()
          begin.mutate()
        }}
      >
        <p className="text-soft text-sm">
          One score a day, on days with and days without. Two weeks or more of both can tell it from chance; a
          plan “drawn by lot” tells it best.
        </p>
        <Input
          label="What is to get better, in their own words"
          hint="the stiff hip in the morning"
          value={complaint}
          onChange={(e) => setComplaint(e.target.value)}
        />
        <ProblemNotice error={begin.error} />
        <Button type="submit" disabled={begin.isPending || complaint.trim() === ''}>
          Keep a diary
        </Button>
      </form>
    </Section>
  )
}

function Kept({ course }: { course: Schemas['CourseView'] }) {
  const diary = useQuery({
    queryKey: ['diary', course.id],
    queryFn: () => ask(api.GET('/api/dosing/courses/{id}/diary', { params: { path: { id: course.id } } })),
  })
  const d = diary.data
  if (!d) return null
  return (
    <Section title={`Does it help? ${d.complaint}`}>
      <Only deed="record">
        <Score course={course} diary={d} />
      </Only>
      {d.days.length > 0 && <Dots diary={d} />}
      <p role="status" className="mt-2 font-medium">
        {d.sentence}
      </p>
      {d.otherwise > 0 && (
        <p className="text-amber text-sm font-medium">
          {d.otherwise === 1 ? 'One day' : `${d.otherwise} days`} went otherwise than drawn; they count as
          they were drawn, else the lot would be in vain.
        </p>
      )}
      <Because lines={d.because} />
      <details className="mt-2">
        <summary className="text-note min-h-6 cursor-pointer text-sm underline">Every day</summary>
        <ul>
          {d.days.toReversed().map((day) => (
            <li key={day.id} className="border-line flex flex-wrap justify-between gap-2 border-b py-1">
              <span>
                {date(day.on)}: <strong>{day.score}</strong>, {day.with ? 'with' : 'without'}
                {day.words && `, ${day.words}`}
              </span>
              <StrikeOut
                what={`the score of ${date(day.on)}`}
                onStrike={(because) =>
                  ask(
                    api.POST('/api/dosing/courses/{id}/diary/days/{day}/strike', {
                      params: { path: { id: course.id, day: day.id } },
                      body: because,
                    }),
                  )
                }
              />
            </li>
          ))}
        </ul>
      </details>
    </Section>
  )
}

const SCORES = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]

function Score({ course, diary }: { course: Schemas['CourseView']; diary: Schemas['DiaryView'] }) {
  const [id, setId] = useState(() => v7())
  const [on, setOn] = useState(isoToday())
  const noted = diary.days.find((d) => d.on === on)
  // None at first: a score nobody gave would count as one.
  const [score, setScore] = useState<number | null>(null)
  const [words, setWords] = useState('')
  const note = useCommand('dosing', {
    mutationFn: (given: number) =>
      ask(
        api.POST('/api/dosing/courses/{id}/diary/days', {
          params: { path: { id: course.id } },
          body: { id, on, score: given, words },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
      setWords('')
      setScore(null)
    },
  })
  return (
    <form
      className="grid items-end gap-3 sm:grid-cols-[10rem_minmax(0,1fr)_auto]"
      onSubmit={(e) => {
        e.preventDefault()
        if (score !== null) note.mutate(score)
      }}
    >
      <Input label="Day" type="date" value={on} max={isoToday()} onChange={(e) => setOn(e.target.value)} />
      <fieldset className="sm:col-span-3 sm:row-start-1">
        <legend className="text-soft text-sm font-medium">How bad, 0 none to 10 worst</legend>
        <div className="mt-1 grid grid-cols-6 gap-1 sm:grid-cols-11">
          {SCORES.map((s) => (
            <label
              key={s}
              className="border-line has-checked:bg-water has-checked:text-sheet has-checked:border-water has-focus-visible:outline-water flex min-h-11 cursor-pointer items-center justify-center border-2 font-semibold has-focus-visible:outline-2 has-focus-visible:outline-offset-2"
            >
              <input
                type="radio"
                name="score"
                className="sr-only"
                checked={score === s}
                onChange={() => setScore(s)}
              />
              {s}
            </label>
          ))}
        </div>
      </fieldset>
      <Input
        label="Anything else that day"
        hint={noted ? `noted already: ${noted.score}; this takes its place` : 'weather, sleep, a walk'}
        value={words}
        onChange={(e) => setWords(e.target.value)}
      />
      <Button type="submit" kind="main" disabled={note.isPending || score === null}>
        Note it
      </Button>
      <div className="sm:col-span-3">
        <ProblemNotice error={note.error} />
      </div>
    </form>
  )
}

/** Each day a mark at its score: filled with, hollow without. */
function Dots({ diary }: { diary: Schemas['DiaryView'] }) {
  const first = Date.parse(diary.days[0]?.on ?? '')
  const span = Math.max(1, (Date.parse(diary.days.at(-1)?.on ?? '') - first) / 86_400_000)
  const x = (on: string) => 12 + ((Date.parse(on) - first) / 86_400_000 / span) * 376
  const y = (score: number) => 8 + score * 10
  const mean = (which: boolean) => {
    const of = diary.days.filter((d) => d.with === which)
    return of.length === 0 ? undefined : of.reduce((a, d) => a + d.score, 0) / of.length
  }
  return (
    <figure className="mt-3">
      <div className="relative pl-6">
        {[0, 5, 10].map((s) => (
          <span
            key={s}
            aria-hidden
            className="text-soft absolute left-0 -translate-y-1/2 text-sm"
            style={{ top: `${(y(s) / 122) * 100}%` }}
          >
            {s}
          </span>
        ))}
        <svg
          viewBox="0 0 400 122"
          role="img"
          aria-label={`${diary.days.length} days, ${diary.days.filter((d) => d.with).length} of them with it`}
          className="w-full"
        >
          {[0, 5, 10].map((s) => (
            <path key={s} d={`M0 ${y(s)}H396`} stroke="var(--line)" strokeWidth="1" />
          ))}
          {[true, false].map((which) => {
            const m = mean(which)
            return m === undefined ? null : (
              <path
                key={String(which)}
                d={`M0 ${y(m)}H396`}
                stroke={which ? 'var(--water)' : 'var(--amber)'}
                strokeWidth="1.5"
                strokeDasharray={which ? undefined : '5 4'}
              />
            )
          })}
          {diary.days.map((d) => (
            <circle
              key={d.id}
              cx={x(d.on)}
              cy={y(d.score)}
              r="4"
              fill={d.with ? 'var(--water)' : 'var(--sheet)'}
              stroke={d.with ? 'var(--water)' : 'var(--amber)'}
              strokeWidth="2"
            />
          ))}
        </svg>
      </div>
      <figcaption className="text-soft grid grid-cols-2 pl-6 text-sm">
        <span>{date(diary.days[0]?.on)}</span>
        <span className="text-right">{date(diary.days.at(-1)?.on)}</span>
        <span className="col-span-2">
          filled: with it, its mean drawn through; hollow: without, dashed; lower is worse
        </span>
      </figcaption>
    </figure>
  )
}
