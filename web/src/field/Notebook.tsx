import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { again, drop, sendAll, type Entry } from '../api/outbox'
import { Button } from '../ui/controls'
import { Findings } from '../ui/Findings'
import { draftKey, write } from '../ui/kept'
import { useNotebook } from '../ui/notebook'
import { Empty, Page, Section } from '../ui/page'
import { moment } from '../ui/words'
import { WhatIsHere } from './WhatIsHere'

/** What was written down where there was no line, until the server has it; and what can be read here without one. */
export function Notebook() {
  const entries = useNotebook()
  const queries = useQueryClient()
  const [busy, setBusy] = useState(false)
  const send = async () => {
    setBusy(true)
    await sendAll()
    await queries.invalidateQueries()
    setBusy(false)
  }
  const refused = entries.filter((e) => e.refused)
  const waiting = entries.filter((e) => !e.refused)
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
  const open = async () => {
    if (!back) return
    for (const [field, value] of Object.entries(back.fields)) write(draftKey(back.form, field), value)
    await drop(seq)
    await navigate(back.path)
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
      <div className="flex flex-wrap gap-2">
        {back && (
          <Button kind="main" onClick={() => void open()}>
            Back to its form
          </Button>
        )}
        <Button onClick={() => void again(seq)}>Send it again</Button>
        <Button onClick={() => void drop(seq)}>Throw it away</Button>
      </div>
    </li>
  )
}
