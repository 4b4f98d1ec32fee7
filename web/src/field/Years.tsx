import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput, Slider, Toggle } from '../ui/controls'
import { KeptHere } from '../ui/KeptHere'
import { FARES, PART } from '../ui/dictionary'
import { Only } from '../ui/may'
import { Because, ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { StrikeOut } from '../ui/StrikeOut'
import { useCarry } from '../ui/useCarry'
import { useLive } from '../ui/useLive'
import { WhenOn } from '../ui/When'
import { date, figure, times } from '../ui/words'
import { countPlants } from './commands'

type Years = Schemas['YearsView']
type Part = NonNullable<Years['part']>

const HEIGHT = 90

/** Counts year by year, and what ten more years of so much taken would leave. */
export function OverYears({ stand, parts }: { stand: Schemas['StandView']; parts: Part[] }) {
  const [part, setPart] = useState<Part>()
  const [share, setShare] = useState<number>()
  const years = useQuery({
    queryKey: ['stands', stand.id, 'years'],
    queryFn: () => ask(api.GET('/api/field/stands/{id}/years', { params: { path: { id: stand.id } } })),
  })
  const asked =
    part || share !== undefined ? { part, planned: share === undefined ? undefined : share / 100 } : null
  const live = useLive(`years ${stand.id}`, asked, (query, signal) =>
    ask(api.GET('/api/field/stands/{id}/years', { params: { path: { id: stand.id }, query }, signal })),
  )
  const shown = (asked && live.data) || years.data
  return (
    <Section title="Over the years">
      {shown?.word && shown.part && (
        <>
          <p className="text-lg">
            <strong>{FARES[shown.word]}</strong>, with {Math.round(shown.planned * 100)} % of the{' '}
            {PART[shown.part]} taken a year.
            {shown.bears != null && ` It bears about ${Math.round(shown.bears * 100)} %.`}
          </p>
          {shown.line.length > 0 && <Line line={shown.line} />}
          <div className="grid gap-3 sm:grid-cols-2">
            {parts.length > 1 && (
              <Choose
                label="Part"
                value={shown.part}
                onChange={setPart}
                choices={parts.map((p) => ({ value: p, label: PART[p] }))}
              />
            )}
            <Slider
              label="Taken a year"
              unit="%"
              value={Math.round(shown.planned * 100)}
              min={0}
              max={95}
              step={1}
              onChange={setShare}
            />
          </div>
          <Because lines={shown.because} />
        </>
      )}
      <Before stand={stand} past={years.data?.past ?? []} />
      <Counts stand={stand} counts={years.data?.counts ?? []} />
    </Section>
  )
}

/** What was picked before it was written down here. */
function Before({ stand, past }: { stand: Schemas['StandView']; past: Years['past'] }) {
  const last = past[0]
  if (!last) return null
  return (
    <details className="text-sm">
      <summary className="text-note min-h-6 cursor-pointer underline">
        Picked in past years, last {last.year}
      </summary>
      <ul>
        {past.map((h) => (
          <li key={h.id} className="border-line flex flex-wrap justify-between gap-x-3 border-b py-1">
            <span>
              {h.year}: {PART[h.part]}
              {h.massG != null && `, ${figure(h.massG)} g`}
              {h.shareTaken != null && `, ${Math.round(h.shareTaken * 100)} % of it`}
              {h.words && `; ${h.words}`}
              <span className="text-soft"> (read in by {h.notedBy})</span>
            </span>
            <StrikeOut
              what={`what was picked in ${h.year}`}
              onStrike={(because) =>
                ask(
                  api.POST('/api/field/stands/{id}/past/{harvest}/strike', {
                    params: { path: { id: stand.id, harvest: h.id } },
                    body: because,
                  }),
                )
              }
            />
          </li>
        ))}
      </ul>
    </details>
  )
}

/** The middle and its band of 80 %, from today's number on; the same in words for whoever does not see it. */
function Line({ line }: { line: Years['line'] }) {
  const last = line.at(-1)
  const most = Math.max(1.5, Math.min(3, ...line.map((y) => y.band.high)))
  const x = (after: number) => (after * 300) / 10
  const y = (v: number) => HEIGHT - (Math.min(v, most) * HEIGHT) / most
  const upper = line.map((p) => `${x(p.after)},${y(p.band.high)}`)
  const lower = line.map((p) => `${x(p.after)},${y(p.band.low)}`).toReversed()
  return (
    <figure className="my-2">
      <svg viewBox={`0 0 300 ${HEIGHT}`} className="block h-24 w-full" preserveAspectRatio="none" aria-hidden>
        <polygon points={[...upper, ...lower].join(' ')} fill="var(--water-pale)" />
        <line
          x1="0"
          x2="300"
          y1={y(1)}
          y2={y(1)}
          stroke="var(--soft)"
          strokeDasharray="4 4"
          vectorEffect="non-scaling-stroke"
        />
        <polyline
          points={line.map((p) => `${x(p.after)},${y(p.middle)}`).join(' ')}
          fill="none"
          stroke="var(--water)"
          strokeWidth="3"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {last && (
        <figcaption className="text-soft text-sm">
          Of 100 today, in ten years about {Math.round(last.middle * 100)}, between{' '}
          {Math.round(last.band.low * 100)} and {Math.round(last.band.high * 100)} (four times in five). The
          dashed line is today’s number.
        </figcaption>
      )}
    </figure>
  )
}

function Counts({ stand, counts }: { stand: Schemas['StandView']; counts: Years['counts'] }) {
  const [id, setId] = useState(() => v7())
  const [plants, setPlants] = useState('')
  const [drought, setDrought] = useState(false)
  const [others, setOthers] = useState(false)
  const [words, setWords] = useState('')
  const [on, setOn] = useState(isoToday)
  const [kept, setKept] = useState(false)
  const emptied = () => {
    setId(v7())
    setPlants('')
    setWords('')
  }
  const add = useCarry(countPlants, {
    onSent: emptied,
    onKept: () => {
      emptied()
      setKept(true)
    },
  })
  return (
    <>
      {counts.length > 0 && (
        <details className="text-sm">
          <summary className="text-note min-h-6 cursor-pointer underline">
            Counted {times(counts.length)}, last {counts[0]?.plants}
          </summary>
          <ul>
            {counts.slice(0, 20).map((c) => (
              <li key={c.id} className="border-line flex flex-wrap justify-between gap-x-3 border-b py-1">
                <span>
                  <strong>{c.plants}</strong> on {date(c.on)}, {c.countedBy}
                  {c.drought && ', in a drought'}
                  {c.pickedByOthers && ', picked by others'}
                  {c.words && `; ${c.words}`}
                </span>
                <StrikeOut
                  what={`the count of ${date(c.on)}`}
                  onStrike={(because) =>
                    ask(
                      api.POST('/api/field/stands/{id}/counts/{count}/strike', {
                        params: { path: { id: stand.id, count: c.id } },
                        body: because,
                      }),
                    )
                  }
                />
              </li>
            ))}
          </ul>
        </details>
      )}
      <Only deed="record">
        <form
          className="mt-2 grid gap-2 sm:grid-cols-2"
          onSubmit={(e) => {
            e.preventDefault()
            add.mutate({
              variables: {
                standId: stand.id,
                body: { id, on, plants: number(plants), drought, pickedByOthers: others, words },
              },
              words: `${plants} plants counted at ${stand.name}`,
            })
          }}
        >
          <NumberInput
            label="Plants, or stems, counted"
            unit=""
            hint="in the same way and month each year"
            value={plants}
            onChange={setPlants}
            error={errorAt(add.error, 'plants')}
          />
          <Input label="What was seen" value={words} onChange={(e) => setWords(e.target.value)} />
          <Toggle label="A drought" checked={drought} onChange={setDrought} />
          <Toggle label="Others picked here" checked={others} onChange={setOthers} />
          <WhenOn on={on} onChange={setOn} />
          <div>
            {kept && <KeptHere />}
            <ProblemNotice error={add.error} />
            <Button type="submit" disabled={add.isPending || !(number(plants) >= 0)}>
              Note the count
            </Button>
          </div>
        </form>
      </Only>
    </>
  )
}
