import { useCommand } from './command'
import { useId, useState } from 'react'
import { api, ask, errorAt, refusedBy } from '../api/client'
import { Button, Input } from './controls'
import { ProblemNotice } from './page'

/** Why something noted for safety is taken back. @param second the id of a second person's word */
export interface Because {
  reason: string
  second?: string
}

const WANTS_A_SECOND = ['KEEPER_OR_SECOND', 'SECOND_OBSERVER', 'SIGNED_TOO_LONG_AGO', 'NAMED_JUST_NOW']

/** Whether a second person's word is what is missing. */
export const wantsSecond = (error: unknown) => refusedBy(error).some((f) => WANTS_A_SECOND.includes(f.code))

/**
 * A second person signs in the same place, with a name and password of their own; whoever is signed in stays so. Not a form
 * of its own, because it stands in the form whose saving it is for.
 */
export function SecondSigns({ onSigned }: { onSigned: (second: string) => void }) {
  const heading = useId()
  const [username, setUsername] = useState('')
  const [password, setPassword] = useState('')
  const sign = useCommand([], {
    mutationFn: () => ask(api.POST('/api/session/second', { body: { username, password } })),
    onSuccess: (signed) => {
      setPassword('')
      onSigned(signed.id)
    },
  })
  const named = ['username', 'password'].some((f) => errorAt(sign.error, f))
  const onEnter = (e: React.KeyboardEvent) => {
    if (e.key === 'Enter') {
      e.preventDefault()
      if (!sign.isPending) sign.mutate()
    }
  }
  return (
    <div role="group" aria-labelledby={heading} className="border-amber space-y-2 border-l-8 pl-3">
      <p id={heading} className="font-semibold">
        A second person signs
      </p>
      {sign.data ? (
        <p role="status">{sign.data.name} has signed, for this once.</p>
      ) : (
        <>
          <p className="text-soft text-sm">
            Somebody else of the household, here beside you. You stay signed in.
          </p>
          <Input
            label="Their sign-in name"
            autoComplete="off"
            value={username}
            onChange={(e) => setUsername(e.target.value)}
            onKeyDown={onEnter}
            error={errorAt(sign.error, 'username')}
          />
          <Input
            label="Their password"
            type="password"
            autoComplete="off"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
            onKeyDown={onEnter}
            error={errorAt(sign.error, 'password')}
          />
          {!named && <ProblemNotice error={sign.error} />}
          <Button disabled={sign.isPending} onClick={() => sign.mutate()}>
            Sign for it
          </Button>
        </>
      )}
    </div>
  )
}

/** The second person's word for one form: asked for where the server wants it, sent along from then on. */
export function useSecond() {
  const [second, setSecond] = useState<string>()
  return {
    second,
    panel: (error: unknown) =>
      wantsSecond(error) ? (
        // What was refused once more is asked for anew.
        <SecondSigns key={refusedBy(error)[0]?.code} onSigned={setSecond} />
      ) : null,
  }
}
