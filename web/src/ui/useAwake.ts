import { useEffect } from 'react'

/** The screen stays on while a page is open that is read from afar; where a browser can't, it goes dark as ever. */
export function useAwake(on: boolean) {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | undefined
    let over = false
    const ask = async () => {
      if (document.visibilityState !== 'visible') return
      try {
        const given = await navigator.wakeLock.request('screen')
        if (over) await given.release()
        else lock = given
      } catch {
        // Refused, for a battery that is nearly empty: nothing to tell anybody.
      }
    }
    // It ends when the page is hidden; whoever comes back to it wants it again.
    document.addEventListener('visibilitychange', ask)
    void ask()
    return () => {
      over = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [on])
}
