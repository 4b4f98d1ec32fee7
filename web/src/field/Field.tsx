import { useState } from 'react'
import { Link } from 'react-router'
import { api, ask } from '../api/client'
import { Button, ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { useStands } from './queries'
import { GroundSection } from './Ground'
import { SeasonSection } from './Season'
import { StandForm } from './StandForm'
import { Settles, StandVerdict } from './Verdict'
import { Weather } from './Weather'
import { Only } from '../ui/may'

export function Field() {
  const stands = useStands()
  const [adding, setAdding] = useState(false)
  const [chosen, setChosen] = useState<string>()
  return (
    <Page
      title="Field"
      actions={
        <>
          <ButtonLink to="/field/identify">What is this?</ButtonLink>
          <ButtonLink to="/field/walk">Plan a walk</ButtonLink>
          <ButtonLink to="/field/notebook">Notebook</ButtonLink>
          <ButtonLink to="/field/train">Tell them apart</ButtonLink>
          <ButtonLink to="/herbarium">Herbarium</ButtonLink>
          <Only deed="record">
            <Button kind="main" onClick={() => setAdding(!adding)}>
              {adding ? 'Leave it' : 'Add a stand'}
            </Button>
          </Only>
        </>
      }
    >
      {adding && <StandForm onDone={() => setAdding(false)} />}
      <div className="mb-4 grid gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <GroundSection chosen={chosen} onChoose={setChosen} />
        <div className="space-y-4">
          <SeasonSection />
          <Weather />
        </div>
      </div>
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <Section title="Stands">
          <Loaded query={stands}>
            {(all) =>
              all.length === 0 ? (
                <Empty>No stand yet. Add the first place where a plant of yours grows.</Empty>
              ) : (
                <ul>
                  {all.map((s) => (
                    <li
                      key={s.id}
                      className={`border-line flex flex-wrap items-center gap-x-3 gap-y-1 border-b py-2 ${chosen === s.id ? 'bg-water-pale' : ''}`}
                      onMouseEnter={() => setChosen(s.id)}
                      onMouseLeave={() => setChosen(undefined)}
                      onFocus={() => setChosen(s.id)}
                      onBlur={() => setChosen(undefined)}
                    >
                      <div className="min-w-52 flex-1">
                        <Link to={`/field/stands/${s.id}`} className="font-medium underline">
                          {s.name}
                        </Link>
                        <p className="text-soft text-sm">
                          {s.place} · {s.commonName}
                          {s.scientificName && (
                            <>
                              {' '}
                              · <span className="font-plant italic">{s.scientificName}</span>
                            </>
                          )}
                          <Settles stand={s} />
                        </p>
                      </div>
                      {s.ground === 'CONTAMINATED' && (
                        <span className="text-madder text-sm font-semibold">contaminated ground</span>
                      )}
                      <StandVerdict stand={s} />
                      <ButtonLink to={`/field/stands/${s.id}/identify`}>Identify</ButtonLink>
                      <Only deed="record">
                        {s.taxonId && <ButtonLink to={`/field/stands/${s.id}/harvest`}>Harvest</ButtonLink>}
                      </Only>
                    </li>
                  ))}
                </ul>
              )
            }
          </Loaded>
        </Section>
        <div>
          <Past
            title="Harvests"
            name="harvests"
            open
            load={(page) => ask(api.GET('/api/field/harvests', { params: { query: { page } } }))}
            to={(id) => `/shelf/${id}`}
          />
          <Past
            title="Stands put away"
            name="stands put away"
            load={(page) => ask(api.GET('/api/field/stands/past', { params: { query: { page } } }))}
            to={(id) => `/field/stands/${id}`}
          />
        </div>
      </div>
    </Page>
  )
}
