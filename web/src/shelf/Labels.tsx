import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { isoToday } from '../ui/clock'
import { NumberInput, Toggle } from '../ui/controls'
import { Empty, Loaded, Page, Section } from '../ui/page'
import { number } from '../ui/read'
import { OnPaper } from '../ui/Sheet'
import { inOrder } from './find'
import { useLive } from '../ui/useLive'
import { useOnDevice } from '../ui/useOnDevice'
import { useLots } from './queries'

type Paper = Schemas['PaperView']['paper']
type Measured = Schemas['OwnPaperRequest']

/** A sheet that is in no list. */
const OWN = 'OWN'
const MEASURED: Measured = {
  letter: false,
  columns: 2,
  rows: 5,
  labelWidthMm: 96,
  labelHeightMm: 50.8,
  leftMm: 8,
  topMm: 21.5,
  acrossMm: 98,
  downMm: 50.8,
}

const WEEK_MS = 7 * 86_400_000

/** Labels of many lots on sheets of them; a sheet that was begun is used up. */
export function Labels() {
  const lots = useLots()
  const [paper, setPaper] = useOnDevice<Paper | typeof OWN>('labels paper', 'A4_96_X_50')
  const [from, setFrom] = useState('1')
  const [chosen, setChosen] = useState<string[]>([])
  const papers = useQuery({
    queryKey: ['label', 'papers'],
    queryFn: () => ask(api.GET('/api/shelf/labels/papers')),
    staleTime: Infinity,
  })
  const [measured, setMeasured] = useOnDevice('labels measured', MEASURED)
  const own = useLive('labels own', paper === OWN ? measured : null, (body, signal) =>
    ask(api.POST('/api/shelf/labels/own', { body, signal })),
  )
  const on = (paper === OWN ? own.data?.labels : papers.data?.find((p) => p.paper === paper)?.labels) ?? 1
  const lies = paper !== OWN || (own.data !== undefined && !own.error)
  const first = number(from)
  const right = first !== undefined && Number.isInteger(first) && first >= 1 && first <= on
  const query = new URLSearchParams([
    ...chosen.map((id) => ['lot', id]),
    paper === OWN ? ['own', own.data?.own ?? ''] : ['paper', paper],
    ['from', String(first)],
  ])
  return (
    <Page title="Labels on sheets">
      <Loaded query={lots}>
        {(all) => {
          const there = all.filter((l) => l.stage === 'STOCK' || l.stage === 'FILLED').sort(inOrder('newest'))
          const lately = there.filter((l) => Date.parse(l.madeOn) >= Date.parse(isoToday()) - WEEK_MS)
          return there.length === 0 ? (
            <Empty>Nothing stands on the shelf yet.</Empty>
          ) : (
            <div className="grid items-start gap-4 lg:grid-cols-[3fr_2fr]">
              <Section title="Of what">
                <p className="mb-2 flex flex-wrap gap-x-4">
                  {(
                    [
                      ['made in the last week', lately],
                      ['all', there],
                      ['none', []],
                    ] as const
                  ).map(([words, which]) => (
                    <button
                      key={words}
                      type="button"
                      className="min-h-9 text-sm underline"
                      onClick={() => setChosen(which.map((l) => l.id))}
                    >
                      {words}
                    </button>
                  ))}
                </p>
                <ul className="space-y-1">
                  {there.map((l) => (
                    <li key={l.id}>
                      <Toggle
                        label={`${l.name}, ${l.code}`}
                        checked={chosen.includes(l.id)}
                        onChange={(yes) =>
                          setChosen(yes ? [...chosen, l.id] : chosen.filter((id) => id !== l.id))
                        }
                      />
                    </li>
                  ))}
                </ul>
              </Section>
              <Section title="The paper">
                <div className="grid gap-3">
                  <Choose
                    label="Size of one label"
                    value={paper}
                    onChange={setPaper}
                    choices={[
                      ...(papers.data ?? []).map((p) => ({
                        value: p.paper,
                        label: `${p.words}, ${p.labels} on a sheet`,
                      })),
                      { value: OWN, label: 'another, measured with a ruler' },
                    ]}
                  />
                  {paper === OWN && (
                    <MeasuredSheet measured={measured} onChange={setMeasured} error={own.error} />
                  )}
                  <NumberInput
                    label="First label that is still there"
                    hint="counted row by row from the top left"
                    value={from}
                    onChange={setFrom}
                    error={right ? undefined : `a whole number from 1 to ${on}`}
                  />
                  {chosen.length > 0 && right && lies ? (
                    <div>
                      <OnPaper href={`/api/shelf/labels.pdf?${query}`}>
                        {chosen.length} {chosen.length === 1 ? 'label' : 'labels'} on paper
                      </OnPaper>
                      <p className="text-soft mt-2 text-sm">
                        Print it at its own size, not fitted to the page.
                      </p>
                    </div>
                  ) : (
                    <p>{chosen.length === 0 && 'Choose what gets a label.'}</p>
                  )}
                </div>
              </Section>
            </div>
          )
        }}
      </Loaded>
    </Page>
  )
}

const MM: { key: Exclude<keyof Measured, 'letter'>; label: string; unit: string; hint?: string }[] = [
  { key: 'columns', label: 'Beside each other', unit: '' },
  { key: 'rows', label: 'Below each other', unit: '' },
  { key: 'labelWidthMm', label: 'Width of a label', unit: 'mm' },
  { key: 'labelHeightMm', label: 'Height of a label', unit: 'mm' },
  { key: 'leftMm', label: 'From the left edge of the paper', unit: 'mm' },
  { key: 'topMm', label: 'From its top edge', unit: 'mm' },
  { key: 'acrossMm', label: 'From one to the next, left edges', unit: 'mm' },
  { key: 'downMm', label: 'From one to the next, top edges', unit: 'mm' },
]

/** Kept on this device, which knows its printer. */
function MeasuredSheet({
  measured,
  onChange,
  error,
}: {
  measured: Measured
  onChange: (measured: Measured) => void
  error: unknown
}) {
  const [typed, setTyped] = useState<Record<string, string>>({})
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      {MM.map((m) => (
        <NumberInput
          key={m.key}
          label={m.label}
          unit={m.unit}
          value={typed[m.key] ?? String(measured[m.key])}
          onChange={(text) => {
            setTyped({ ...typed, [m.key]: text })
            const n = number(text)
            if (n !== undefined && Number.isFinite(n)) onChange({ ...measured, [m.key]: n })
          }}
          error={errorAt(error, m.key)}
        />
      ))}
      <Toggle
        label="The paper is Letter, not A4"
        checked={measured.letter}
        onChange={(letter) => onChange({ ...measured, letter })}
      />
    </div>
  )
}
