import { useQuery } from '@tanstack/react-query'
import { useSearchParams, Link } from 'react-router'
import { api, ask, Schemas } from '../api/client'
import { usePeople } from '../household/queries'
import { useState } from 'react'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input } from '../ui/controls'
import { useLive } from '../ui/useLive'
import { Findings } from '../ui/Findings'
import { Empty, Loaded, Page, SafetyLine, Section } from '../ui/page'
import { NEARNESS, PART, POTENCY, ROUTE } from '../ui/dictionary'
import { capital } from '../ui/words'

/** From a need to plants: by evidence, then gentleness, then what is at hand. Never a diagnosis. */
export function Need() {
  const [search, setSearch] = useSearchParams()
  const need = search.get('need') ?? ''
  const person = search.get('person') ?? ''
  const needs = useQuery({
    queryKey: ['needs'],
    queryFn: () => ask(api.GET('/api/planning/needs')),
    staleTime: 600_000,
  })
  const people = usePeople()
  const plants = useQuery({
    queryKey: ['needs', need, person],
    queryFn: () =>
      ask(
        api.GET('/api/planning/needs/plants', {
          params: { query: { need, ...(person ? { person } : {}) } },
        }),
      ),
    enabled: need !== '',
  })
  const [words, setWords] = useState('')
  const complaint = useLive('complaint', words.trim() === '' ? null : words.trim(), (w, signal) =>
    ask(api.GET('/api/planning/needs/search', { params: { query: { words: w } }, signal })),
  )
  const meant = words.trim() === '' ? undefined : complaint.data
  const set = (values: { need?: string; person?: string }) => {
    const next = { need, person, ...values }
    setSearch(Object.fromEntries(Object.entries(next).filter(([, v]) => v !== '')), { replace: true })
  }
  return (
    <Page title="What helps?">
      <p className="mb-3 max-w-3xl">
        What is written of plants, with the kind of evidence; not what you have. A complaint that lasts, grows
        or frightens you belongs to a doctor.
      </p>
      <div className="mb-2 grid max-w-5xl gap-3 sm:grid-cols-3">
        <Input
          label="What is it? In your own words"
          hint="a tickly cough, sprained ankle, something bitter"
          value={words}
          maxLength={200}
          onChange={(e) => setWords(e.target.value)}
        />
        <Choose
          label="Or a need from the cards"
          value={need}
          choices={(needs.data ?? []).map((n) => ({
            value: n.name,
            label: n.name,
            ...(n.grave ? { hint: 'a grave illness: no plant is proposed' } : {}),
          }))}
          onChange={(n) => set({ need: n })}
        />
        <Choose
          label="For whom"
          value={person}
          choices={[
            { value: '', label: 'nobody in particular' },
            ...(people.data ?? []).map((p) => ({ value: p.id, label: p.name })),
          ]}
          onChange={(p) => set({ person: p })}
        />
      </div>
      {meant && <Meant meant={meant} need={need} set={set} />}
      {meant && meant.findings.length > 0 ? (
        <SafetyLine />
      ) : need === '' ? (
        <Empty>Choose a need. Plants then stand in order: best evidence first, gentle before strong.</Empty>
      ) : (
        <Loaded query={plants}>{(answer) => <Suggested answer={answer} />}</Loaded>
      )}
    </Page>
  )
}

/** What was understood of the words, and what belongs to a doctor. */
function Meant({
  meant,
  need,
  set,
}: {
  meant: {
    findings: { code: string; severity: 'STOP' | 'HOLD' | 'WARN' | 'NOTE'; message: string; action: string }[]
    needs: string[]
  }
  need: string
  set: (values: { need?: string; person?: string }) => void
}) {
  return (
    <div className="mb-4 max-w-5xl space-y-2" aria-live="polite">
      <Findings findings={meant.findings} label="What belongs to a doctor" />
      {meant.findings.some((f) => f.code === 'GRAVE_ILLNESS') && (
        <ButtonLink kind="grave" to="/help">
          What to do now, and whom to call
        </ButtonLink>
      )}
      {meant.findings.length === 0 && meant.needs.length === 0 && (
        <p>
          No card speaks of that, or it was not understood. If it lasts, grows or frightens you, see a doctor;
          if something was swallowed, or somebody is very ill,{' '}
          <Link to="/help" className="text-madder font-semibold underline">
            look here first
          </Link>
          . Else choose from the list.
        </p>
      )}
      {meant.needs.length > 0 && (
        <p className="flex flex-wrap items-center gap-2">
          <span className="text-soft">Is it</span>
          {meant.needs.map((n) => (
            <Button key={n} aria-pressed={n === need} onClick={() => set({ need: n })}>
              {n}
            </Button>
          ))}
        </p>
      )}
    </div>
  )
}

/** Plants in order, and what was left out for whom. */
function Suggested({ answer }: { answer: Schemas['NeedAnswer'] }) {
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <div className="space-y-3">
        <Findings findings={answer.findings} label="Findings on the need" />
        {answer.suggestions.length === 0 && answer.findings.length === 0 && (
          <Empty>No plant is left for this.</Empty>
        )}
        <ol className="space-y-2">
          {answer.suggestions.map((s) => (
            <li key={s.taxon} className="bg-sheet border-line flex gap-3 border-t-2 px-3 py-2">
              <div className="flex-1">
                <Link className="text-lg font-semibold underline" to={`/herbarium/${s.taxon}`}>
                  {s.commonName}
                </Link>{' '}
                <span className="font-plant italic">{s.name}</span>
                <p>
                  {s.parts.map((p) => PART[p]).join(', ')}
                  {s.route ? `, ${ROUTE[s.route]}` : ''}
                  {s.potency ? ` · ${POTENCY[s.potency]}` : ''}
                </p>
                <p className="text-soft text-sm">{capital(s.because.join(' · '))}</p>
                {s.notFor.length > 0 && (
                  <p className="text-madder text-sm">
                    <strong>Not for:</strong> {s.notFor.join('; ')}
                  </p>
                )}
              </div>
              <span className="text-water self-center text-sm font-semibold">{NEARNESS[s.nearness]}</span>
            </li>
          ))}
        </ol>
      </div>
      <div className="space-y-3">
        {answer.dropped.length > 0 && (
          <Section title="Left out for this person">
            <ul className="space-y-1">
              {answer.dropped.map((d) => (
                <li key={d.taxon}>
                  <strong>{d.commonName}:</strong> {d.reason}
                </li>
              ))}
            </ul>
          </Section>
        )}
        <SafetyLine />
      </div>
    </div>
  )
}
