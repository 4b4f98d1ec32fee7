import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { LINE } from '../api/client'
import { FULL } from '../api/outbox'

/** So often it is asked for, and so long waited for. */
const TRY_MS = 4_000

/** Says that the server can't be reached, and what still works; goes by itself when it can. */
export function LineNotice() {
  const queries = useQueryClient()
  const [there, setThere] = useState(true)
  const [full, setFull] = useState(false)
  useEffect(() => {
    const onLine = (e: Event) => setThere(e instanceof CustomEvent ? e.detail === true : navigator.onLine)
    const onFull = () => setFull(true)
    addEventListener(FULL, onFull)
    addEventListener(LINE, onLine)
    addEventListener('online', onLine)
    addEventListener('offline', onLine)
    return () => {
      removeEventListener(FULL, onFull)
      removeEventListener(LINE, onLine)
      removeEventListener('online', onLine)
      removeEventListener('offline', onLine)
    }
  }, [])
  // While it is away it is asked for now and again; the first answer renews what may be old.
  useEffect(() => {
    if (there) return
    const timer = setInterval(() => {
      fetch('/api/session', { signal: AbortSignal.timeout(TRY_MS) })
        .then(() => {
          dispatchEvent(new CustomEvent(LINE, { detail: true }))
          void queries.invalidateQueries()
        })
        .catch(() => undefined)
    }, TRY_MS)
    return () => clearInterval(timer)
  }, [there, queries])
  if (there) return null
  return (
    <p role="alert" className="bg-amber-pale border-amber mx-auto mt-2 max-w-7xl border-l-4 px-4 py-2">
      <strong>No line to Sallowbrook.</strong> What you see is as it was; figures and findings may be old.
      {full
        ? 'This device is full: nothing more is kept on it. Leave the page open, and save when the line is back.'
        : 'Looks, harvests, weights, stages, stakes and pictures are kept on this device and sent when the line is back; anything else is not saved until then.'}
    </p>
  )
}
