import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { isoToday } from '../ui/clock'
import { Button } from '../ui/controls'
import { PART, READY, STAGE } from '../ui/dictionary'
import { Only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { StrikeOut } from '../ui/StrikeOut'
import { useCarry } from '../ui/useCarry'
import { WhenOn } from '../ui/When'
import { date, times } from '../ui/words'
import { sighting } from './commands'
import { KeptHere } from '../ui/KeptHere'
import { span, useSeason } from './Season'

type Stage = Schemas['SightingView']['stage']

const BEGAN: { stage: Stage; words: string }[] = [
  { stage: 'LEAFY', words: 'First leaves' },
  { stage: 'FLOWERING', words: 'First flowers' },
  { stage: 'FRUITING', words: 'First fruit' },
]

/** When each part is ready at this stand, and one tap for what began today. */
export function WhenReady({ stand }: { stand: Schemas['StandView'] }) {
  const season = useSeason()
  const [on, setOn] = useState(isoToday)
  const [id, setId] = useState(() => v7())
  const seen = useQuery({
    queryKey: ['stands', stand.id, 'sightings'],
    queryFn: () => ask(api.GET('/api/field/stands/{id}/sightings', { params: { path: { id: stand.id } } })),
  })
  const [kept, setKept] = useState(false)
  const see = useCarry(sighting, {
    onSent: () => setId(v7()),
    onKept: () => {
      setId(v7())
      setKept(true)
    },
  })
  const parts = (season.data?.parts ?? []).filter((p) => p.standId === stand.id)
  return (
    <Section title="When it is ready">
      {parts.map((p) => (
        <div key={p.part} className="mb-2">
          <p>
            <strong>{PART[p.part]}</strong>: <strong>{READY[p.state]}</strong>; {span(p)}
          </p>
          <p className="text-soft text-sm">{p.moment}</p>
          <details className="text-sm">
            <summary className="text-note min-h-6 cursor-pointer underline">How this was reckoned</summary>
            <ul className="text-soft list-disc pl-5">
              {p.because.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </details>
        </div>
      ))}
      <Only deed="record">
        <div className="mt-2 flex flex-wrap gap-2">
          {BEGAN.map((b) => (
            <Button
              key={b.stage}
              disabled={see.isPending}
              onClick={() =>
                see.mutate({
                  variables: { standId: stand.id, body: { id, stage: b.stage, on } },
                  words: `${b.words} at ${stand.name}`,
                })
              }
            >
              {b.words}
            </Button>
          ))}
        </div>
        <WhenOn on={on} onChange={setOn} />
        {kept && <KeptHere />}
        <ProblemNotice error={see.error} />
      </Only>
      {(seen.data?.length ?? 0) > 0 && (
        <details className="mt-1">
          <summary className="text-note min-h-6 cursor-pointer text-sm underline">
            Seen to begin, {times(seen.data?.length ?? 0)}
          </summary>
          <ul>
            {seen.data?.map((s) => (
              <li key={s.id} className="flex flex-wrap items-center gap-x-3 text-sm">
                {date(s.on)}, {STAGE[s.stage]}, {s.seenBy}
                <StrikeOut
                  what={`the sighting of ${date(s.on)}`}
                  onStrike={(because) =>
                    ask(
                      api.POST('/api/field/stands/{id}/sightings/{sighting}/strike', {
                        params: { path: { id: stand.id, sighting: s.id } },
                        body: because,
                      }),
                    )
                  }
                />
              </li>
            ))}
          </ul>
        </details>
      )}
    </Section>
  )
}
