import { useState } from 'react'
import { useTaxa } from '../herbarium/queries'
import { Person } from '../household/Person'
import { Choose } from '../ui/Choose'
import { Notes } from '../notes/Notes'
import { ButtonLink } from '../ui/controls'
import { Only, only } from '../ui/may'
import { Section } from '../ui/page'
import { OnPaper } from '../ui/Sheet'
import { Borne, NoteReaction } from './Reactions'

/** Somebody's page, with what they bore and did not bear. */
export function Somebody() {
  return (
    <Person
      more={(p) => (
        <div className="mt-4 grid gap-4 lg:grid-cols-2">
          <Borne person={p} />
          <Noticed person={p} />
          <Section title="For a doctor or pharmacist">
            <p className="text-soft mb-2">
              What {p.name} takes, took and bore, with botanical names and amounts; nothing of anybody else.
            </p>
            <OnPaper href={`/api/dosing/people/${p.id}/records.pdf`}>On paper (PDF)</OnPaper>
            <Only deed="keep">
              <p className="mt-3">
                <a className="text-note underline" href={`/api/archive/people/${p.id}/file`} download>
                  Their records as a file
                </a>{' '}
                <span className="text-soft text-sm">to take along when they move out</span>
              </p>
            </Only>
          </Section>
          <Notes of={{ about: 'PERSON', id: p.id, name: p.name }} />
        </div>
      )}
    />
  )
}

/** A reaction to a plant, whatever it came in. */
const Noticed = only('record', function Noticed({ person }: { person: { id: string; name: string } }) {
  const taxa = useTaxa()
  const [taxon, setTaxon] = useState('')
  return (
    <Section
      title="Something was noticed"
      aside={<ButtonLink to={`/dosing/direct/new?person=${person.id}`}>Use a plant as it is</ButtonLink>}
    >
      <Choose
        label="After which plant"
        value={taxon}
        onChange={setTaxon}
        choices={(taxa.data ?? []).map((t) => ({ value: t.id, label: t.commonName, hint: t.name }))}
      />
      {taxon && <NoteReaction key={taxon} person={person} taxa={[taxon]} />}
    </Section>
  )
})
