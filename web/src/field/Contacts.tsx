import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, type Schemas } from '../api/client'
import { usePeople } from '../household/queries'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, Input } from '../ui/controls'
import { REACTION } from '../ui/dictionary'
import { Findings } from '../ui/Findings'
import { KeptHere } from '../ui/KeptHere'
import { Only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { StrikeOut } from '../ui/StrikeOut'
import { useCarry } from '../ui/useCarry'
import { WhenOn } from '../ui/When'
import { date } from '../ui/words'
import { contact } from './commands'

type Reaction = Schemas['ContactRequest']['reaction']
const REACTIONS: Reaction[] = ['NONE', 'ITCH', 'RASH', 'BLISTERS', 'BREATH']

export const useContacts = (taxonId: string) =>
  useQuery({
    queryKey: ['contacts', taxonId],
    queryFn: () => ask(api.GET('/api/field/contacts', { params: { query: { taxon: taxonId } } })),
  })

/** Who touched a plant that irritates, and what came of it; the washing first, for it can't wait. */
export function Contacts({ taxon, called }: { taxon: Schemas['TaxonView']; called: string }) {
  const contacts = useContacts(taxon.id)
  const people = usePeople()
  const [id, setId] = useState(() => v7())
  const [person, setPerson] = useState('')
  const [reaction, setReaction] = useState<Reaction>('NONE')
  const [words, setWords] = useState('')
  const [on, setOn] = useState(isoToday)
  const [kept, setKept] = useState(false)
  const who = person || people.data?.[0]?.id || ''
  const emptied = () => {
    setId(v7())
    setWords('')
    setReaction('NONE')
  }
  const note = useCarry(contact, {
    onSent: emptied,
    onKept: () => {
      emptied()
      setKept(true)
    },
  })
  return (
    <Section title="Touched it?">
      {taxon.washing && (
        <p className="border-amber bg-amber-pale border-l-8 px-3 py-2 text-lg">
          <strong>At once:</strong> {taxon.washing}
        </p>
      )}
      <Findings findings={contacts.data?.findings ?? []} label="Contacts" />
      {(contacts.data?.contacts.length ?? 0) > 0 && (
        <ul className="my-2 text-sm">
          {contacts.data?.contacts.slice(0, 8).map((c) => (
            <li key={c.id} className="border-line flex flex-wrap justify-between gap-x-3 border-b py-1">
              <span>
                {date(c.on)}: {c.person}, {REACTION[c.reaction]}
                {c.words && `; ${c.words}`}
              </span>
              <StrikeOut
                what={`the contact of ${date(c.on)}`}
                onStrike={(because) =>
                  ask(
                    api.POST('/api/field/contacts/{id}/strike', {
                      params: { path: { id: c.id } },
                      body: because,
                    }),
                  )
                }
              />
            </li>
          ))}
        </ul>
      )}
      <Only deed="record">
        <form
          className="mt-2 grid gap-2 sm:grid-cols-2"
          onSubmit={(e) => {
            e.preventDefault()
            note.mutate({
              variables: { id, personId: who, taxonId: taxon.id, on, reaction, words },
              words: `Touched ${called}: ${REACTION[reaction]}`,
            })
          }}
        >
          <Choose
            label="Who touched it"
            value={who}
            onChange={setPerson}
            choices={(people.data ?? []).map((p) => ({ value: p.id, label: p.name }))}
          />
          <Choose
            label="What came of it"
            value={reaction}
            onChange={setReaction}
            choices={REACTIONS.map((r) => ({ value: r, label: REACTION[r] }))}
          />
          <Input label="Where and how" value={words} onChange={(e) => setWords(e.target.value)} />
          <WhenOn on={on} onChange={setOn} />
          <div className="col-span-full">
            {reaction === 'BREATH' && (
              <p className="border-madder bg-madder-pale mb-2 border-l-8 px-3 py-2 text-lg font-semibold">
                Trouble with breath, face or circulation is an emergency: call for help first, note it later.
              </p>
            )}
            {kept && <KeptHere />}
            <ProblemNotice error={note.error} />
            <Button type="submit" disabled={note.isPending || who === ''}>
              Note the contact
            </Button>
          </div>
        </form>
      </Only>
    </Section>
  )
}
