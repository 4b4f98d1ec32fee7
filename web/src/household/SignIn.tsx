import { zodResolver } from '@hookform/resolvers/zod'
import { useMutation } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useForm } from 'react-hook-form'
import { z } from 'zod'
import { api, ask, ProblemError } from '../api/client'
import { Button, Input } from '../ui/controls'
import { Loaded, ProblemNotice, SafetyLine } from '../ui/page'
import { useSession } from './queries'

const signInForm = z.object({
  username: z.string().min(1, 'Type your name.'),
  password: z.string().min(1, 'Type your password.'),
})
const setupForm = z.object({
  household: z.string().min(1, 'Give the household a name.'),
  name: z.string().min(1, 'Type your name.'),
  username: z.string().regex(/^[a-zA-Z0-9._-]{2,60}$/, 'Two or more letters, digits, dots or dashes.'),
  password: z.string().min(10, 'At least 10 characters.'),
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
        <SafetyLine />
      </div>
      <div className="bg-sheet border-line self-center border-t-4 p-6">
        <Loaded query={session}>{(s) => (s.setup ? <Setup /> : <SignInForm demo={s.demo} />)}</Loaded>
      </div>
    </main>
  )
}

function SignInForm({ demo }: { demo: boolean }) {
  const form = useForm({
    resolver: zodResolver(signInForm),
    defaultValues: { username: '', password: '' },
  })
  const signIn = useMutation({
    mutationFn: (body: z.infer<typeof signInForm>) => ask(api.POST('/api/session', { body })),
    onSuccess: () => location.assign('/'),
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
      {demo && (
        <p className="border-amber bg-amber-pale border-l-4 px-3 py-2">
          This is the demo. Sign in as <strong>ilse</strong> with <strong>merrow-demo</strong>.
        </p>
      )}
    </form>
  )
}

function Setup() {
  const form = useForm({
    resolver: zodResolver(setupForm),
    defaultValues: { household: '', name: '', username: '', password: '' },
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
        type="password"
        autoComplete="new-password"
        {...form.register('password')}
        error={errors.password?.message}
      />
      <ProblemNotice error={open.error} />
      <Button kind="main" type="submit" disabled={open.isPending}>
        Open the household
      </Button>
    </form>
  )
}
