import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { LINE } from '../api/client'

/** Says that the server can't be reached, and what still works; goes by itself when it can. */
export function LineNotice() {
  const queries = useQueryClient()
  const [there, setThere] = useState(true)
  useEffect(() => {
    const onLine = (e: Event) => setThere(e instanceof CustomEvent ? e.detail === true : navigator.onLine)
    addEventListener(LINE, onLine)
    addEventListener('online', onLine)
    addEventListener('offline', onLine)
    return () => {
      removeEventListener(LINE, onLine)
      removeEventListener('online', onLine)
      removeEventListener('offline', onLine)
    }
  }, [])
  // While it is away it is asked for now and again; the first answer renews what may be old.
  useEffect(() => {
    if (there) return
    const timer = setInterval(() => {
      fetch('/api/session')
        .then(() => {
          dispatchEvent(new CustomEvent(LINE, { detail: true }))
          void queries.invalidateQueries()
        })
        .catch(() => undefined)
    }, 4000)
    return () => clearInterval(timer)
  }, [there, queries])
  if (there) return null
  return (
    <p role="alert" className="bg-amber-pale border-amber mx-auto mt-2 max-w-7xl border-l-4 px-4 py-2">
      <strong>No line to Sallowbrook.</strong> What you see is as it was; figures and findings may be old.
      Looks, harvests, weights, stages, stakes and pictures are kept on this device and sent when the line is
      back; anything else is not saved until then.
    </p>
  )
}
