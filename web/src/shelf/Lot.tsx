import { Notes } from '../notes/Notes'
import { useCommand } from '../ui/command'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { api, ask, errorAt, ifMatch, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { Button, ButtonLink, Input } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { Figure, Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { State } from '../ui/State'
import { useSecond } from '../ui/Second'
import { StrikeOut } from '../ui/StrikeOut'
import { TakenBack } from '../ui/TakenBack'
import { tray } from '../ui/tray'
import { PART } from '../ui/dictionary'
import { date, figure, range, moment } from '../ui/words'
import { Account } from './Account'
import { LABELS } from './BoughtForm'
import { EditLot } from './EditLot'
import { PERCENT } from './percent'
import { DoubtLot } from './DoubtLot'
import { useLot, useUnprintable } from './queries'
import { Basket, Jar } from './Vessel'
import { useVessels, vesselName } from './vessels'
import { Only, only } from '../ui/may'
import { OnPaper } from '../ui/Sheet'

type LotView = Schemas['LotView']

export function Lot() {
  const { id = '' } = useParams()
  const lot = useLot(id)
  return <Loaded query={lot}>{(l) => <LotPage lot={l} />}</Loaded>
}

/** Which letters of the name a label has no type for. Plain ones are not asked about. */
function Unprintable({ lot }: { lot: LotView }) {
  const letters = useUnprintable(lot.id, /[^\u0020-\u024f]/.test(lot.name)).data?.unprintable
  return letters ? (
    <p className="border-amber bg-amber-pale mb-3 border-l-8 px-3 py-2">
      The label has no type for {letters}; it prints a question mark there. Write it on by hand.
    </p>
  ) : null
}

function LotPage({ lot }: { lot: LotView }) {
  const finished = lot.stage === 'FILLED'
  const capacity = lot.amount / 0.95
  const level = lot.remaining
  return (
    <Page
      title={`${lot.name} ${lot.code}`}
      actions={
        <>
          <Actions lot={lot} finished={finished} />
        </>
      }
    >
      {lot.neverFilled && (
        <p className="border-amber bg-amber-pale mb-3 border-l-8 px-3 py-2">
          Struck out as never filled. Where it would have come from stays on record; what is in it now, if
          anything, came from somewhere else.
        </p>
      )}
      <div className="mb-3">
        <TakenBack subject={lot.id} />
      </div>
      <div className="grid items-start gap-4 lg:grid-cols-[16rem_1fr_1fr]">
        {lot.stage === 'HARVEST' ? (
          <Basket
            full={lot.amount > 0 ? lot.remaining / lot.amount : 0}
            label={
              lot.remaining > 0
                ? `${figure(lot.remaining)} of ${figure(lot.amount)} ${lot.unit} still in the basket`
                : 'The basket is empty'
            }
          />
        ) : (
          <Jar
            jarMl={capacity}
            herbMl={lot.unit === 'mL' ? 0 : level}
            liquidMl={lot.unit === 'mL' ? level : 0}
            unit={lot.unit}
            label={`${figure(lot.remaining)} of ${figure(lot.amount)} ${lot.unit} left`}
          />
        )}
        <div className="space-y-4">
          <WhatItIs lot={lot} />
          {lot.state !== 'USABLE' && (
            <Findings
              findings={[
                {
                  code: lot.state,
                  severity: lot.state === 'HOLD' ? 'HOLD' : 'STOP',
                  message: lot.stateReason ?? 'Not usable.',
                  action:
                    lot.state === 'HOLD'
                      ? lot.heldByTheWork
                        ? 'A word does not lift it.'
                        : 'Resolve it, then release it below.'
                      : 'Do not use, give or take it.',
                },
              ]}
            />
          )}
          {lot.state === 'HOLD' &&
            (lot.heldByTheWork ? (
              <ButtonLink kind="main" to={`/making/batches/${lot.id}`}>
                To its batch: weigh it or look at it there
              </ButtonLink>
            ) : (
              <Release lot={lot} />
            ))}
          {lot.herbs.length > 0 && (
            <Section title="Made from">
              <ul>
                {lot.herbs.map((h) => (
                  <li key={h.taxonId + h.part}>
                    <Link className="underline" to={`/herbarium/${h.taxonId}`}>
                      {h.commonName}
                    </Link>
                    , {PART[h.part]}: {figure(h.driedG)} g dried
                  </li>
                ))}
              </ul>
            </Section>
          )}
          {(lot.stage === 'STOCK' || finished) && lot.remaining > 0 && <StandsIn lot={lot} />}
          {(lot.stage === 'STOCK' || finished) && <EditLot lot={lot} />}
          {lot.stage === 'HARVEST' && lot.remaining > 0 && !lot.racked && (
            <StrikeOut
              what={`the harvest ${lot.code}`}
              word="this harvest was noted by mistake"
              onStrike={(because) =>
                ask(
                  api.POST('/api/field/harvests/{id}/strike', {
                    params: { path: { id: lot.id } },
                    body: because,
                  }),
                )
              }
            />
          )}
        </div>
        <div className="space-y-4">
          <Notes of={{ about: 'LOT', id: lot.id, name: lot.name }} />
          {finished && <Give lot={lot} />}
          {lot.stage !== 'STAND' && <Account lot={lot} />}
          {lot.stage !== 'STAND' && lot.state !== 'DESTROYED' && <DoubtLot lot={lot} />}
        </div>
      </div>
    </Page>
  )
}

/** What is done with it beside the page itself. */
function Actions({ lot, finished }: { lot: LotView; finished: boolean }) {
  return (
    <>
      <OnPaper href={`/api/shelf/lots/${lot.id}/label.pdf`}>
        <Unprintable lot={lot} />
        Label (PDF)
      </OnPaper>
      <ButtonLink to={`/tracing/${lot.id}`}>Trace</ButtonLink>
      <Button onClick={() => tray.put({ kind: 'lot', id: lot.id, label: `${lot.name} ${lot.code}` })}>
        Carry along
      </Button>
      {(lot.stage === 'STOCK' || lot.stage === 'HARVEST') && lot.herbs.length === 1 && lot.remaining > 0 && (
        <Only deed="record">
          <ButtonLink to={`/dosing/direct/new?lot=${lot.id}`}>Use it as it is</ButtonLink>
        </Only>
      )}
      {lot.herbs.length > 0 && (lot.stage === 'FILLED' || lot.stage === 'BATCH') && (
        <Only deed="record">
          <ButtonLink to={`/dosing/direct/new?swallowed=${lot.id}`}>Something of it was swallowed</ButtonLink>
        </Only>
      )}
      {finished && !lot.neverFilled && (
        <Only deed="record">
          <ButtonLink kind="main" to={`/dosing/new?lot=${lot.id}`}>
            Plan a course
          </ButtonLink>
        </Only>
      )}
    </>
  )
}

/** How much is left of it, until when, for which way, and where it stands. */
function WhatItIs({ lot }: { lot: LotView }) {
  return (
    <Section title="What it is">
      <p className="mb-3">
        {(lot.remaining > 0 || lot.state !== 'USABLE') && <State state={lot.state} expired={lot.expired} />}{' '}
        {lot.remaining === 0 ? (
          <strong>nothing is left</strong>
        ) : lot.state !== 'USABLE' || lot.expired ? (
          <strong className="text-madder">not to be used</strong>
        ) : (
          <strong className={lot.route === 'EXTERNAL' ? 'text-amber' : ''}>
            {lot.route === 'EXTERNAL' ? 'outside of the body only' : 'may be taken by mouth'}
          </strong>
        )}
      </p>
      <dl className="grid grid-cols-2 gap-3">
        <Figure
          label="Left"
          value={figure(lot.remaining)}
          unit={lot.unit}
          note={`of ${figure(lot.amount)}`}
        />
        {lot.coldUntil && lot.roomUntil ? (
          <Figure
            label="Good cold until"
            value={moment(lot.coldUntil)}
            note={`in the room until ${moment(lot.roomUntil)}`}
          />
        ) : (
          lot.bestBefore && <Figure label="Best before" value={date(lot.bestBefore)} />
        )}
        <Figure label={lot.stage === 'HARVEST' ? 'Picked' : 'Made'} value={date(lot.madeOn)} />
        {lot.stage !== 'HARVEST' && (
          <Figure label="Opened" value={lot.openedOn ? date(lot.openedOn) : 'not yet'} />
        )}
        {lot.moisture && <Figure label="Water, wet basis" value={range(lot.moisture, 100)} unit="%" />}
        {lot.strengthPercent != null && lot.strengthPercent > 0 && (
          <Figure
            label={PERCENT[lot.form]?.label ?? 'Strength, at most'}
            value={figure(lot.strengthPercent)}
            unit={PERCENT[lot.form]?.unit ?? '% vol'}
          />
        )}
        {lot.driedGPerUnit && lot.unit === 'mL' && (
          <Figure label="Dried herb in 1 mL" value={range(lot.driedGPerUnit)} unit="g" />
        )}
      </dl>
      {lot.traits.includes('HONEY') && (
        <p className="text-madder mt-3 font-medium">Holds honey: not under one year of age.</p>
      )}
      <p className="text-soft mt-3">
        {lot.place}
        {lot.supplierLot ? `${lot.place ? ', ' : ''}label number ${lot.supplierLot}` : ''}
        {lot.desiccantOn ? `; desiccant of ${date(lot.desiccantOn)}` : ''}
      </p>
      {lot.supplier && (
        <p className="text-soft">
          Bought from {lot.supplier}; the label gives{' '}
          {LABELS.find((l) => l.value === lot.label)?.label ?? 'nothing'}.
        </p>
      )}
    </Section>
  )
}

const Release = only('record', function Release({ lot }: { lot: LotView }) {
  const second = useSecond()
  const [reason, setReason] = useState('')
  const release = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/release', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { reason, second: second.second },
        }),
      ),
  })
  return (
    <Section title="Release the hold">
      <Input
        label="What resolved it"
        value={reason}
        error={errorAt(release.error, 'reason')}
        onChange={(e) => setReason(e.target.value)}
      />
      <div className="mt-2 space-y-2">
        {!errorAt(release.error, 'reason') && <ProblemNotice error={release.error} />}
        {second.panel(release.error)}
        <Button onClick={() => release.mutate()} disabled={release.isPending}>
          Release
        </Button>
      </div>
    </Section>
  )
})

