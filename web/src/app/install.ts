import { registerSW } from 'virtual:pwa-register'

/** A newer version lies ready; it is taken when somebody says so, never under a form. */
export const NEWER = 'sallowbrook:newer'

let take: ((reload?: boolean) => Promise<void>) | undefined

/** Puts pages, type and drawings on the device, where the browser allows it. */
export function install() {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return
  take = registerSW({ immediate: false, onNeedRefresh: () => dispatchEvent(new Event(NEWER)) })
}

export const takeNewer = () => void take?.(true)
