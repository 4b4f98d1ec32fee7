import { useRenew } from '../ui/command'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { again, drop, fieldsOf, reasonsOf, sendAll, settleClock, type Entry, type Field } from '../api/outbox'
import { Acknowledge, useAcknowledged } from '../ui/Acknowledge'
import { dayOf, isoToday } from '../ui/clock'
import { Button, Input, NumberInput } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { draftKey, OF_NOTEBOOK, write } from '../ui/kept'
import { number } from '../ui/read'
import { WhenAt } from '../ui/When'
import { useNotebook } from '../ui/notebook'
import { Empty, Page, Section } from '../ui/page'
import { moment } from '../ui/words'
import { at, linesOf, put } from './written'
import { WhatIsHere } from './WhatIsHere'

/** What was written down where there was no line, until the server has it; and what can be read here without one. */
export function Notebook() {
  const entries = useNotebook()
  const renew = useRenew('field')
  const [busy, setBusy] = useState(false)
  const send = async () => {
    setBusy(true)
    await sendAll()
    await renew()
    setBusy(false)
  }
  const refused = entries.filter((e) => e.refused)
  const asked = entries.filter((e) => !e.refused && e.otherwise)
  const waiting = entries.filter((e) => !e.refused && !e.otherwise)
  return (
    <Page title="Notebook">
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <div className="space-y-4">
          {refused.length > 0 && (
            <Section title="Refused: put it right">
              <p className="text-soft mb-2 text-sm">
                The server has the line and looked at these. Nothing of them is on record until they are put
                right.
              </p>
              <ul>
                {refused.map((e) => (
                  <Refused key={e.seq} entry={e} />
                ))}
              </ul>
            </Section>
          )}
          {asked.length > 0 && (
            <Section title="When was it?">
              <ul>
                {asked.map((e) => (
                  <Clock key={e.seq} entry={e} />
                ))}
              </ul>
            </Section>
          )}
          <Section title="Waiting for the line">
            {waiting.length === 0 ? (
              <Empty>Nothing waits here; all that was written down is with Sallowbrook.</Empty>
            ) : (
              <>
                <ol>
                  {waiting.map((e) => (
                    <li
                      key={e.seq}
                      className="border-line flex flex-wrap justify-between gap-x-3 border-b py-2"
                    >
                      <span className="font-medium">{e.words}</span>
                      <span className="text-soft text-sm">{moment(e.at)}</span>
                    </li>
                  ))}
                </ol>
                <p className="text-soft my-2 text-sm">
                  Each is sent once, in this order. Verdicts and what a harvest is held against are reckoned
                  then: a harvest that lies here is not yet allowed.
                </p>
                <Button kind="main" disabled={busy} onClick={() => void send()}>
                  Send now
                </Button>
              </>
            )}
          </Section>
        </div>
        <WhatIsHere />
      </div>
    </Page>
  )
}

function Refused({ entry }: { entry: Entry }) {
  const navigate = useNavigate()
  const { back, refused, seq } = entry
  const [sure, setSure] = useState(false)
  const open = async () => {
    if (!back) return
    for (const [field, value] of Object.entries(back.fields)) write(draftKey(back.form, field), value)
    // It stays here until what its form says is accepted.
    await navigate(`${back.path}?${OF_NOTEBOOK}=${encodeURIComponent(back.form)}`)
  }
  return (
    <li className="border-madder bg-madder-pale mb-3 space-y-2 border-l-8 px-3 py-2">
      <p className="font-semibold">{entry.words}</p>
      <p className="text-soft text-sm">{moment(entry.at)}</p>
      <p>{refused?.detail}</p>
      {refused?.errors?.map((e) => (
        <p key={e.field}>{e.message}</p>
      ))}
      <Findings findings={refused?.findings ?? []} label={`Findings on ${entry.words}`} />
      {!back && <PutRight key={refused?.detail} entry={entry} />}
      <Written entry={entry} />
      <div className="flex flex-wrap gap-2">
        {back && (
          <Button kind="main" onClick={() => void open()}>
            Back to its form
          </Button>
        )}
        <Button onClick={() => void again(seq)}>Send it again</Button>
        {sure ? (
          <>
            <Button kind="grave" onClick={() => void drop(seq)}>
              Throw it away for good
            </Button>
            <Button onClick={() => setSure(false)}>Keep it</Button>
          </>
        ) : (
          <Button onClick={() => setSure(true)}>Throw it away</Button>
        )}
      </div>
    </li>
  )
}

