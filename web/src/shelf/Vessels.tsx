import { useCommand } from '../ui/command'
import { useState } from 'react'
import { v7 } from 'uuid'
import { api, ask, errorAt, ifMatch } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input, NumberInput } from '../ui/controls'
import { VESSEL } from '../ui/dictionary'
import { Empty, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { number } from '../ui/read'
import { Glass } from './Glass'
import { useVessels, vesselName, type VesselView } from './vessels'
import { Only, only } from '../ui/may'

type Kind = VesselView['kind']
const KINDS: Kind[] = ['JAR', 'BOTTLE', 'FLASK', 'TIN']

/** What there is to fill: so many of a size, and how many of them are free. */
export function Vessels() {
  const vessels = useVessels()
  return (
    <Page title="Jars, bottles and tins" actions={<ButtonLink to="/shelf">To the shelf</ButtonLink>}>
      <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <Loaded query={vessels}>
          {(all) => (
            <Section title="What there is">
              {all.length === 0 && (
                <Empty>
                  None counted yet. Add them once: the bench then offers what is free and large enough, takes
                  it when you fill it, and has it back when it is empty.
                </Empty>
              )}
              <ul>
                {all.map((v) => (
                  <Row key={v.id} vessel={v} largest={Math.max(...all.map((x) => x.capacityMl))} />
                ))}
              </ul>
            </Section>
          )}
        </Loaded>
        <Add />
      </div>
    </Page>
  )
}

function Row({ vessel: v, largest }: { vessel: VesselView; largest: number }) {
  const count = useCommand(['vessels'], {
    mutationFn: (n: number) =>
      ask(
        api.POST('/api/shelf/vessels/{id}/count', {
          params: { path: { id: v.id }, header: ifMatch(v.version) },
          body: { count: n },
        }),
      ),
  })
  return (
    <li className="border-line flex flex-wrap items-end gap-4 border-b py-2">
      <svg viewBox="0 0 60 90" className="h-20 w-14 shrink-0" aria-hidden>
        <Glass
          kind={v.kind}
          x={30}
          floor={88}
          height={22 + 62 * Math.cbrt(v.capacityMl / largest)}
          fill={v.count > 0 ? v.inUse / v.count : 0}
          liquid
        />
      </svg>
      <span className="least-40 flex-1">
        <strong>{vesselName(v)}</strong>
        <span className="text-soft block">
          {v.count} in all, {v.inUse} in use
        </span>
      </span>
      <strong className="text-2xl">
        {v.free} <span className="text-soft text-base font-normal">free</span>
      </strong>
      <Only deed="record">
        <span className="flex gap-2">
          <Button
            aria-label={`one broke: ${vesselName(v)}`}
            disabled={count.isPending || v.free === 0}
            onClick={() => count.mutate(v.count - 1)}
          >
            one broke
          </Button>
          <Button
            aria-label={`one more: ${vesselName(v)}`}
            disabled={count.isPending}
            onClick={() => count.mutate(v.count + 1)}
          >
            one more
          </Button>
        </span>
      </Only>
      <ProblemNotice error={count.error} />
    </li>
  )
}

const Add = only('record', function Add() {
  const [id, setId] = useState(() => v7())
  const [kind, setKind] = useState<Kind>('BOTTLE')
  const [capacity, setCapacity] = useState('50')
  const [count, setCount] = useState('6')
  const [note, setNote] = useState('')
  const add = useCommand(['vessels'], {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/vessels', {
          body: { id, kind, capacityMl: number(capacity), count: number(count), note },
        }),
      ),
    onSuccess: async () => {
      setId(v7())
      setNote('')
    },
  })
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        add.mutate()
      }}
    >
      <Section title="Add some">
        <div className="space-y-2">
          <Choose
            label="What"
            value={kind}
            choices={KINDS.map((k) => ({ value: k, label: VESSEL[k] }))}
            onChange={setKind}
          />
          <NumberInput
            label="Each holds, brimful"
            unit="mL"
            value={capacity}
            onChange={setCapacity}
            error={errorAt(add.error, 'capacityMl')}
          />
          <NumberInput
            label="How many"
            value={count}
            onChange={setCount}
            error={errorAt(add.error, 'count')}
          />
          <Input
            label="What kind of glass, if it matters"
            value={note}
            onChange={(e) => setNote(e.target.value)}
            error={errorAt(add.error, 'note')}
          />
          <ProblemNotice error={add.error} />
          <Button kind="main" type="submit" disabled={add.isPending}>
            Add them
          </Button>
        </div>
      </Section>
    </form>
  )
})
