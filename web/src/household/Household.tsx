import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input, NumberInput, Toggle } from '../ui/controls'
import { degreesOf } from '../ui/read'
import { region, ROLE } from '../ui/dictionary'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { date, moment } from '../ui/words'
import { useSession } from './queries'
import { SessionList } from './SessionList'
import { HowItDoes } from './Watched'

type Role = Schemas['MemberView']['role']
const ROLES = (Object.keys(ROLE) as Role[]).map((r) => ({ value: r, label: ROLE[r] }))

/** Where it lives, who belongs to it, one's own password and sessions, and the age of the last backup. */
export function Household() {
  const session = useSession()
  const keeper = session.data?.role === 'KEEPER'
  return (
    <Page
      title="Household"
      actions={
        <>
          {keeper && <ButtonLink to="/household/phones">Phones of the house</ButtonLink>}
          {keeper && <ButtonLink to="/archive">All records, out and back</ButtonLink>}
          <ButtonLink to="/schools">How this household works</ButtonLink>
        </>
      }
    >
      <div className="grid gap-4 lg:grid-cols-2">
        <div className="space-y-4">
          <Settings keeper={keeper} />
          {keeper && <Members />}
          <Observers keeper={keeper} />
        </div>
        <div className="space-y-4">
          <Backup />
          <OwnPassword />
          <Printer />
          <Sessions />
        </div>
      </div>
    </Page>
  )
}

const PAPERS = [
  { value: 'A4', label: 'A4' },
  { value: 'LETTER', label: 'Letter' },
] as const
const PAPER_COOKIE = 'sallowbrook-paper'
const TEN_YEARS_S = 10 * 365 * 86_400

/** Kept on this device, which knows its printer, and sent along with what it asks for. */
function Printer() {
  const [paper, setPaper] = useState<'A4' | 'LETTER'>(
    document.cookie.includes(`${PAPER_COOKIE}=LETTER`) ? 'LETTER' : 'A4',
  )
  return (
    <Section title="On paper">
      <Choose
        label="In the printer of this device lies"
        value={paper}
        choices={[...PAPERS]}
        onChange={(next) => {
          document.cookie = `${PAPER_COOKIE}=${next}; path=/; max-age=${TEN_YEARS_S}; samesite=lax`
          setPaper(next)
        }}
      />
    </Section>
  )
}

function Settings({ keeper }: { keeper: boolean }) {
  const settings = useQuery({
    queryKey: ['settings'],
    queryFn: () => ask(api.GET('/api/household/settings')),
  })
  return (
    <Section title="Where it is">
      <Loaded query={settings}>
        {(s) =>
          keeper ? (
            <SettingsForm settings={s} />
          ) : (
            <p>
              {s.name}, {region(s.region)}, {s.zone}
            </p>
          )
        }
      </Loaded>
    </Section>
  )
}

