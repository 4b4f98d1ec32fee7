import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, errorAt } from '../api/client'
import { leave } from '../field/pack'
import { useCommand } from '../ui/command'
import { Button, Input } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'

/** For good; the archive is offered first, and a slip of the thumb does nothing. */
export function Delete() {
  const queries = useQueryClient()
  const [name, setName] = useState('')
  const [password, setPassword] = useState('')
  const gone = useCommand([], {
    mutationFn: () => ask(api.POST('/api/archive/deletion', { body: { name, password } })),
    onSuccess: () => leave(queries),
  })
  return (
    <Section title="The end of a household">
      <details>
        <summary className="text-madder min-h-8 cursor-pointer underline">
          Delete this household for good
        </summary>
        <form
          className="mt-2 space-y-3"
          onSubmit={(e) => {
            e.preventDefault()
            gone.mutate()
          }}
        >
          <p>
            All of it goes, of everybody in it, and nobody can bring it back but from an archive.{' '}
            <a className="text-note underline" href="/api/archive/file" download>
              Take all records along first
            </a>
            . Nightly copies on this machine still hold it until they are deleted by hand.
          </p>
          <Input
            label="The household’s name, letter by letter"
            autoComplete="off"
            value={name}
            onChange={(e) => setName(e.target.value)}
            error={errorAt(gone.error, 'name')}
          />
          <Input
            label="Your password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
            error={errorAt(gone.error, 'password')}
          />
          <ProblemNotice error={gone.error} />
          <Button type="submit" kind="grave" disabled={gone.isPending}>
            Delete everything
          </Button>
        </form>
      </details>
    </Section>
  )
}
