import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { useSession } from '../household/queries'
import { Identify, type Seen } from '../identification/Identify'
import { Button, Input } from '../ui/controls'
import { Loaded, Page, ProblemNotice } from '../ui/page'
import { isoToday } from '../ui/words'
import { useStand } from './queries'

const REGION = 'merrow'

export function IdentifyStand() {
  const { id = '' } = useParams()
  const stand = useStand(id)
  const session = useSession()
  return (
    <Loaded query={stand}>
      {(s) => <IdentifyPage stand={s} today={session.data?.today ?? isoToday()} />}
    </Loaded>
  )
}

function IdentifyPage({ stand, today }: { stand: Schemas['StandView']; today: string }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [id] = useState(() => v7())
  const [seen, setSeen] = useState<Seen>({ on: today, stage: 'FLOWERING', region: REGION, observations: [] })
  const [second, setSecond] = useState('')
  const [book, setBook] = useState('')
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/field/stands/{id}/identifications', {
          params: { path: { id: stand.id } },
          body: { ...seen, id, secondObserver: second || undefined, book: book || undefined },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries()
      await navigate(`/field/stands/${stand.id}`)
    },
  })
  return (
    <Page title={`Identify: ${stand.name}`}>
      <p className="text-soft mb-3">
        {stand.place}. Taken for {stand.commonName} (
        <span className="font-plant italic">{stand.scientificName}</span>
        ). Tap what you see; leave out what you cannot.
      </p>
      <Identify expected={stand.taxonId} seen={seen} onChange={setSeen}>
        {(answer) => (
          <form
            className="bg-sheet border-line space-y-2 border-t-2 px-3 py-2"
            onSubmit={(e) => {
              e.preventDefault()
              save.mutate()
            }}
          >
            <h2 className="font-semibold">Keep it with the stand</h2>
            <Input
              label="Seen on"
              type="date"
              max={today}
              value={seen.on}
              onChange={(e) => e.target.value && setSeen({ ...seen, on: e.target.value })}
            />
            <Input label="Who else looked" value={second} onChange={(e) => setSecond(e.target.value)} />
            <Input label="Book, edition and page" value={book} onChange={(e) => setBook(e.target.value)} />
            <ProblemNotice error={save.error} />
            <Button kind="main" type="submit" disabled={save.isPending || seen.observations.length === 0}>
              Keep this verdict{answer ? `: ${answer.verdict.status.toLowerCase().replace('_', ' ')}` : ''}
            </Button>
          </form>
        )}
      </Identify>
    </Page>
  )
}
