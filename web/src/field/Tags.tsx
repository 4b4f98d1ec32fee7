import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { Button, Input } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { date } from '../ui/words'
import { Only } from '../ui/may'
import { useCarry } from '../ui/useCarry'
import { tag } from './commands'
import { KeptHere } from '../ui/KeptHere'

export const useTags = (standId: string) =>
  useQuery({
    queryKey: ['tags', standId],
    queryFn: () => ask(api.GET('/api/field/stands/{id}/tags', { params: { path: { id: standId } } })),
  })

/** Plants staked when they could be told, to be found when they can't. */
export function Tags({ stand }: { stand: Schemas['StandView'] }) {
  const tags = useTags(stand.id)
  const [id, setId] = useState(() => v7())
  const [stake, setStake] = useState('')
  const [place, setPlace] = useState('')
  const [position, setPosition] = useState<{ latitude: number; longitude: number } | null>(null)
  const [kept, setKept] = useState(false)
  const emptied = () => {
    setId(v7())
    setStake('')
    setPlace('')
    setPosition(null)
  }
  const add = useCarry(tag, {
    onSent: emptied,
    onKept: () => {
      emptied()
      setKept(true)
    },
  })
  const confirmed = stand.certain
  const here = () =>
    navigator.geolocation.getCurrentPosition((p) =>
      setPosition({ latitude: p.coords.latitude, longitude: p.coords.longitude }),
    )
  return (
    <Section title="Tagged plants">
      {(tags.data ?? []).map((t) => (
        <p key={t.id} className="border-line border-b py-1">
          <strong>{t.stake}</strong>, {t.place}
          {t.latitude != null &&
            t.longitude != null &&
            ` (${t.latitude.toFixed(4)}, ${t.longitude.toFixed(4)})`}
          <span className="text-soft block text-sm">
            confirmed {date(t.confirmedOn)} · keeps its name until {date(t.validUntil)}
            {!t.valid && <strong className="text-madder"> · run out, identify it again</strong>}
          </span>
        </p>
      ))}
      {confirmed ? (
        <Only deed="record">
          <form
            className="mt-2 grid gap-2 sm:grid-cols-2"
            onSubmit={(e) => {
              e.preventDefault()
              add.mutate({
                variables: { standId: stand.id, body: { id, stake, place, ...(position ?? {}) } },
                words: `Stake ${stake} at ${stand.name}`,
              })
            }}
          >
            <Input label="Mark on the stake" value={stake} onChange={(e) => setStake(e.target.value)} />
            <Input label="Where it stands" value={place} onChange={(e) => setPlace(e.target.value)} />
            <Button onClick={here}>{position ? 'Position kept' : 'Keep this position'}</Button>
            <Button kind="main" type="submit" disabled={add.isPending}>
              Tag this plant
            </Button>
            {kept && <KeptHere />}
            <ProblemNotice error={add.error} />
          </form>
        </Only>
      ) : (
        <p className="text-soft text-sm">
          A plant is tagged when the stand is confirmed, at a stage at which it can be told.
        </p>
      )}
    </Section>
  )
}
