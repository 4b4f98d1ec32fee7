import { useSyncExternalStore } from 'react'

const query = () => window.matchMedia('(max-width: 640px)')

/** Whether the page is as narrow as a phone's. */
export const useNarrow = () =>
  useSyncExternalStore(
    (changed) => {
      const media = query()
      media.addEventListener('change', changed)
      return () => media.removeEventListener('change', changed)
    },
    () => query().matches,
  )
