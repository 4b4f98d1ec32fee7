import { useEffect, useState } from 'react'
import { CARRIED, mine, type Entry } from '../api/outbox'

/** What lies on this device and is not with the server yet; follows what another tab does, too. */
export function useNotebook() {
  const [entries, setEntries] = useState<Entry[]>([])
  useEffect(() => {
    const read = () => void mine().then(setEntries, () => undefined)
    read()
    // Another tab tells nothing; a look now and again is enough.
    const timer = setInterval(read, 3000)
    addEventListener(CARRIED, read)
    return () => {
      clearInterval(timer)
      removeEventListener(CARRIED, read)
    }
  }, [])
  return entries
}
