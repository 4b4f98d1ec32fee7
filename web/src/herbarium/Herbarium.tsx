import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { Schemas } from '../api/client'
import { Danger } from '../ui/Danger'
import { Choose } from '../ui/Choose'
import { ButtonLink, Input } from '../ui/controls'
import { Empty, Loaded, Page } from '../ui/page'
import { STAGE } from '../ui/dictionary'
import { isoToday } from '../ui/clock'
import { month } from '../ui/words'
import { OnceSeen } from '../ui/OnceSeen'
import { PlantDrawing } from './drawing'
import { useDrawings, useTaxa } from './queries'
import { Only } from '../ui/may'

type Show = 'all' | 'gathered' | 'season' | 'dangerous' | 'drafts'
type Summary = Schemas['TaxonSummary']

const thisMonth = () => Number(isoToday().slice(5, 7))

const shows: Record<Show, (t: Summary) => boolean> = {
  all: () => true,
  gathered: (t) => t.parts.length > 0,
  season: (t) => t.gatheredIn.includes(thisMonth()),
  dangerous: (t) => t.danger === 'POISONOUS' || t.danger === 'DEADLY' || t.danger === 'IRRITANT',
  drafts: (t) => t.draft,
}

/** Why a plant was found under a name that is not the one shown. */
function foundBy(t: Summary) {
  const f = t.foundBy
  if (!f) return null
  if (f.kind === 'OLDER') return `${f.name} is now called ${t.name}`
  if (f.kind === 'AMBIGUOUS') return `“${f.name}” is said of several plants`
  if (f.slips > 0) return `perhaps you meant ${f.name}`
  return f.name === t.commonName || f.name === t.name ? null : `also called ${f.name}`
}

export function Herbarium() {
  const [q, setQ] = useState('')
  const [search] = useSearchParams()
  const [show, setShow] = useState<Show>(search.get('show') === 'season' ? 'season' : 'all')
  const taxa = useTaxa(q)
  const drawings = useDrawings()
  return (
    <Page
      title="Herbarium"
      actions={
        <>
          <ButtonLink to="/needs">What helps?</ButtonLink>
          <Only deed="keep">
            <ButtonLink to="/herbarium/new">A plant of your own</ButtonLink>
          </Only>
        </>
      }
    >
      <div className="mb-3 grid max-w-2xl gap-3 sm:grid-cols-2">
        <Input
          label="Find by any name"
          type="search"
          value={q}
          onChange={(e) => setQ(e.target.value)}
          hint="current, older or common; a slip of the pen is forgiven"
        />
        <Choose
          label="Show"
          value={show}
          choices={[
            { value: 'all', label: 'all cards' },
            { value: 'gathered', label: 'what is gathered' },
            { value: 'season', label: `what is gathered in ${month(thisMonth())}` },
            { value: 'dangerous', label: 'what can harm' },
            { value: 'drafts', label: 'drafts' },
          ]}
          onChange={setShow}
        />
      </div>
      <Loaded query={taxa}>
        {(all) => {
          const shown = all.filter(shows[show])
          if (shown.length === 0)
            return <Empty>No card has this name. Try a part of it, or the scientific name.</Empty>
          // Only written alike: the plant that was meant may have no card, and must not be taken for a neighbour of its name.
          const alike = q.trim() !== '' && shown.every((t) => (t.foundBy?.slips ?? 0) > 0)
          return (
            <>
              {alike ? (
                <p className="border-amber bg-amber-pale mb-3 border-l-4 px-3 py-2" role="status">
                  <strong>No card is called “{q.trim()}”.</strong> If that is how your plant is called,
                  nothing here speaks of it: add a card of your own, and use nothing of what stands here for
                  it. Only written alike:
                </p>
              ) : (
                <p className="text-soft mb-2 text-sm" role="status">
                  {shown.length} of {all.length} cards
                </p>
              )}
              <ul className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-6">
                {shown.map((t) => {
                  const d = drawings.data?.find((x) => x.taxon === t.id)
                  const why = foundBy(t)
                  return (
                    <li key={t.id} className="bg-sheet border-line border-t-2 p-2">
                      <OnceSeen className="aspect-[240/244]">
                        {d && (
                          <PlantDrawing
                            characters={d.states}
                            stage={d.stage}
                            label={`${t.commonName}, ${STAGE[d.stage]}`}
                          />
                        )}
                      </OnceSeen>
                      <Link to={`/herbarium/${t.id}`} className="font-medium underline">
                        {t.commonName}
                      </Link>
                      <p className="font-plant text-sm italic">{t.name}</p>
                      <p className="text-sm">
                        <Danger level={t.danger} takenFor={t.takenFor} /> {t.draft && <strong>draft</strong>}
                      </p>
                      {why && <p className="text-note text-sm">{why}</p>}
                    </li>
                  )
                })}
              </ul>
            </>
          )
        }}
      </Loaded>
    </Page>
  )
}