const Give = only('record', function Give({ lot }: { lot: LotView }) {
  const [holder, setHolder] = useState(lot.holder ?? '')
  const give = useCommand('shelf', {
    mutationFn: () =>
      ask(
        api.POST('/api/shelf/lots/{id}/give', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { holder },
        }),
      ),
  })
  return (
    <Section title="Who has it">
      <p className="text-soft mb-1 text-sm">
        For somebody on record, plan a course first: it is held against what they take and bear, prints a dose
        card and reminds you to ask after them.
      </p>
      <Input
        label="With whom"
        hint="empty: it is here"
        value={holder}
        onChange={(e) => setHolder(e.target.value)}
      />
      <div className="mt-2 space-y-2">
        <ProblemNotice error={give.error} />
        <Button onClick={() => give.mutate()} disabled={give.isPending}>
          Note who has it
        </Button>
      </div>
    </Section>
  )
})

/** In which of the household's own vessels it stands. */
const StandsIn = only('record', function StandsIn({ lot }: { lot: LotView }) {
  const vessels = useVessels()
  const put = useCommand('shelf', {
    mutationFn: (vesselId: string | undefined) =>
      ask(
        api.POST('/api/shelf/lots/{id}/vessel', {
          params: { path: { id: lot.id }, header: ifMatch(lot.version) },
          body: { vesselId },
        }),
      ),
  })
  const choices = (vessels.data ?? []).filter((v) => v.free > 0 || v.id === lot.vesselId)
  if (choices.length === 0) return null
  return (
    <Section title="It stands in">
      <Choose
        label="Vessel"
        value={lot.vesselId ?? 'other'}
        choices={[
          ...choices.map((v) => ({ value: v.id, label: vesselName(v), hint: `${v.free} free` })),
          { value: 'other', label: 'another, not counted' },
        ]}
        onChange={(v) => put.mutate(v === 'other' ? undefined : v)}
      />
      <ProblemNotice error={put.error} />
    </Section>
  )
})
