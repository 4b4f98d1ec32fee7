import { useRef, useState } from 'react'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { useCommand } from '../ui/command'
import { Button, Input } from '../ui/controls'
import { FileInput } from '../ui/FileInput'
import { ProblemNotice, Section } from '../ui/page'
import { capital, moment } from '../ui/words'
import { HowFar } from './HowFar'

type Archive = Schemas['ArchiveView']
type Kind = Schemas['ReadKindView']

const NOBODY = 'nobody'

const records = (n: number) => (n === 1 ? 'one record' : `${n} records`)

/** An archive is looked through first; what would happen is said before it does. */
export function ReadIn() {
  const stop = useRef<AbortController>(undefined)
  const [archive, setArchive] = useState<Archive>()
  const [taken, setTaken] = useState<number>()
  const look = useCommand([], {
    mutationFn: (file: File) => {
      stop.current = new AbortController()
      return ask(
        api.POST('/api/archive/readings', {
          signal: stop.current.signal,
          // The file itself, not a form around it.
          body: file as never,
          bodySerializer: ((whole: File) => whole) as never,
          headers: { 'Content-Type': 'application/zip' },
        }),
      )
    },
    onSuccess: setArchive,
  })
  const leave = useCommand([], {
    mutationFn: (id: string) => ask(api.DELETE('/api/archive/readings/{id}', { params: { path: { id } } })),
  })
  const stopped = look.error instanceof DOMException && look.error.name === 'AbortError'
  return (
    <Section title="Read an archive in">
      {!archive && (
        <>
          <p>
            A file that Sallowbrook wrote, here or on another machine. First you see what would happen;
            nothing has until you say so. What is here already stays as it is.
          </p>
          <div className="my-3">
            <FileInput
              label="The archive (.zip)"
              accept=".zip,application/zip"
              onFile={(file) => {
                setTaken(undefined)
                look.mutate(file)
              }}
            />
          </div>
        </>
      )}
      {look.isPending && <HowFar onStop={() => stop.current?.abort()} />}
      {stopped ? <p role="status">Stopped. Nothing was changed.</p> : <ProblemNotice error={look.error} />}
      {archive && (
        <Preview
          key={archive.id}
          archive={archive}
          onTaken={(rows) => {
            setTaken(rows)
            setArchive(undefined)
          }}
          onLeave={() => {
            setArchive(undefined)
            leave.mutate(archive.id)
          }}
        />
      )}
      {taken !== undefined && (
        <p role="status" className="border-lichen border-l-4 px-3 py-2 font-medium">
          It is in: {records(taken)}.
        </p>
      )}
    </Section>
  )
}

function Preview({
  archive,
  onTaken,
  onLeave,
}: {
  archive: Archive
  onTaken: (rows: number) => void
  onLeave: () => void
}) {
  const strangers = archive.accounts.filter((a) => a.here === null)
  const [me, setMe] = useState<string>(NOBODY)
  const [reason, setReason] = useState('')
  const take = useCommand('household', {
    mutationFn: () =>
      ask(
        api.POST('/api/archive/readings/{id}', {
          params: { path: { id: archive.id } },
          body: me === NOBODY ? { reason } : { me, reason },
        }),
      ),
    onSuccess: ({ rows }) => onTaken(rows),
  })
  return (
    <form
      className="space-y-4"
      onSubmit={(e) => {
        e.preventDefault()
        take.mutate()
      }}
    >
      <p>
        All records of <strong>{archive.household}</strong>
        {archive.own ? ', this very household' : ''}, written {moment(archive.madeAt)}.{' '}
        {archive.empty
          ? 'Nothing is here yet: everything comes, and the name, place and numbers of that household with it.'
          : archive.rows === 0
            ? 'All of it is here already: there is nothing to take in.'
            : 'Only what is new comes. What is here stays, also where the file says otherwise.'}
      </p>
      <Kinds kinds={archive.kinds} />
      <Lines archive={archive} />
      {archive.rows > 0 && (
        <>
          {strangers.length > 0 && <Who accounts={strangers} me={me} onMe={setMe} />}
          <p className="border-amber bg-amber-pale border-l-4 px-3 py-2">
            Nothing in the file proves who wrote it, and a plant it calls certain is taken for certain. Take
            in only what you, or people you would eat from, have written.
          </p>
          <Input
            label="Whose records these are, and how you know"
            hint="kept with the household’s records"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            error={errorAt(take.error, 'reason')}
          />
        </>
      )}
      <ProblemNotice error={take.error} />
      <div className="flex flex-wrap gap-3">
        {archive.rows > 0 && (
          <Button type="submit" kind="main" disabled={take.isPending}>
            {take.isPending ? 'Taking it in' : `Take in ${records(archive.rows)}`}
          </Button>
        )}
        {!take.isPending && <Button onClick={onLeave}>Leave it</Button>}
      </div>
      {take.isPending && <HowFar />}
    </form>
  )
}

