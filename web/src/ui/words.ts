import { householdZone } from './clock'

/** Figures and days as they are read aloud. */

/** So many minutes as they are said: "20 minutes", "8 hours", "3 days". */
export function lasting(minutes: number) {
  return minutes < 120
    ? `${figure(minutes)} ${minutes === 1 ? 'minute' : 'minutes'}`
    : minutes < 48 * 60
      ? `${figure(minutes / 60)} hours`
      : `${figure(minutes / 60 / 24)} days`
}

export const figure = (value: number, digits = 3) => {
  if (!Number.isFinite(value)) return '?'
  const size = Math.abs(value)
  const places = size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : digits
  return String(Number(value.toFixed(places)))
}

export const range = (r: { low: number; high: number } | null | undefined, times = 1) => {
  if (!r) return '?'
  const low = figure(r.low * times)
  const high = figure(r.high * times)
  return low === high ? low : `${low} – ${high}`
}

/** The first letter large: for words, not for codes; those are in the dictionary. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

const dateFormat = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
})
export const date = (iso: string | null | undefined) =>
  iso ? dateFormat.format(new Date(`${iso.slice(0, 10)}T00:00:00Z`)) : 'no date'

const monthYearFormat = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' })
/** July 2026. */
export const monthYear = (iso: string) => monthYearFormat.format(new Date(`${iso}T00:00:00Z`))

const dayFormat = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })
/** Where the year is plain: 15 Jul. */
export const dayMonth = (iso: string | null | undefined) =>
  iso ? dayFormat.format(new Date(`${iso.slice(0, 10)}T00:00:00Z`)) : 'no date'

/** A moment where the household lives: 15 Jul 2026, 08:30. */
export const moment = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: householdZone(),
  }).format(new Date(iso))

const monthFormat = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' })
export const month = (n: number) => monthFormat.format(new Date(Date.UTC(2026, n - 1, 1)))

export const hours = (h: number) => {
  if (h < 1) return 'under an hour'
  if (h < 48) return `${Math.round(h)} h`
  return `${(h / 24).toFixed(1)} days`
}

/** So many days in the unit people would say. */
export const days = (n: number) =>
  n < 1 ? 'less than a day' : n < 15 ? `${n} ${n === 1 ? 'day' : 'days'}` : `about ${Math.floor(n / 7)} weeks`

/** How often, in words. */
export const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`)
