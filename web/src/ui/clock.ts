/** The time by the server's clock, which in the demo is a calendar of its own. */
let ahead = 0

/** Notes what the server's clock showed just now. */
export function setNow(iso: string) {
  ahead = Date.parse(iso) - Date.now()
}

export const now = () => new Date(Date.now() + ahead)
export const nowIso = () => now().toISOString()
