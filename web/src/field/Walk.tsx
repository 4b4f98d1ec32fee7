import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { ButtonLink } from '../ui/controls'
import { PART, READY } from '../ui/dictionary'
import { Only } from '../ui/may'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { figure } from '../ui/words'
import { useStands } from './queries'
import { span, useSeason } from './Season'
import { Weather } from './Weather'

/** Which stands, in what order, how far, and what goes into the basket. */
export function Walk() {
  const season = useSeason()
  const stands = useStands()
  return (
    <Loaded query={season}>
      {(s) => (
        <Loaded query={stands}>
          {(all) => (
            <Plan
              now={
                new Set(
                  s.parts.filter((p) => p.state === 'READY' || p.state === 'LIKELY').map((p) => p.standId),
                )
              }
              stands={all}
            />
          )}
        </Loaded>
      )}
    </Loaded>
  )
}

function Plan({
  now,
  stands,
}: {
  now: Set<string>
  stands: { id: string; name: string; place: string; commonName: string }[]
}) {
  const [chosen, setChosen] = useState(now)
  const ids = stands.map((s) => s.id).filter((id) => chosen.has(id))
  const walk = useQuery({
    queryKey: ['walk', ids],
    queryFn: () => ask(api.GET('/api/field/walk', { params: { query: { stand: ids } } })),
    placeholderData: (before) => before,
  })
  const flip = (id: string) => {
    const next = new Set(chosen)
    if (!next.delete(id)) next.add(id)
    setChosen(next)
  }
  return (
    <Page title="A walk">
      <div className="grid gap-4 lg:grid-cols-[1fr_2fr_1fr]">
        <Section title="Where to">
          <ul>
            {stands.map((s) => (
              <li key={s.id}>
                <label className="flex min-h-11 items-center gap-3">
                  <input
                    type="checkbox"
                    className="size-7 shrink-0"
                    checked={chosen.has(s.id)}
                    onChange={() => flip(s.id)}
                  />
                  <span>
                    {s.name} <span className="text-soft text-sm">{s.place}</span>
                  </span>
                </label>
              </li>
            ))}
          </ul>
        </Section>
        <Section title="The round">
          {walk.data && walk.data.stops.length === 0 && <Empty>Choose where to go.</Empty>}
          {walk.data && walk.data.stops.length > 0 && (
            <>
              <p className="mb-2 text-lg">
                <strong>{figure(walk.data.metres / 1000)} km</strong> as the crow flies
                {walk.data.from && `, from ${walk.data.from} and back`}
              </p>
              <ol>
                {walk.data.stops.map((s, i) => (
                  <li key={s.standId} className="border-line flex flex-wrap items-center gap-3 border-b py-2">
                    <span className="text-water w-8 text-2xl font-semibold">{i + 1}</span>
                    <div className="least-52 flex-1">
                      <Link to={`/field/stands/${s.standId}`} className="text-lg font-medium underline">
                        {s.name}
                      </Link>
                      <p className="text-soft text-sm">
                        {s.metresBefore == null ? 'no position noted' : `${figure(s.metresBefore)} m on`} ·{' '}
                        {s.place}
                      </p>
                      {s.parts.map((p) => (
                        <p key={p.part} className="text-sm">
                          {PART[p.part]}: <strong>{READY[p.state]}</strong>, {span(p)}
                        </p>
                      ))}
                      {s.parts.length === 0 && <p className="text-sm">{s.commonName}: to look at</p>}
                      {s.overSoon && <p className="text-amber font-semibold">past its best soon</p>}
                    </div>
                    <ButtonLink to={`/field/stands/${s.standId}/identify`}>Look</ButtonLink>
                    <Only deed="record">
                      {s.parts.length > 0 && (
                        <ButtonLink to={`/field/stands/${s.standId}/harvest`}>Harvest</ButtonLink>
                      )}
                    </Only>
                  </li>
                ))}
              </ol>
              <p className="mt-2">
                Back home everything waits on the{' '}
                <Link className="underline" to="/drying">
                  rack
                </Link>
                , to be weighed and hung. How much to pick for what you want to make:{' '}
                <Link className="underline" to="/basket">
                  from the basket to the bottle
                </Link>
                .
              </p>
            </>
          )}
        </Section>
        <div className="space-y-4">
          <Weather />
          {walk.data && walk.data.carry.length > 0 && (
            <Section title="To carry">
              <ul className="list-disc pl-5 text-lg">
                {walk.data.carry.map((c) => (
                  <li key={c}>{c}</li>
                ))}
              </ul>
            </Section>
          )}
          {walk.data && walk.data.mind.length > 0 && (
            <Section title="Mind">
              <ul className="list-disc pl-5 text-sm">
                {walk.data.mind.map((m) => (
                  <li key={m}>{m}</li>
                ))}
              </ul>
            </Section>
          )}
        </div>
      </div>
    </Page>
  )
}
