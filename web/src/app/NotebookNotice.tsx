import { useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { LINE } from '../api/client'
import { askToKeep, carriedBy, mine, sendAll } from '../api/outbox'
import { packQuietly } from '../field/pack'
// What lies on the device is sent from any page, so all that can lie there is known on every page.
import '../drying/commands'
import '../field/commands'
import '../notes/commands'
import { nowIso } from '../ui/clock'
import { useNotebook } from '../ui/notebook'
import { NEWER, takeNewer } from './install'

const TRY_MS = 20_000

/** Sends what waits on the device as soon as it can, and says how much does. */
export function NotebookNotice({ who }: { who: string }) {
  const queries = useQueryClient()
  const [newer, setNewer] = useState(false)
  useEffect(() => {
    carriedBy(who, nowIso)
    askToKeep()
    const send = async () => {
      if ((await mine().catch(() => [])).some((e) => !e.refused)) {
        await sendAll()
        await queries.invalidateQueries()
      }
    }
    const onLine = (e: Event) => {
      if (!(e instanceof CustomEvent) || e.detail === true) void send()
    }
    const onNewer = () => setNewer(true)
    void send()
    void packQuietly(queries)
    const timer = setInterval(() => void send(), TRY_MS)
    addEventListener(LINE, onLine)
    addEventListener('online', onLine)
    addEventListener(NEWER, onNewer)
    return () => {
      clearInterval(timer)
      removeEventListener(LINE, onLine)
      removeEventListener('online', onLine)
      removeEventListener(NEWER, onNewer)
    }
  }, [who, queries])
  const entries = useNotebook()
  const refused = entries.filter((e) => e.refused).length
  if (entries.length === 0 && !newer) return null
  return (
    <p
      role="status"
      className="bg-water-pale border-water mx-auto mt-2 flex max-w-7xl flex-wrap gap-x-3 border-l-4 px-4 py-1"
    >
      {entries.length > 0 && (
        <Link to="/field/notebook" className="min-h-6 font-semibold underline">
          {entries.length === 1 ? 'One thing' : `${entries.length} things`} in the notebook, not sent yet
          {refused > 0 && `, ${refused} refused`}
        </Link>
      )}
      {newer && (
        <button type="button" className="min-h-6 underline" onClick={takeNewer}>
          A newer Sallowbrook is here: take it now
        </button>
      )}
    </p>
  )
}