function SettingsForm({ settings }: { settings: Schemas['SettingsView'] }) {
  const [name, setName] = useState(settings.name)
  const [zone, setZone] = useState(settings.zone)
  const [where, setWhere] = useState(settings.region)
  const [latitude, setLatitude] = useState(settings.latitude?.toString() ?? '')
  const [elevation, setElevation] = useState(settings.elevationM?.toString() ?? '')
  const [standIns, setStandIns] = useState(settings.standIns)
  const [emergency, setEmergency] = useState(settings.emergencyNumber)
  const [poison, setPoison] = useState(settings.poisonCentre)
  const save = useCommand('household', {
    mutationFn: () =>
      ask(
        api.PUT('/api/household/settings', {
          body: {
            name,
            zone,
            region: where,
            latitude: degreesOf(latitude),
            elevationM: degreesOf(elevation),
            standIns,
            emergencyNumber: emergency,
            poisonCentre: poison,
          },
        }),
      ),
  })
  return (
    <form
      className="space-y-3"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate()
      }}
    >
      <Input
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value)}
        error={errorAt(save.error, 'name')}
      />
      <Choose
        label="Where you gather"
        value={where}
        onChange={setWhere}
        choices={settings.regions.map((r) => ({ value: r, label: region(r) }))}
        error={errorAt(save.error, 'region')}
      />
      <p className="text-soft text-sm">
        Plants are told apart among those of this region; elsewhere grow others that no card covers.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberInput
          label="Latitude, degrees north"
          hint="a whole degree is enough; the seasons shift by it"
          value={latitude}
          onChange={setLatitude}
          error={errorAt(save.error, 'latitude')}
        />
        <NumberInput
          label="Height above the sea, m"
          value={elevation}
          onChange={setElevation}
          error={errorAt(save.error, 'elevationM')}
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Input
          label="Emergency number"
          hint="as it is dialled where you live"
          value={emergency}
          onChange={(e) => setEmergency(e.target.value)}
          error={errorAt(save.error, 'emergencyNumber')}
        />
        <Input
          label="Poison centre"
          hint="its name and number"
          value={poison}
          onChange={(e) => setPoison(e.target.value)}
          error={errorAt(save.error, 'poisonCentre')}
        />
      </div>
      <Input
        label="Time zone"
        value={zone}
        onChange={(e) => setZone(e.target.value)}
        error={errorAt(save.error, 'zone')}
      />
      <Toggle
        label="Offer the simulated scale and weather, to try them out"
        checked={standIns}
        onChange={setStandIns}
      />
      <ProblemNotice error={save.error} />
      <Button type="submit" disabled={save.isPending}>
        Save
      </Button>
      {save.isSuccess && <span role="status"> Saved.</span>}
    </form>
  )
}

function Members() {
  const members = useQuery({
    queryKey: ['members'],
    queryFn: () => ask(api.GET('/api/household/members')),
  })
  return (
    <Section title="Members">
      <Loaded query={members}>
        {(all) => (
          <ul>
            {all.map((m) => (
              <Member key={m.id} member={m} />
            ))}
          </ul>
        )}
      </Loaded>
      <NewMember />
    </Section>
  )
}

