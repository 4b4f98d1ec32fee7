import { useCommand } from '../ui/command'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { deviceOf, thisDevice } from '../api/device'
import { Choose } from '../ui/Choose'
import { Button, Input } from '../ui/controls'
import { region } from '../ui/dictionary'
import { Loaded, ProblemNotice, SafetyLine } from '../ui/page'
import { needed, useFields } from '../ui/useFields'
import { useRegions, useSession } from './queries'

const longEnough = (password: string) => (password.length < 10 ? 'At least 10 letters.' : undefined)

export function SignIn() {
  const session = useSession()
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-8 p-6 lg:grid-cols-2">
      <div className="flex flex-col justify-center gap-4">
        <svg viewBox="0 0 400 120" className="w-full" aria-hidden>
          <path d="M0 40C50 40 60 70 120 70S220 40 290 56 360 70 400 64V120H0Z" fill="var(--water-pale)" />
          <path
            d="M0 40C50 40 60 70 120 70S220 40 290 56 360 70 400 64"
            fill="none"
            stroke="var(--water)"
            strokeWidth="4"
          />
          {[30, 120, 205, 300, 372].map((x, i) => (
            <circle
              key={x}
              cx={x}
              cy={[46, 70, 54, 58, 66][i]}
              r="9"
              fill="var(--sheet)"
              stroke="var(--water)"
              strokeWidth="3"
            />
          ))}
        </svg>
        <h1 className="text-4xl font-bold tracking-tight">Sallowbrook</h1>
        <p className="text-xl">
          From the hedge to the spoon: know the plant, dry it, make it, dose it, trace it.
        </p>
        <p>
          <Link to="/help" className="text-madder text-lg font-semibold underline">
            Something is wrong
          </Link>
          <span className="text-soft"> with somebody: what to do, without signing in</span>
        </p>
        <SafetyLine />
      </div>
      <div className="bg-sheet border-line self-center border-t-4 p-6">
        <Loaded query={session}>{(s) => (s.setup ? <Setup /> : <SignInForm demo={s.demo} />)}</Loaded>
      </div>
    </main>
  )
}

/** Only a path of our own: an address somebody sent must not lead elsewhere after signing in. */
const wanted = () => {
  const to = new URLSearchParams(location.search).get('to') ?? '/'
  return /^\/(?![/\\])/.test(to) ? to : '/'
}

export function SignInForm({ demo, onDone }: { demo: boolean; onDone?: () => void }) {
  const typed = useState({ username: '', password: '' })
  const signIn = useCommand([], {
    mutationFn: async (body: (typeof typed)[0]) => {
      await ask(api.POST('/api/session', { body }))
      return ask(api.GET('/api/session'))
    },
    onSuccess: ({ account }) => {
      const before = thisDevice()?.who
      // Before anything is read from the device: it opens what is of this account.
      if (account) deviceOf(account)
      if (!onDone) location.assign(wanted())
      else if (account !== before) location.assign('/')
      else onDone()
    },
  })
  const form = useFields(
    typed,
    (v) => ({
      username: needed(v.username, 'Type your name.'),
      password: v.password === '' ? 'Type your password.' : undefined,
    }),
    signIn.error,
  )
  return (
    <form noValidate className="space-y-4" onSubmit={form.submit((v) => signIn.mutate(v))}>
      <h2 className="text-2xl font-semibold">Sign in</h2>
      <Input label="Name" autoComplete="username" {...form.text('username')} />
      <Input label="Password" type="password" autoComplete="current-password" {...form.text('password')} />
      <ProblemNotice error={signIn.error} />
      <Button kind="main" type="submit" disabled={signIn.isPending}>
        Sign in
      </Button>
      <details>
        <summary className="text-note min-h-6 cursor-pointer underline">I forgot my password</summary>
        <Reset />
      </details>
      {demo && (
        <p className="border-amber bg-amber-pale border-l-4 px-3 py-2">
          This is the demo. Sign in as <strong>ilse</strong> with <strong>merrow-demo</strong>.
        </p>
      )}
    </form>
  )
}

/** With the code that the keeper of the household prints. */
function Reset() {
  const typed = useState({ username: '', code: '', password: '' })
  const reset = useCommand([], {
    mutationFn: (body: (typeof typed)[0]) => ask(api.POST('/api/session/reset', { body })),
  })
  const form = useFields(
    typed,
    (v) => ({
      username: needed(v.username, 'Type your name.'),
      code: needed(v.code, 'Type the code you were given.'),
      password: longEnough(v.password),
    }),
    reset.error,
  )
  if (reset.isSuccess) return <p role="status">The new password is set. Sign in with it.</p>
  return (
    <div className="mt-2 space-y-3">
      <p className="text-soft text-sm">The keeper of your household can give you a code for it.</p>
      <Input label="Name to sign in with" {...form.text('username')} />
      <Input label="Code" {...form.text('code')} />
      <Input
        label="New password"
        hint="ten letters or more"
        type="password"
        autoComplete="new-password"
        {...form.text('password')}
      />
      <ProblemNotice error={reset.error} />
      <Button onClick={form.submit((v) => reset.mutate(v))} disabled={reset.isPending}>
        Set the new password
      </Button>
    </div>
  )
}

function Setup() {
  const regions = useRegions()
  const typed = useState({ household: '', name: '', username: '', password: '', region: '' })
  const open = useCommand([], {
    mutationFn: (v: (typeof typed)[0]) =>
      ask(
        api.POST('/api/setup', {
          body: { ...v, zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'Etc/UTC' },
        }),
      ),
    onSuccess: () => location.assign('/'),
  })
  const form = useFields(
    typed,
    (v) => ({
      household: needed(v.household, 'Give the household a name.'),
      name: needed(v.name, 'Type your name.'),
      username: /^[a-zA-Z0-9._-]{2,60}$/.test(v.username)
        ? undefined
        : 'Two or more letters, digits, dots or dashes.',
      password: longEnough(v.password),
      region: needed(v.region, 'Say where you gather.'),
    }),
    open.error,
  )
  return (
    <form noValidate className="space-y-4" onSubmit={form.submit((v) => open.mutate(v))}>
      <h2 className="text-2xl font-semibold">Open your household</h2>
      <p className="text-soft">This makes the first account, the keeper of the records.</p>
      <Input label="Household" {...form.text('household')} />
      <Input label="Your name" autoComplete="name" {...form.text('name')} />
      <Input label="Name to sign in with" autoComplete="username" {...form.text('username')} />
      <Input
        label="Password"
        hint="ten letters or more"
        type="password"
        autoComplete="new-password"
        {...form.text('password')}
      />
      <Choose
        label="Where you gather"
        {...form.chosen('region')}
        choices={(regions.data ?? []).map((r) => ({ value: r, label: region(r) }))}
      />
      <p className="text-soft text-sm">
        Plants are told apart among those of a region. Elsewhere grow others, which no card here covers: do
        not rely on a verdict there.
      </p>
      <ProblemNotice error={open.error} />
      <Button kind="main" type="submit" disabled={open.isPending}>
        Open the household
      </Button>
    </form>
  )
}
