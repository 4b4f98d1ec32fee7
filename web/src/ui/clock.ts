/** The time by the server's clock, which in the demo is a calendar of its own, and the household's day. */
const KEPT = 'sallowbrook.clock'
let ahead = 0
let zone = 'UTC'
try {
  // Without a line the device goes on with what the server's clock showed last.
  const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as { ahead: number; zone: string } | null
  if (kept) ({ ahead, zone } = kept)
} catch {
  // Nothing readable: then the device's own clock.
}

/** Notes what the server's clock showed just now, and where the household counts its days. */
export function setNow(iso: string, householdZone?: string) {
  ahead = Date.parse(iso) - Date.now()
  zone = householdZone ?? zone
  try {
    localStorage.setItem(KEPT, JSON.stringify({ ahead, zone }))
  } catch {
    // A full or forbidden store: known as long as the page.
  }
}

export const householdZone = () => zone
export const now = () => new Date(Date.now() + ahead)
export const nowIso = () => now().toISOString()

/** The household's day, wherever the browser stands: 2026-07-15. */
export const isoToday = () => dayOf(now())

/** On which of the household's days a moment is. */
export function dayOf(moment: Date) {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).formatToParts(moment)
  const part = (type: string) => parts.find((p) => p.type === type)?.value ?? ''
  return `${part('year')}-${part('month')}-${part('day')}`
}