/** What can be put right here, where no form of its own goes with it. */
function PutRight({ entry }: { entry: Entry }) {
  const fields = fieldsOf(entry)
  const reasonsAt = reasonsOf(entry)
  const reasons = useAcknowledged()
  const [typed, setTyped] = useState<Record<string, string>>({})
  if (fields.length === 0) return null
  const shown = (f: Field) => {
    const value = at(entry.variables, f.at)
    return typed[f.label] ?? (typeof value === 'string' || typeof value === 'number' ? String(value) : '')
  }
  const send = () => {
    let variables = entry.variables
    for (const f of fields) {
      const text = typed[f.label]
      if (text !== undefined) variables = put(variables, f.at, f.kind === 'number' ? number(text) : text)
    }
    if (reasonsAt) variables = put(variables, reasonsAt, reasons.list)
    void again(entry.seq, variables)
  }
  const onChange = (f: Field) => (text: string) => setTyped({ ...typed, [f.label]: text })
  return (
    <form
      className="space-y-2"
      onSubmit={(e) => {
        e.preventDefault()
        send()
      }}
    >
      {fields.map((f) =>
        f.kind === 'number' ? (
          <NumberInput
            key={f.label}
            label={f.label}
            {...(f.unit ? { unit: f.unit } : {})}
            value={shown(f)}
            onChange={onChange(f)}
          />
        ) : f.kind === 'moment' ? (
          <WhenAt key={f.label} at={shown(f)} onChange={(t) => onChange(f)(t ?? shown(f))} />
        ) : (
          <Input
            key={f.label}
            label={f.label}
            {...(f.kind === 'date' ? { type: 'date', max: isoToday() } : {})}
            value={shown(f)}
            onChange={(e) => onChange(f)(e.target.value)}
          />
        ),
      )}
      {reasonsAt && <Acknowledge findings={entry.refused?.findings ?? []} reasons={reasons} />}
      <Button kind="main" type="submit">
        Send it put right
      </Button>
    </form>
  )
}

/** All that was written down, to be read also when what it belongs to is gone. */
function Written({ entry }: { entry: Entry }) {
  const lines = linesOf(entry.back?.fields ?? entry.variables)
  const [picture, setPicture] = useState<string>()
  useEffect(() => {
    const file = (entry.variables as { file?: unknown }).file
    if (!(file instanceof Blob)) return undefined
    const reader = new FileReader()
    reader.onload = () => setPicture(String(reader.result))
    reader.readAsDataURL(file)
    return () => reader.abort()
  }, [entry])
  return (
    <details>
      <summary className="text-note min-h-6 cursor-pointer underline">All that was written down</summary>
      {picture && <img src={picture} alt={entry.words} className="mt-1 max-h-60" />}
      <ul className="mt-1 text-sm">
        {lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
    </details>
  )
}

/** The device's clock was put right between writing and sending. */
function Clock({ entry }: { entry: Entry }) {
  const settle = (asWritten: boolean) => void settleClock(entry.seq, asWritten, (d) => dayOf(d))
  return (
    <li className="border-amber bg-amber-pale mb-3 space-y-2 border-l-8 px-3 py-2">
      <p className="font-semibold">{entry.words}</p>
      <p>This device’s clock was set since this was written down. When was it?</p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => settle(false)}>{moment(entry.otherwise ?? entry.at)}</Button>
        <Button onClick={() => settle(true)}>{moment(entry.at)}, as it was written</Button>
      </div>
    </li>
  )
}
