import { useEffect, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { WriteNote } from '../notes/WriteNote'
import { useOutThere } from '../notes/queries'
import { api, ask } from '../api/client'
import { Button, ButtonLink } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { Past } from '../ui/Past'
import { useStands } from './queries'
import { GroundSection, useGround } from './Ground'
import { SeasonSection, useSeason } from './Season'
import { StandForm } from './StandForm'
import { Settles, StandVerdict } from './Verdict'
import { useWeather, Weather } from './Weather'
import { OF_NOTEBOOK } from '../ui/kept'
import { Only } from '../ui/may'

const PATIENCE_MS = 1_200

/** Whether the page has stood here for so long. */
function useWaited(ms: number) {
  const [waited, setWaited] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setWaited(true), ms)
    return () => clearTimeout(timer)
  }, [ms])
  return waited
}

export function Field() {
  const stands = useStands()
  const [params, setParams] = useSearchParams()
  // Out of a note, or out of the notebook, the form is what somebody came for.
  const ofNote = params.get('note') ?? undefined
  const [opened, setOpened] = useState<'stand' | 'note' | undefined>(
    ofNote || params.get(OF_NOTEBOOK)?.startsWith('stand new') ? 'stand' : undefined,
  )
  const open = (what: typeof opened) => {
    setOpened(what)
    if (params.size > 0) setParams({}, { replace: true })
  }
  // All at once: what comes later would push what is being read. Where a line hangs nobody waits for it, though.
  const parts = [stands, useGround(), useSeason(), useWeather(7), useOutThere()]
  const waited = useWaited(PATIENCE_MS)
  const settled = parts.every((q) => !q.isPending) || (waited && !stands.isPending)
  return (
    <Page
      title="Field"
      actions={
        <>
          <ButtonLink to="/field/identify">What is this?</ButtonLink>
          <Only deed="record">
            <Button onClick={() => open(opened === 'note' ? undefined : 'note')}>
              {opened === 'note' ? 'No note' : 'Quick note'}
            </Button>
            <Button kind="main" onClick={() => open(opened === 'stand' ? undefined : 'stand')}>
              {opened === 'stand' ? 'Cancel' : 'Add a stand'}
            </Button>
          </Only>
        </>
      }
      more={
        <>
          <ButtonLink to="/field/walk">Plan a walk</ButtonLink>
          <ButtonLink to="/year">Enough for winter</ButtonLink>
          <ButtonLink to="/field/notebook">Notebook</ButtonLink>
          <ButtonLink to="/notes">Notes</ButtonLink>
          <ButtonLink to="/field/train">Tell them apart</ButtonLink>
          <ButtonLink to="/herbarium">Herbarium</ButtonLink>
        </>
      }
    >
      {opened === 'stand' && <StandForm key={ofNote ?? ''} noteId={ofNote} onDone={() => open(undefined)} />}
      {opened === 'note' && (
        <div className="mb-4 max-w-3xl">
          <Section title="A quick note">
            <WriteNote />
          </Section>
        </div>
      )}
      {settled ? (
        <Body stands={stands} />
      ) : (
        <p className="text-soft min-h-screen" role="status">
          Reading the records
        </p>
      )}
    </Page>
  )
}

/** The ground, what is ready on it, and the list of it. */
function Body({ stands }: { stands: ReturnType<typeof useStands> }) {
  const [chosen, setChosen] = useState<string>()
  return (
    <>
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
                      <div className="least-52 flex-1">
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
    </>
  )
}
