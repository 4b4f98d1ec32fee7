import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { Link } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input, NumberInput } from '../ui/controls'
import { DEGREE, SIGN } from '../ui/dictionary'
import { Findings } from '../ui/Findings'
import { only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { StrikeOut } from '../ui/StrikeOut'

type View = Schemas['ReactionView']
type Sign = View['signs'][number]
type Degree = View['degree']

const SIGNS = Object.keys(SIGN) as Sign[]
const DEGREES = Object.keys(DEGREE) as Degree[]

/** What happened, how bad, how long after; a course that it came of ends by it where it must. */
export const NoteReaction = only(
  'record',
  function NoteReaction({
    person,
    course,
    taxa,
    onNoted,
  }: {
    person: { id: string; name: string }
    course?: string
    taxa?: string[]
    onNoted?: () => void
  }) {
    const [id] = useState(() => v7())
    const [signs, setSigns] = useState<Sign[]>([])
    const [degree, setDegree] = useState<Degree>('MILD')
    const [hours, setHours] = useState('')
    const [on, setOn] = useState(isoToday())
    const [words, setWords] = useState('')
    const note = useCommand('household', {
      mutationFn: () =>
        ask(
          api.POST('/api/dosing/reactions', {
            body: {
              id,
              personId: person.id,
              courseId: course,
              taxa,
              signs,
              degree,
              hoursAfter: hours.trim() === '' ? undefined : number(hours),
              on,
              words,
            },
          }),
        ),
      after: onNoted,
    })
    if (note.data) {
      return (
        <div role="status" className="space-y-2">
          <Findings findings={note.data.findings} label="What to do now" />
          {note.data.courseEnded && <p className="font-semibold">The course was ended by it.</p>}
          <ButtonLink kind="grave" to={`/help?person=${person.id}`}>
            Something is wrong
          </ButtonLink>
        </div>
      )
    }
    return (
      <form
        className="space-y-3"
        onSubmit={(e) => {
          e.preventDefault()
          note.mutate()
        }}
      >
        <fieldset>
          <legend className="text-soft text-sm font-medium">What {person.name} noticed</legend>
          <ul className="gap-x-6 sm:columns-2">
            {SIGNS.map((s) => (
              <li key={s} className="break-inside-avoid">
                <label className="flex min-h-9 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 shrink-0"
                    checked={signs.includes(s)}
                    onChange={() =>
                      setSigns(signs.includes(s) ? signs.filter((x) => x !== s) : [...signs, s])
                    }
                  />
                  {SIGN[s]}
                </label>
              </li>
            ))}
          </ul>
        </fieldset>
        <div className="grid gap-3 sm:grid-cols-3">
          <Choose
            label="How bad"
            value={degree}
            onChange={setDegree}
            choices={DEGREES.map((d) => ({ value: d, label: DEGREE[d].name, hint: DEGREE[d].hint }))}
          />
          <NumberInput
            label="How long after"
            hint="empty if nobody noticed"
            unit="hours"
            value={hours}
            onChange={setHours}
          />
          <Input label="On" type="date" value={on} max={isoToday()} onChange={(e) => setOn(e.target.value)} />
        </div>
        <Input label="In their own words" value={words} onChange={(e) => setWords(e.target.value)} />
        <ProblemNotice error={note.error} />
        <Button type="submit" kind="main" disabled={note.isPending || signs.length === 0}>
          Note the reaction
        </Button>
      </form>
    )
  },
)

/** On record, the newest first. */
export function ReactionList({ reactions, named = false }: { reactions: View[]; named?: boolean }) {
  return (
    <ul>
      {reactions.map((r) => (
        <li key={r.id} className="border-line flex flex-wrap justify-between gap-2 border-b py-1">
          <span>
            {named && (
              <>
                <Link className="underline" to={`/dosing/people/${r.personId}`}>
                  {r.person}
                </Link>
                :{' '}
              </>
            )}
            {!named && `${r.plants.map((p) => p.commonName).join(', ')}: `}
            <strong>{r.said}</strong>
            {r.words && ` “${r.words}”`}
          </span>
          <StrikeOut
            what={`the reaction ${r.said}`}
            onStrike={(because) =>
              ask(
                api.POST('/api/dosing/reactions/{id}/strike', {
                  params: { path: { id: r.id } },
                  body: because,
                }),
              )
            }
          />
        </li>
      ))}
    </ul>
  )
}

/** What one person bore and did not bear. */
export function Borne({ person }: { person: { id: string; name: string } }) {
  const reactions = useQuery({
    queryKey: ['reactions', person.id],
    queryFn: () => ask(api.GET('/api/dosing/people/{id}/reactions', { params: { path: { id: person.id } } })),
  })
  return (
    <Section title="What was not borne">
      {reactions.data?.length === 0 && <p className="text-soft">No reaction is on record.</p>}
      <ReactionList reactions={reactions.data ?? []} />
    </Section>
  )
}
