import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Button } from '../ui/controls'
import { Figure, ProblemNotice, Section } from '../ui/page'
import { moment } from '../ui/words'
import { installed, OPENS_DAYS, PACKED_NOW, packedOn, packNow } from './pack'

/** What can be read on this device without a line. */
export function WhatIsHere() {
  const queries = useQueryClient()
  const [packed, setPacked] = useState(packedOn)
  useEffect(() => {
    const onPacked = () => setPacked(packedOn())
    addEventListener(PACKED_NOW, onPacked)
    return () => removeEventListener(PACKED_NOW, onPacked)
  }, [])
  const [bytes, setBytes] = useState<number>()
  useEffect(() => {
    navigator.storage?.estimate?.().then(
      (e) => setBytes(e.usage),
      () => undefined,
    )
  }, [packed])
  const [error, setError] = useState<unknown>()
  const [busy, setBusy] = useState(false)
  const pack = async () => {
    setBusy(true)
    setError(undefined)
    try {
      await packNow(queries)
    } catch (e) {
      setError(e)
    }
    setBusy(false)
  }
  return (
    <Section title="On this device">
      {installed() ? (
        <>
          {packed ? (
            <dl className="grid grid-cols-2 gap-3">
              <Figure label="Stands" value={String(packed.stands)} />
              <Figure
                label="Cards of plants"
                value={String(packed.cards)}
                note={`as of ${moment(packed.at)}`}
              />
            </dl>
          ) : (
            <p>Nothing is packed yet.</p>
          )}
          {packed && !packed.kept && (
            <p className="border-madder bg-madder-pale mt-2 border-l-8 px-3 py-2">
              This device had no room for all of it. Make room, then pack again.
            </p>
          )}
          {packed && (
            <p className="mt-2 text-sm">
              It opens without a line for {OPENS_DAYS} days after this device last reached the machine.
              {bytes !== undefined && ` It takes ${Math.max(1, Math.round(bytes / 1e6))} MB here.`}
            </p>
          )}
          <p className="text-soft my-2 text-sm">
            Field, stands, cards, drawings, looking and harvesting open here without a line. People, doses and
            the shelf are not kept on the device. All of it goes when you sign out.
          </p>
          <ProblemNotice error={error} />
          <Button disabled={busy} onClick={() => void pack()}>
            Pack anew before going
          </Button>
        </>
      ) : (
        <p>
          This browser opens nothing without a line: it needs an address with https, or this machine itself,
          and has to be loaded once more after the first visit. Under Household, Phones of the house says how
          to get there.
        </p>
      )}
    </Section>
  )
}
