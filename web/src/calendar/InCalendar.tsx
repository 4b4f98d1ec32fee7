import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { useCommand } from '../ui/command'
import { Button, Input, Toggle } from '../ui/controls'
import { Only } from '../ui/may'
import { Empty, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { moment } from '../ui/words'

type Feed = Schemas['FeedView']
type Of = Feed['of'][number]
type Alarm = Feed['alarm']

const OF: Record<Of, string> = {
  FIELD: 'Field: looking again, going back, what the plan gathers',
  READY: 'Field: when a part is likely ready',
  RACK: 'Rack: laying out, weighing',
  BENCH: 'Bench: shaking, pressing, filling',
  SHELF: 'Shelf: what is to be used up',
  PEOPLE: 'People: doses, how it goes',
}
const ALL = Object.keys(OF) as Of[]

const ALARM: Record<Alarm, string> = {
  NONE: 'no',
  THEN: 'at its hour, or at eight in the morning',
  EVENING_BEFORE: 'at six the evening before',
}

/** What is due, in whatever calendar somebody uses: at a secret address that keeps up, or as a file. */
export function InCalendar() {
  const [of, setOf] = useState<Of[]>(ALL.filter((o) => o !== 'PEOPLE'))
  const [inFull, setInFull] = useState(false)
  const [alarm, setAlarm] = useState<Alarm>('NONE')
  const [id, setId] = useState(() => v7())
  const make = useCommand(['calendars'], {
    mutationFn: () => ask(api.POST('/api/calendar/feeds', { body: { id, of, inFull, alarm } })),
    onSuccess: () => setId(v7()),
  })
  const file = new URLSearchParams([
    ...of.map((o) => ['of', o]),
    ['inFull', String(inFull)],
    ['alarm', alarm],
  ])
  return (
    <Page title="In your calendar">
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <Section title="What of it">
          <div className="grid gap-3">
            {ALL.map((o) => (
              <Toggle
                key={o}
                label={OF[o]}
                checked={of.includes(o)}
                onChange={(on) => setOf(ALL.filter((x) => (x === o ? on : of.includes(x))))}
              />
            ))}
            <Toggle
              label="Say plants, people and places in the titles"
              checked={inFull}
              onChange={setInFull}
            />
            <p className="text-soft text-sm">
              {inFull
                ? 'Whoever sees the calendar reads who takes what, and where your stands are.'
                : 'A title says “Press” or “A dose”, not of what and for whom.'}
            </p>
            <Choose
              label="A reminder"
              value={alarm}
              onChange={setAlarm}
              choices={(Object.keys(ALARM) as Alarm[]).map((a) => ({ value: a, label: ALARM[a] }))}
            />
            <ProblemNotice error={make.error} />
            <div className="flex flex-wrap gap-2">
              <Only deed="record">
                <Button
                  kind="main"
                  disabled={make.isPending || of.length === 0}
                  onClick={() => make.mutate()}
                >
                  Make an address
                </Button>
              </Only>
              {of.length > 0 && (
                <a
                  className="border-line inline-flex min-h-11 items-center border-2 px-4 font-semibold"
                  href={`/api/calendar/file?${file}`}
                  download="sallowbrook.ics"
                >
                  As a file
                </a>
              )}
            </div>
            {of.length === 0 && <p>Choose at least one thing.</p>}
          </div>
        </Section>
        <div className="grid gap-4">
          {make.data?.secret && <Made key={make.data.id} secret={make.data.secret} />}
          {make.data && !make.data.secret && (
            <p role="status" className="border-amber border-l-8 px-3 py-1">
              It was made, and was lost on the way here. End it below, and make another.
            </p>
          )}
          <Addresses />
        </div>
      </div>
    </Page>
  )
}

/** Told once: nobody can look it up afterwards, not even who made it. */
function Made({ secret }: { secret: string }) {
  const address = `${window.location.origin}/api/calendar/feed/${secret}`
  const [copied, setCopied] = useState(false)
  return (
    <Section title="The address">
      <Input label="Subscribe to this in your calendar program" readOnly value={address} />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button
          onClick={() => {
            void navigator.clipboard.writeText(address).then(() => setCopied(true))
          }}
        >
          Copy it
        </Button>
        <span role="status">{copied && 'It is copied.'}</span>
      </div>
      <p className="mt-2">
        It is shown only now. Whoever has it reads what you chose, without signing in, until you end it. The
        calendar program must be able to reach this machine; it asks again every hour or so, and what was put
        off moves by itself. What you tick off there stays there: a task is done when it is done here.
      </p>
    </Section>
  )
}

function Addresses() {
  const feeds = useQuery({
    queryKey: ['calendars'],
    queryFn: () => ask(api.GET('/api/calendar/feeds')),
  })
  return (
    <Section title="Addresses that stand">
      <Loaded query={feeds}>
        {(all) =>
          all.length === 0 ? (
            <Empty>None. A file can be saved without one; it does not keep up with what changes.</Empty>
          ) : (
            <ul>
              {all.map((f) => (
                <Address key={f.id} feed={f} />
              ))}
            </ul>
          )
        }
      </Loaded>
    </Section>
  )
}

function Address({ feed }: { feed: Feed }) {
  const end = useCommand(['calendars'], {
    mutationFn: () => ask(api.DELETE('/api/calendar/feeds/{id}', { params: { path: { id: feed.id } } })),
  })
  return (
    <li className="border-line flex flex-wrap items-start justify-between gap-x-4 border-b py-2">
      <div className="least-56 flex-1">
        {ALL.filter((o) => feed.of.includes(o))
          .map((o) => OF[o].split(':')[0] + (o === 'READY' ? ', when ready' : ''))
          .join('; ')}
        {feed.inFull && ', in full'}
        <span className="text-soft block text-sm">
          made by {feed.madeBy}, {moment(feed.madeAt)};{' '}
          {feed.lastReadAt ? `last read ${moment(feed.lastReadAt)}` : 'not read yet'}
        </span>
        <ProblemNotice error={end.error} />
      </div>
      <Only deed="record">
        <button
          type="button"
          className="min-h-9 text-sm underline"
          disabled={end.isPending}
          onClick={() => end.mutate()}
        >
          end it<span className="sr-only">: the address made {moment(feed.madeAt)}</span>
        </button>
      </Only>
    </li>
  )
}
