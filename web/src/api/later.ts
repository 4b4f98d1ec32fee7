const DATES = ['on', 'takenOn', 'at', 'returnOn']

/**
 * The same with the times in it moved: moments by so many milliseconds, and days that were "today" when it was written to the
 * day it was then. A day somebody chose from before is a day of the calendar and stays.
 *
 * @param dayOf the household's day of a moment
 */
export function laterBy<T>(value: T, writtenAt: string, by: number, dayOf: (moment: Date) => string): T {
  const was = dayOf(new Date(writtenAt))
  const is = dayOf(new Date(Date.parse(writtenAt) + by))
  const moved = (v: unknown, key: string): unknown => {
    if (v instanceof Blob || v === null) return v
    if (Array.isArray(v)) return v.map((x) => moved(x, ''))
    if (typeof v === 'object') return Object.fromEntries(Object.entries(v).map(([k, x]) => [k, moved(x, k)]))
    if (typeof v !== 'string' || !DATES.includes(key)) return v
    if (v === was) return is
    return v.includes('T') && !Number.isNaN(Date.parse(v)) ? new Date(Date.parse(v) + by).toISOString() : v
  }
  return moved(value, '') as T
}
