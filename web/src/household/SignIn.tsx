import { zodResolver } from '@hookform/resolvers/zod'
import { useMutation } from '@tanstack/react-query'
import { useEffect } from 'react'
import { Controller, useForm } from 'react-hook-form'
import { Link } from 'react-router'
import { z } from 'zod'
import { api, ask, ProblemError } from '../api/client'
import { deviceOf, thisDevice } from '../api/device'
import { Choose } from '../ui/Choose'
import { Button, Input } from '../ui/controls'
import { region } from '../ui/dictionary'
import { Loaded, ProblemNotice, SafetyLine } from '../ui/page'
import { useRegions, useSession } from './queries'

const signInForm = z.object({
  username: z.string().min(1, 'Type your name.'),
  password: z.string().min(1, 'Type your password.'),
})
const setupForm = z.object({
  household: z.string().min(1, 'Give the household a name.'),
  name: z.string().min(1, 'Type your name.'),
  username: z.string().regex(/^[a-zA-Z0-9._-]{2,60}$/, 'Two or more letters, digits, dots or dashes.'),
  password: z.string().min(10, 'At least 10 letters.'),
  region: z.string().min(1, 'Say where you gather.'),
})
const resetForm = z.object({
  username: z.string().min(1, 'Type your name.'),
  code: z.string().min(1, 'Type the code you were given.'),
  password: z.string().min(10, 'At least 10 letters.'),
})

/** Puts what the server said at the field it is about. */
function useServerErrors<F extends string>(
  error: unknown,
  setError: (field: F, error: { message: string }) => void,
) {
  useEffect(() => {
    if (error instanceof ProblemError) {
      error.problem.errors?.forEach((e) => setError(e.field as F, { message: e.message }))
    }
  }, [error, setError])
}

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
  const form = useForm({
    resolver: zodResolver(signInForm),
    defaultValues: { username: '', password: '' },
  })
  const signIn = useMutation({
    mutationFn: async (body: z.infer<typeof signInForm>) => {
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
  const { errors } = form.formState
  return (
    <form noValidate className="space-y-4" onSubmit={form.handleSubmit((v) => signIn.mutate(v))}>
      <h2 className="text-2xl font-semibold">Sign in</h2>
      <Input
        label="Name"
        autoComplete="username"
        {...form.register('username')}
        error={errors.username?.message}
      />
      <Input
        label="Password"
        type="password"
        autoComplete="current-password"
        {...form.register('password')}
        error={errors.password?.message}
      />
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
  const form = useForm({
    resolver: zodResolver(resetForm),
    defaultValues: { username: '', code: '', password: '' },
  })
  const reset = useMutation({
    mutationFn: (body: z.infer<typeof resetForm>) => ask(api.POST('/api/session/reset', { body })),
  })
  const { errors } = form.formState
  if (reset.isSuccess) return <p role="status">The new password is set. Sign in with it.</p>
  return (
    <div className="mt-2 space-y-3">
      <p className="text-soft text-sm">The keeper of your household can give you a code for it.</p>
      <Input label="Name to sign in with" {...form.register('username')} error={errors.username?.message} />
      <Input label="Code" {...form.register('code')} error={errors.code?.message} />
      <Input
        label="New password"
        hint="ten letters or more"
        type="password"
        autoComplete="new-password"
        {...form.register('password')}
        error={errors.password?.message}
      />
      <ProblemNotice error={reset.error} />
      <Button onClick={() => void form.handleSubmit((v) => reset.mutate(v))()} disabled={reset.isPending}>
        Set the new password
      </Button>
    </div>
  )
}

function Setup() {
  const regions = useRegions()
  const form = useForm({
    resolver: zodResolver(setupForm),
    defaultValues: { household: '', name: '', username: '', password: '', region: '' },
  })
  const open = useMutation({
    mutationFn: (v: z.infer<typeof setupForm>) =>
      ask(
        api.POST('/api/setup', {
          body: { ...v, zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'Etc/UTC' },
        }),
      ),
    onSuccess: () => location.assign('/'),
  })
  useServerErrors(open.error, form.setError)
  const { errors } = form.formState
  return (
    <form noValidate className="space-y-4" onSubmit={form.handleSubmit((v) => open.mutate(v))}>
      <h2 className="text-2xl font-semibold">Open your household</h2>
      <p className="text-soft">This makes the first account, the keeper of the records.</p>
      <Input label="Household" {...form.register('household')} error={errors.household?.message} />
      <Input label="Your name" autoComplete="name" {...form.register('name')} error={errors.name?.message} />
      <Input
        label="Name to sign in with"
        autoComplete="username"
        {...form.register('username')}
        error={errors.username?.message}
      />
      <Input
        label="Password"
        hint="ten letters or more"
        type="password"
        autoComplete="new-password"
        {...form.register('password')}
        error={errors.password?.message}
      />
      <Controller
        control={form.control}
        name="region"
        render={({ field }) => (
          <Choose
            label="Where you gather"
            value={field.value}
            onChange={field.onChange}
            choices={(regions.data ?? []).map((r) => ({ value: r, label: region(r) }))}
            error={errors.region?.message}
          />
        )}
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
