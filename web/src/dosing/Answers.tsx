import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, errorAt } from '../api/client'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, Input } from '../ui/controls'
import { only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { StrikeOut } from '../ui/StrikeOut'
import { date } from '../ui/words'

type Says = 'YES' | 'NO' | ''

/** What a prescriber or pharmacist said of these plants and what the person takes: it settles what no source says. */
export const Answers = only(
  'record',
  function Answers({
    person,
    plants,
    wanted,
  }: {
    person: string
    plants: { taxonId: string; commonName: string }[]
    /** Whether a finding waits for one. */
    wanted: boolean
  }) {
    const answers = useQuery({
      queryKey: ['answers', person],
      queryFn: () => ask(api.GET('/api/dosing/people/{id}/answers', { params: { path: { id: person } } })),
    })
    const given = (answers.data ?? []).filter((a) => plants.some((p) => p.taxonId === a.taxonId))
    const [id, setId] = useState(() => v7())
    const [taxon, setTaxon] = useState('')
    const [who, setWho] = useState('')
    const [says, setSays] = useState<Says>('')
    const [on, setOn] = useState(isoToday())
    const [words, setWords] = useState('')
    const plant = taxon || (plants.length === 1 ? (plants[0]?.taxonId ?? '') : '')
    const note = useCommand('dosing', {
      mutationFn: () =>
        ask(
          api.POST('/api/dosing/answers', {
            body: { id, personId: person, taxonId: plant, who, goes: says === 'YES', on, words },
          }),
        ),
      onSuccess: async () => {
        setId(v7())
        setWho('')
        setSays('')
        setWords('')
      },
    })
    if (!wanted && given.length === 0) return null
    return (
      <Section title="Asked a prescriber or pharmacist">
        <ul>
          {given.map((a) => (
            <li key={a.id} className="border-line flex flex-wrap justify-between gap-2 border-b py-1">
              <span>
                {date(a.on)}, {a.who}, {a.commonName}:{' '}
                <strong>{a.goes ? 'it goes' : 'it does not go'}</strong>
                {a.words && `, ${a.words}`}
                {a.goes && !a.holds && (
                  <span className="text-amber block text-sm font-medium">
                    Something has come to what is taken since: ask again.
                  </span>
                )}
              </span>
              <StrikeOut
                what={`the answer of ${a.who}`}
                onStrike={(because) =>
                  ask(
                    api.POST('/api/dosing/answers/{id}/strike', {
                      params: { path: { id: a.id } },
                      body: because,
                    }),
                  )
                }
              />
            </li>
          ))}
        </ul>
        {wanted && (
          <form
            className="mt-2 space-y-2"
            onSubmit={(e) => {
              e.preventDefault()
              note.mutate()
            }}
          >
            {plants.length > 1 && (
              <Choose
                label="Of which plant"
                value={plant}
                onChange={setTaxon}
                choices={plants.map((p) => ({ value: p.taxonId, label: p.commonName }))}
              />
            )}
            <Input
              label="Who was asked"
              hint="the prescriber or pharmacist, by name"
              value={who}
              onChange={(e) => setWho(e.target.value)}
              error={errorAt(note.error, 'who')}
            />
            <Choose<Says>
              label="What they said"
              value={says}
              onChange={setSays}
              choices={[
                { value: 'YES', label: 'it goes with what is taken' },
                { value: 'NO', label: 'it does not go' },
              ]}
            />
            <Input
              label="On"
              type="date"
              max={isoToday()}
              value={on}
              onChange={(e) => setOn(e.target.value)}
              error={errorAt(note.error, 'on')}
            />
            <Input label="In their words" value={words} onChange={(e) => setWords(e.target.value)} />
            <ProblemNotice error={note.error} />
            <Button type="submit" disabled={note.isPending || says === '' || plant === ''}>
              Keep their answer
            </Button>
          </form>
        )}
      </Section>
    )
  },
)
