import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, errorAt, type Schemas } from '../api/client'
import { ScaleReader } from '../drying/ScaleReader'
import { Choose } from '../ui/Choose'
import { Button, NumberInput } from '../ui/controls'
import { MEASURE } from '../ui/dictionary'
import { Empty, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { date, figure } from '../ui/words'
import { herbLots, lotChoice, type LotView } from './lots'
import { withLots } from './WithLots'
import { Only, only } from '../ui/may'

type Measure = Schemas['MeasureView']['measure']

const ALL = Object.keys(MEASURE) as Measure[]
const WATER = 'water'
/** These hold no water and are weighed of a herb. */
const HERB_ONLY: Measure[] = ['LEAF', 'SPRIG', 'BUNDLE']

const useMeasures = () =>
  useQuery({ queryKey: ['measures'], queryFn: () => ask(api.GET('/api/making/measures')) })

/** Spoons, cups and handfuls of this household: weighed once, so that a recipe by the spoon becomes grams. */
export const Measures = withLots(function Measures({ lots }) {
  const measures = useMeasures()
  return (
    <Page title="Spoons, cups and handfuls">
      <div className="grid gap-4 lg:grid-cols-2">
        <Weigh lots={lots} />
        <Section title="Known so far">
          <Loaded query={measures}>
            {(all) =>
              all.length === 0 ? (
                <Empty>
                  Nothing weighed yet: every spoon and handful counts as a wide range. Ten level spoons on the
                  scale make it narrow.
                </Empty>
              ) : (
                <ul>
                  {all.map((m) => (
                    <Known key={m.id} measure={m} />
                  ))}
                </ul>
              )
            }
          </Loaded>
        </Section>
      </div>
    </Page>
  )
})

function Known({ measure: m }: { measure: Schemas['MeasureView'] }) {
  const strike = useCommand('making', {
    mutationFn: () =>
      ask(
        api.POST('/api/making/measures/{id}/strike', {
          params: { path: { id: m.id } },
          body: { reason: 'weighed wrongly' },
        }),
      ),
  })
  return (
    <li className="border-line flex items-center justify-between gap-3 border-b py-2">
      <div>
        <p>
          One of the {MEASURE[m.measure]}
          {m.of ? ` of ${m.of}` : ''}: <strong>{figure(m.ofOne)}</strong> {m.of ? 'g' : 'mL'}
        </p>
        <p className="text-soft text-sm">
          {date(m.on)}, {m.by}
        </p>
      </div>
      <Only deed="record">
        <Button
          aria-label={`Was wrong: ${MEASURE[m.measure]}${m.of ? ` of ${m.of}` : ''}`}
          disabled={strike.isPending}
          onClick={() => strike.mutate()}
        >
          Was wrong
        </Button>
      </Only>
    </li>
  )
}

const Weigh = only('record', function Weigh({ lots }: { lots: LotView[] }) {
  const [id, setId] = useState(() => v7())
  const [measure, setMeasure] = useState<Measure>('LEVEL_TEASPOON')
  const [of, setOf] = useState(WATER)
  const [count, setCount] = useState('10')
  const [grams, setGrams] = useState('')
  const herbs = herbLots(lots).filter((l) => l.form !== 'FROZEN_HERB')
  const water = of === WATER && !HERB_ONLY.includes(measure)
  const lot = water ? undefined : (herbs.find((l) => l.id === of) ?? herbs[0])
  const save = useCommand('making', {
    mutationFn: () =>
      ask(
        api.POST('/api/making/measures', {
          body: {
            id,
            measure,
            count: number(count),
            grams: number(grams),
            ...(lot ? { lotId: lot.id } : {}),
          },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
      setGrams('')
    },
  })
  const at = (field: string) => errorAt(save.error, field)
  return (
    <Section title="Weigh one once">
      <form
        className="space-y-3"
        onSubmit={(e) => {
          e.preventDefault()
          save.mutate()
        }}
      >
        <Choose
          label="What you measure with"
          value={measure}
          choices={ALL.map((m) => ({ value: m, label: MEASURE[m] }))}
          onChange={setMeasure}
        />
        <Choose
          label="Filled with"
          value={lot ? lot.id : WATER}
          choices={[
            ...(HERB_ONLY.includes(measure)
              ? []
              : [{ value: WATER, label: 'water', hint: 'how much your own one holds, for every herb' }]),
            ...herbs.map(lotChoice),
          ]}
          onChange={setOf}
        />
        <NumberInput label="How many of them" value={count} onChange={setCount} error={at('count')} />
        <NumberInput
          label="They weigh together"
          unit="g"
          value={grams}
          onChange={setGrams}
          error={at('grams')}
          hint="empty scale at zero first"
        />
        <ScaleReader
          load={{ spoonful: { measure, count: number(count) || 1, ...(lot ? { of: lot.id } : {}) } }}
          onStable={(g) => setGrams(String(g))}
        />
        <ProblemNotice error={save.error} />
        <Button kind="main" type="submit" disabled={save.isPending || grams === ''}>
          Keep it
        </Button>
      </form>
    </Section>
  )
})