/** One cannot sign in as somebody of another house: the keeper says who they are, and lets the others in. */
function Who({
  accounts,
  me,
  onMe,
}: {
  accounts: Archive['accounts']
  me: string
  onMe: (id: string) => void
}) {
  return (
    <div>
      <Choose
        label="Which of these are you?"
        value={me}
        onChange={onMe}
        choices={[
          { value: NOBODY, label: 'None of them' },
          ...accounts.map((a) => ({ value: a.id, label: a.name, hint: `signed in as ${a.username}` })),
        ]}
      />
      <p className="text-soft text-sm">
        The others come as members who may not sign in until you let them in, under Household.
      </p>
    </div>
  )
}

const COLUMNS: { of: (k: Kind) => number; name: string }[] = [
  { of: (k) => k.comes, name: 'come' },
  { of: (k) => k.same, name: 'here already' },
  { of: (k) => k.differs, name: 'otherwise here, stay' },
  { of: (k) => k.hangs + k.clash, name: 'left out' },
]

function Kinds({ kinds }: { kinds: Kind[] }) {
  const shown = COLUMNS.filter((c) => c.name === 'come' || kinds.some((k) => c.of(k) > 0))
  return (
    <>
      <table className="w-full text-left text-sm">
        <caption className="sr-only">How many of each come</caption>
        <thead>
          <tr className="border-line border-b">
            <th scope="col" className="font-medium">
              What
            </th>
            {shown.map((c) => (
              <th scope="col" key={c.name} className="text-right font-medium">
                {c.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {kinds.map((k) => (
            <tr key={k.what} className="border-line border-b">
              <th scope="row" className="font-normal">
                {capital(k.what)}
              </th>
              {shown.map((c) => (
                <td key={c.name} className="figures text-right">
                  {c.of(k) === 0 ? '' : c.of(k)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {kinds.some((k) => k.hangs + k.clash > 0) && (
        <p className="text-soft text-sm">
          Left out is what belongs to something that is here already, such as a dose of a course or a look at
          a stand, what bears a number that something else here has, and what holds for the whole house. Enter
          by hand what you want of it.
        </p>
      )}
    </>
  )
}

const FATE: Record<NonNullable<Schemas['ReadLineView']['fate']>, string> = {
  SAME: 'here already',
  DIFFERS: 'here already, otherwise; what is here stays',
  HANGS: 'left out: what it belongs to is here already, or does not come',
  CLASH: 'left out: something else here has its number',
}

function Lines({ archive }: { archive: Archive }) {
  if (archive.lines.length === 0) return null
  return (
    <details>
      <summary className="text-note min-h-8 cursor-pointer underline">Line by line</summary>
      <ul className="max-h-96 overflow-y-auto text-sm">
        {archive.lines.map((l, i) => (
          <li key={i} className="border-line flex flex-wrap justify-between gap-x-3 border-b py-1">
            <span>
              <span className="text-soft">{capital(l.what)}: </span>
              {l.name}
            </span>
            <span className={l.fate ? 'text-soft' : 'font-medium'}>{l.fate ? FATE[l.fate] : 'comes'}</span>
          </li>
        ))}
      </ul>
    </details>
  )
}
