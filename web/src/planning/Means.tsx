import { useState } from 'react'
import { api, ask, errorAt, ifMatch } from '../api/client'
import { useCommand } from '../ui/command'
import { Button, NumberInput } from '../ui/controls'
import { PART } from '../ui/dictionary'
import { Only } from '../ui/may'
import { ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import type { YearView } from './year'

/** What there is to do it with; taken as usual until somebody says. */
export function MeansForm({ year }: { year: YearView }) {
  const { means } = year
  const [rack, setRack] = useState(String(means.rackM2))
  const [hours, setHours] = useState(String(means.hoursPerWeek))
  const say = useCommand(['year'], {
    mutationFn: () =>
      ask(
        api.PUT('/api/planning/year/means', {
          params: { header: means.version == null ? {} : ifMatch(means.version) },
          body: { rackM2: number(rack), hoursPerWeek: number(hours) },
        }),
      ),
  })
  const changed = number(rack) !== means.rackM2 || number(hours) !== means.hoursPerWeek
  return (
    <Section title="What there is to do it with">
      {!means.said && (
        <p className="text-soft mb-2 text-sm">Nobody has said so yet; this is taken until you do.</p>
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        <NumberInput
          label="Screens on the rack"
          unit="m²"
          value={rack}
          onChange={setRack}
          error={errorAt(say.error, 'rackM2')}
        />
        <NumberInput
          label="Hours a week"
          unit="h"
          value={hours}
          onChange={setHours}
          error={errorAt(say.error, 'hoursPerWeek')}
        />
      </div>
      <p className="text-soft mt-1 text-sm">For walking, picking, looking through and the bench.</p>
      <ProblemNotice error={say.error} />
      <Only deed="record">
        <div className="mt-2">
          <Button disabled={say.isPending || (!changed && means.said)} onClick={() => say.mutate()}>
            Reckon with this
          </Button>
        </div>
      </Only>
    </Section>
  )
}

type Unknown = YearView['unknown'][number]

/** By eye, for what was never weighed: nothing is planned of a stand of which nobody knows how much it bears. */
export function Bears({ year }: { year: YearView }) {
  if (year.unknown.length === 0) return null
  return (
    <Section title="How much grows there?">
      <p className="text-soft text-sm">
        Of these nothing was weighed yet. Say about how much there is in all, fresh; what is left standing is
        taken off by itself.
      </p>
      <ul>
        {year.unknown.map((u) => (
          <Bear key={u.standId + u.part} unknown={u} />
        ))}
      </ul>
    </Section>
  )
}

const BY_EYE = [
  { words: 'a handful', g: 50 },
  { words: 'a basket', g: 500 },
  { words: 'several baskets', g: 2000 },
]

function Bear({ unknown: u }: { unknown: Unknown }) {
  const [own, setOwn] = useState('')
  const say = useCommand(['year'], {
    mutationFn: (freshG: number) =>
      ask(api.PUT('/api/planning/year/bears', { body: { standId: u.standId, part: u.part, freshG } })),
    onSuccess: () => setOwn(''),
  })
  const what = `${u.stand}: ${u.commonName}, ${PART[u.part].toLowerCase()}`
  return (
    <li className="border-line border-b py-2">
      <strong>{what}</strong>
      {u.freshG != null && <span className="text-soft"> about {u.freshG} g</span>}
      <Only deed="record">
        <div className="flex flex-wrap items-end gap-2">
          {BY_EYE.map((e) => (
            <button
              key={e.g}
              type="button"
              aria-pressed={u.freshG === e.g}
              className="border-line aria-pressed:bg-water-pale min-h-9 border-2 px-2 text-sm"
              onClick={() => say.mutate(e.g)}
            >
              {e.words}
              <span className="sr-only"> at {what}</span>
            </button>
          ))}
          <div className="w-36">
            <NumberInput
              label="or so much"
              unit="g"
              value={own}
              onChange={setOwn}
              error={errorAt(say.error, 'freshG')}
            />
          </div>
          {number(own) > 0 && <Button onClick={() => say.mutate(number(own))}>Keep</Button>}
        </div>
      </Only>
      <ProblemNotice error={say.error} />
    </li>
  )
}
