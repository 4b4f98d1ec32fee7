import { useState } from 'react'
import { api, ask } from '../../api/client'
import { Button, NumberInput } from '../../ui/controls'
import { Findings } from '../../ui/Findings'
import { Because, Figure, Page, ProblemNotice, Section } from '../../ui/page'
import { number } from '../../ui/read'
import { timers } from '../../ui/timers'
import { useLive } from '../../ui/useLive'
import { figure } from '../../ui/words'

interface Reading {
  at: number
  grams: number
}

const clock = (ms: number) => new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

const KEY = 'sallowbrook.reduction'
const LONGEST_MS = 12 * 3600_000

/** The readings of a pot that is still on: they survive a page that was closed. */
function kept(): Reading[] {
  try {
    const all = JSON.parse(localStorage.getItem(KEY) ?? '[]') as Reading[]
    return all.filter((r) => Date.now() - r.at < LONGEST_MS)
  } catch {
    return []
  }
}

/** Boiling down: weigh the pot now and again; it says when it will be done, and rings. */
export function Reduce() {
  const [readings, setKept] = useState(kept)
  const setReadings = (next: Reading[]) => {
    localStorage.setItem(KEY, JSON.stringify(next))
    setKept(next)
  }
  const [empty, setEmpty] = useState('')
  const [weight, setWeight] = useState('')
  const [target, setTarget] = useState('250')
  const tare = empty.trim() === '' ? 0 : number(empty)
  const grams = number(weight) - tare
  const wanted = number(target)
  const first = readings[0]
  const last = readings[readings.length - 1]
  const body =
    first && readings.length >= 2 && wanted > 0
      ? {
          readings: readings.map((r) => ({ minute: (r.at - first.at) / 60_000, massG: r.grams })),
          targetG: wanted,
        }
      : null
  const live = useLive('reduction', body, (b, signal) =>
    ask(api.POST('/api/calculators/reduction', { body: b, signal })),
  )
  const left = body ? live.data?.minutesLeft : undefined
  const until = left && last ? last.at + left.likely * 60_000 : undefined
  return (
    <Page title="Boiling down">
      <div className="grid gap-4 lg:grid-cols-[19rem_minmax(0,1fr)_22rem]">
        <Section title="What I have">
          <form
            className="space-y-2"
            onSubmit={(e) => {
              e.preventDefault()
              if (!(grams > 0)) return
              setReadings([...readings, { at: Date.now(), grams }])
              setWeight('')
            }}
          >
            <NumberInput
              label="The empty pot weighs"
              unit="g"
              value={empty}
              onChange={setEmpty}
              hint="0 when the scale was set to zero with it"
            />
            <NumberInput
              label="To end at"
              unit="g"
              value={target}
              onChange={setTarget}
              hint="a decoction weighs what it measures, 1 g to the mL"
            />
            <NumberInput label="It weighs now" unit="g" value={weight} onChange={setWeight} />
            <Button kind="main" type="submit" disabled={!(grams > 0)}>
              Note this weight
            </Button>
          </form>
        </Section>
        <Readings readings={readings} first={first} setReadings={setReadings} />
        <div className="space-y-3">
          <Section title="What follows">
            <dl className="grid grid-cols-2 gap-3">
              <Figure
                label="Still to boil away"
                value={last ? figure(Math.max(0, last.grams - wanted)) : '?'}
                unit="g"
              />
              {left && (
                <Figure
                  label="Done about"
                  value={until ? clock(until) : '?'}
                  note={`in ${figure(left.low)} to ${figure(left.high)} minutes from the last weight`}
                />
              )}
            </dl>
            {until && left && left.likely > 0 && (
              <Button
                className="mt-3"
                onClick={() => {
                  // A later weight moves the end; the earlier one must not ring as well.
                  timers.clear('reduction')
                  timers.set({
                    key: 'reduction',
                    says: 'Boiling down: weigh it',
                    to: '/making/reduce',
                    endsAt: until,
                  })
                }}
              >
                Ring then
              </Button>
            )}
          </Section>
          <ProblemNotice error={body ? live.error : null} />
          <Findings findings={body ? (live.data?.findings ?? []) : []} label="Findings of the pot" />
          <Because lines={body ? (live.data?.because ?? []) : []} />
        </div>
      </div>
    </Page>
  )
}

/** The pot weighed, one after the other. */
function Readings({
  readings,
  first,
  setReadings,
}: {
  readings: Reading[]
  first: Reading | undefined
  setReadings: (next: Reading[]) => void
}) {
  return (
    <Section title="Readings">
      {readings.length === 0 ? (
        <p className="text-soft">
          Weigh it once when it boils, and again after ten minutes or so; with the third the spread is known.
        </p>
      ) : (
        <ol className="text-lg">
          {readings.map((r, i) => (
            <li key={r.at} className="border-line flex items-center justify-between gap-3 border-b py-1">
              <span>
                {clock(r.at)}{' '}
                <span className="text-soft">{figure((r.at - (first?.at ?? r.at)) / 60_000)} min</span>
              </span>
              <strong>{figure(r.grams)} g</strong>
              <button
                type="button"
                className="text-soft min-h-8 text-sm underline"
                onClick={() => setReadings(readings.filter((_, k) => k !== i))}
              >
                was wrong
              </button>
            </li>
          ))}
        </ol>
      )}
    </Section>
  )
}