/** Whose eyes count beside one's own though they have no account: named beforehand, and only for looking. */
function Observers({ keeper }: { keeper: boolean }) {
  const [id, setId] = useState(() => v7())
  const [name, setName] = useState('')
  const [why, setWhy] = useState('')
  const observers = useQuery({
    queryKey: ['observers'],
    queryFn: () => ask(api.GET('/api/household/observers')),
  })
  const add = useCommand(['observers'], {
    mutationFn: () => ask(api.POST('/api/household/observers', { body: { id, name, why } })),
    onSuccess: () => {
      setId(v7())
      setName('')
      setWhy('')
    },
  })
  const end = useCommand(['observers'], {
    mutationFn: (observer: string) =>
      ask(api.POST('/api/household/observers/{id}/end', { params: { path: { id: observer } } })),
  })
  return (
    <Section title="Second observers">
      <p className="text-soft text-sm">
        A stand that came into doubt is cleared by two who look. Somebody with an account signs for
        themselves; somebody without one is named here first, and counts from the next day on.
      </p>
      <Loaded query={observers}>
        {(all) =>
          all.length === 0 ? (
            <p className="py-1">Nobody is named.</p>
          ) : (
            <ul>
              {all.map((o) => (
                <li key={o.id} className="border-line flex flex-wrap items-center gap-3 border-b py-2">
                  <span className="least-40 flex-1">
                    <span className="font-medium">{o.name}</span>
                    <span className="text-soft block text-sm">
                      {o.why}; counts from {date(o.vouchesFrom.slice(0, 10))}
                    </span>
                  </span>
                  {keeper && (
                    <Button
                      disabled={end.isPending}
                      aria-label={`No longer: ${o.name}`}
                      onClick={() => end.mutate(o.id)}
                    >
                      No longer
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
      {keeper && (
        <form
          className="mt-2 space-y-2"
          onSubmit={(e) => {
            e.preventDefault()
            add.mutate()
          }}
        >
          <Input
            label="Name"
            value={name}
            onChange={(e) => setName(e.target.value)}
            error={errorAt(add.error, 'name')}
          />
          <Input
            label="How they know plants"
            value={why}
            onChange={(e) => setWhy(e.target.value)}
            error={errorAt(add.error, 'why')}
          />
          <ProblemNotice error={end.error} />
          <Button type="submit" disabled={add.isPending}>
            Name them
          </Button>
        </form>
      )}
    </Section>
  )
}

function Member({ member }: { member: Schemas['MemberView'] }) {
  const path = { id: member.id }
  const change = useCommand(['members'], {
    mutationFn: (body: { role: Role; disabled: boolean }) =>
      ask(api.PUT('/api/household/members/{id}', { params: { path }, body })),
  })
  const reset = useCommand([], {
    mutationFn: () => ask(api.POST('/api/household/members/{id}/reset', { params: { path } })),
  })
  return (
    <li className="border-line space-y-2 border-b py-2">
      <div className="flex flex-wrap items-end gap-3">
        <p className="least-40 flex-1">
          <span className="font-medium">{member.name}</span>
          <span className="text-soft block text-sm">
            signs in as {member.username}
            {member.self ? ', you' : ''}
            {member.disabled ? ', may not sign in' : ''}
          </span>
        </p>
        <div className="w-48">
          <Choose
            label={`Role of ${member.name}`}
            value={member.role}
            choices={ROLES}
            onChange={(role) => change.mutate({ role, disabled: member.disabled })}
          />
        </div>
        <Button
          onClick={() => change.mutate({ role: member.role, disabled: !member.disabled })}
          disabled={change.isPending}
          aria-label={`${member.disabled ? 'Let in again' : 'Let in no more'}: ${member.name}`}
        >
          {member.disabled ? 'Let in again' : 'Let in no more'}
        </Button>
        <Button onClick={() => reset.mutate()} aria-label={`Code for a new password of ${member.name}`}>
          Code for a new password
        </Button>
      </div>
      <ProblemNotice error={change.error ?? reset.error} />
      {reset.data && (
        <p role="status" className="border-amber bg-amber-pale border-l-4 px-3 py-2">
          For {reset.data.username}, until {date(reset.data.until)}, once:{' '}
          <strong className="text-xl tracking-wider">{reset.data.code}</strong>{' '}
          <button type="button" className="underline" onClick={() => window.print()}>
            print
          </button>
        </p>
      )}
    </li>
  )
}

function NewMember() {
  const [name, setName] = useState('')
  const [username, setUsername] = useState('')
  const [password, setPassword] = useState('')
  const [role, setRole] = useState<Role>('HELPER')
  const add = useCommand(['members'], {
    mutationFn: () => ask(api.POST('/api/household/members', { body: { name, username, role, password } })),
    onSuccess: async () => {
      setName('')
      setUsername('')
      setPassword('')
    },
  })
  const at = (field: string) => errorAt(add.error, field)
  return (
    <details className="mt-2">
      <summary className="text-note min-h-8 cursor-pointer underline">Add a member</summary>
      <form
        className="mt-2 grid gap-3 sm:grid-cols-2"
        onSubmit={(e) => {
          e.preventDefault()
          add.mutate()
        }}
      >
        <Input label="Name" value={name} onChange={(e) => setName(e.target.value)} error={at('name')} />
        <Input
          label="Name to sign in with"
          autoComplete="off"
          value={username}
          onChange={(e) => setUsername(e.target.value)}
          error={at('username')}
        />
        <Input
          label="First password"
          hint="ten letters or more"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          error={at('password')}
        />
        <Choose
          label="Role"
          value={role}
          onChange={setRole}
          choices={[
            { value: 'KEEPER', label: ROLE.KEEPER, hint: 'changes everything' },
            { value: 'HELPER', label: ROLE.HELPER, hint: 'records work' },
            { value: 'READER', label: ROLE.READER, hint: 'looks' },
          ]}
        />
        <div className="space-y-2 sm:col-span-2">
          <ProblemNotice error={add.error} />
          <Button type="submit" disabled={add.isPending}>
            Add the member
          </Button>
        </div>
      </form>
    </details>
  )
}

function OwnPassword() {
  const [current, setCurrent] = useState('')
  const [password, setPassword] = useState('')
  const save = useCommand(['sessions'], {
    mutationFn: () => ask(api.PUT('/api/session/password', { body: { current, password } })),
    onSuccess: async () => {
      setCurrent('')
      setPassword('')
    },
  })
  return (
    <Section title="Your password">
      <form
        className="space-y-3"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate()
        }}
      >
        <Input
          label="Password now"
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={(e) => setCurrent(e.target.value)}
          error={errorAt(save.error, 'current')}
        />
        <Input
          label="New password"
          hint="ten letters or more"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          error={errorAt(save.error, 'password')}
        />
        <ProblemNotice error={save.error} />
        <Button type="submit" disabled={save.isPending}>
          Change it
        </Button>
        {save.isSuccess && <p role="status">Changed. You are signed out everywhere else.</p>}
      </form>
    </Section>
  )
}

function Sessions() {
  const sessions = useQuery({ queryKey: ['sessions'], queryFn: () => ask(api.GET('/api/session/all')) })
  const end = useCommand(['sessions'], {
    mutationFn: (handle: string) =>
      ask(api.DELETE('/api/session/all/{handle}', { params: { path: { handle } } })),
  })
  return (
    <Section title="Where you are signed in">
      <Loaded query={sessions}>
        {(all) => <SessionList sessions={all} ending={end.isPending} onEnd={end.mutate} />}
      </Loaded>
      <ProblemNotice error={end.error} />
    </Section>
  )
}

/** The second place for the copies, and the proof that they can be read. */
function Elsewhere({ backup }: { backup: Schemas['BackupView'] }) {
  return (
    <>
      <p className="mt-1">
        {backup.elsewhere === '' ? (
          <>
            Started with <code>SALLOWBROOK_COPIES_TOO</code>, a folder on a stick or a share, it takes each
            copy there too.
          </>
        ) : backup.elsewhereAt ? (
          `The newest in ${backup.elsewhere} was written and read back ${moment(backup.elsewhereAt)}.`
        ) : (
          `None was written to ${backup.elsewhere} yet: it is when the folder is there.`
        )}
      </p>
      {backup.triedAt && (
        <p className="text-soft text-sm">
          Once a month one is restored on trial; the last time {moment(backup.triedAt)}.
        </p>
      )}
    </>
  )
}

function Backup() {
  const backup = useQuery({ queryKey: ['backup'], queryFn: () => ask(api.GET('/api/household/backup')) })
  return (
    <Section title="The machine, and its copies">
      <HowItDoes />
      <Loaded query={backup}>
        {(b) =>
          b.newest ? (
            <p className={b.old ? 'text-madder font-semibold' : ''}>
              The newest copy is of {moment(b.newest)}
              {b.old ? ': older than two days. Look why.' : '.'}{' '}
              <span className="text-soft block text-sm">
                {b.copies} copies in {b.folder}
              </span>
            </p>
          ) : b.folder === '' ? (
            <p>No copies are made of the demo. Of your own records one is made every night.</p>
          ) : (
            <p>
              There is no copy yet. One is made every night while Sallowbrook runs; make one now with{' '}
              <code>./sallowbrook backup FILE</code>.
            </p>
          )
        }
      </Loaded>
      {backup.data && backup.data.folder !== '' && <Elsewhere backup={backup.data} />}
      <p className="text-soft mt-2 text-sm">
        A copy on the same disk helps against mistakes only. Carry one out of the house now and then.
      </p>
    </Section>
  )
}
