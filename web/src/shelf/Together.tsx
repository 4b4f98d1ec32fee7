import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, errorAt, ifMatch, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { useCommand } from '../ui/command'
import { Button, Input } from '../ui/controls'
import { Loaded, ProblemNotice } from '../ui/page'
import { date, figure } from '../ui/words'

type LotView = Schemas['LotView']

/** All of two jars of the same into one, which comes from both. */
export function Together({ lot, onDone }: { lot: LotView; onDone: () => void }) {
  const fitting = useQuery({
    queryKey: ['lots', lot.id, 'together', lot.version],
    queryFn: () => ask(api.GET('/api/shelf/lots/{id}/together', { params: { path: { id: lot.id } } })),
  })
  return (
    <Loaded query={fitting}>
      {(others) =>
        others.length === 0 ? (
          <p className="text-soft mt-2">
            Nothing here is the same, of the same strength and in use. What differs is mixed at the bench.
          </p>
        ) : (
          <Pour lot={lot} others={others} onDone={onDone} />
        )
      }
    </Loaded>
  )
}

function Pour({ lot, others, onDone }: { lot: LotView; others: LotView[]; onDone: () => void }) {
  const [id] = useState(() => v7())
  const [withId, setWithId] = useState(others[0]?.id ?? '')
  const [name, setName] = useState(lot.name)
  const go = useNavigate()
  const other = others.find((o) => o.id === withId)
  const pour = useCommand('shelf', {
    mutationFn: (with_: LotView) =>
      ask(
        api.POST('/api/shelf/lots/{id}/together', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { id, with: with_.id, withVersion: with_.version, name },
        }),
      ),
    after: async (both) => {
      onDone()
      await go(`/shelf/${both.id}`)
    },
  })
  return (
    <form
      noValidate
      className="mt-2 space-y-2"
      onSubmit={(e) => {
        e.preventDefault()
        if (other) pour.mutate(other)
      }}
    >
      <Choose
        label="Together with"
        value={withId}
        onChange={setWithId}
        choices={others.map((o) => ({
          value: o.id,
          label: `${o.name} ${o.code}`,
          hint: `${figure(o.remaining)} ${o.unit}${o.bestBefore ? `, best before ${date(o.bestBefore)}` : ''}`,
        }))}
      />
      <Input
        label="Name on the label"
        value={name}
        onChange={(e) => setName(e.target.value)}
        error={errorAt(pour.error, 'name')}
      />
      {other && (
        <p>
          All of both goes into it. The earlier date counts, and of all else the weaker. It gets a code and a
          label of its own; what is found out about either reaches it.
        </p>
      )}
      <ProblemNotice error={pour.error} />
      <Button kind="main" type="submit" disabled={pour.isPending || !other}>
        Pour them together
      </Button>
    </form>
  )
}

/** As full as then, it was only said: both are there again. */
export function Apart({ lot }: { lot: LotView }) {
  const apart = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/apart', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
        }),
      ),
  })
  return (
    <>
      <Button disabled={apart.isPending} onClick={() => apart.mutate()}>
        Not poured together after all
      </Button>
      <ProblemNotice error={apart.error} />
    </>
  )
}
