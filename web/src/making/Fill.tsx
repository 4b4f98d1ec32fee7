import { useCommand } from '../ui/command'
import { useState } from 'react'
import { api, ask, ifMatch, type Schemas } from '../api/client'
import { useVessels, vesselName } from '../shelf/vessels'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Button, Input, NumberInput } from '../ui/controls'
import { ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { WhenOn } from '../ui/When'
import { figure } from '../ui/words'
import { only } from '../ui/may'

type BatchView = Schemas['BatchView']

interface Row {
  /** Of the household's own; empty for another. */
  vessel: string
  capacity: string
  count: string
}

/** Into bottles or tins: the household's own that are free, or any size. */
export const Fill = only(
  'record',
  function Fill({ batch, pouringOff = false }: { batch: BatchView; pouringOff?: boolean }) {
    const vessels = useVessels()
    const salve = batch.plan.fills === 'TIN'
    const [rows, setRows] = useState<Row[]>([{ vessel: '', capacity: salve ? '30' : '50', count: '1' }])
    const [place, setPlace] = useState('')
    const [on, setOn] = useState(isoToday)
    const fill = useCommand('shelf', {
      mutationFn: (restGone: boolean) => {
        const body = {
          containers: restGone
            ? []
            : rows.map((r) => ({
                capacityMl: number(r.capacity),
                count: number(r.count),
                vesselId: r.vessel || undefined,
              })),
          on,
          place,
          restGone,
        }
        const params = { path: { id: batch.id }, header: ifMatch(batch.version) }
        return ask(
          pouringOff
            ? api.POST('/api/making/batches/{id}/pour-off', { params, body })
            : api.POST('/api/making/batches/{id}/containers', { params, body }),
        )
      },
    })
    const word = salve ? 'tins' : 'bottles'
    const free = (vessels.data ?? []).filter((v) => v.free > 0)
    const set = (i: number, change: Partial<Row>) =>
      setRows(rows.map((r, k) => (k === i ? { ...r, ...change } : r)))
    return (
      <Section
        title={pouringOff ? 'Pour some off' : salve ? 'Into tins' : 'Into bottles'}
        aside={
          <span>
            <strong>{figure(batch.remaining)}</strong> {batch.plan.unit} {pouringOff ? 'in it' : 'to fill'}
          </span>
        }
      >
        <form
          className="space-y-2"
          onSubmit={(e) => {
            e.preventDefault()
            fill.mutate(false)
          }}
        >
          {pouringOff && <p className="text-soft">The rest stays on the herb; press it whenever you like.</p>}
          {rows.map((r, i) => (
            <div key={i} className="space-y-2">
              {free.length > 0 && (
                <Choose
                  label={i === 0 ? 'Which of your own' : `Which of your own, size ${i + 1}`}
                  value={r.vessel || 'other'}
                  choices={[
                    ...free.map((v) => ({ value: v.id, label: vesselName(v), hint: `${v.free} free` })),
                    { value: 'other', label: 'another, not counted' },
                  ]}
                  onChange={(v) => {
                    const own = free.find((f) => f.id === v)
                    set(i, own ? { vessel: own.id, capacity: String(own.capacityMl) } : { vessel: '' })
                  }}
                />
              )}
              <div className="grid grid-cols-2 gap-2">
                <NumberInput
                  label={i === 0 ? 'Each holds' : `Each of size ${i + 1} holds`}
                  unit="mL"
                  value={r.capacity}
                  onChange={(capacity) => set(i, { capacity })}
                />
                <NumberInput
                  label={i === 0 ? `How many ${word}` : `How many of size ${i + 1}`}
                  value={r.count}
                  onChange={(count) => set(i, { count })}
                />
              </div>
            </div>
          ))}
          <button
            type="button"
            className="min-h-8 underline"
            onClick={() => setRows([...rows, { vessel: '', capacity: '', count: '1' }])}
          >
            Another size
          </button>
          <Input label="Where they will stand" value={place} onChange={(e) => setPlace(e.target.value)} />
          <WhenOn on={on} onChange={setOn} />
          <ProblemNotice error={fill.error} />
          <div className="flex flex-wrap gap-2">
            <Button kind={pouringOff ? 'quiet' : 'main'} type="submit" disabled={fill.isPending}>
              Fill the {word}
            </Button>
            {!pouringOff && batch.containers.length > 0 && (
              <Button onClick={() => fill.mutate(true)} disabled={fill.isPending}>
                The rest is gone
              </Button>
            )}
          </div>
          {!pouringOff && (
            <p className="text-soft text-sm">
              What is not filled stays here until you fill it, or say it is gone.
            </p>
          )}
        </form>
      </Section>
    )
  },
)
