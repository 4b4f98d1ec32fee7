import { date, moment } from '../ui/words'

/** What an entry of the notebook holds, as plain data: read, changed at one place, and written out in words. */

type Tree = Record<string, unknown>

export const at = (value: unknown, path: string[]): unknown =>
  path.reduce<unknown>((v, key) => (v as Tree | undefined)?.[key], value)

export const put = (value: unknown, [key, ...rest]: string[], to: unknown): unknown =>
  key === undefined ? to : { ...(value as Tree), [key]: put((value as Tree | undefined)?.[key], rest, to) }

/** Names of what is written down, where the word of the data is not the word of the form. */
const WORDS: Record<string, string> = {
  massG: 'weight, g',
  mass: 'weight, g',
  measured: 'how much, by eye',
  measuredAs: 'how much, by eye',
  on: 'day',
  at: 'when',
  takenOn: 'taken on',
  ofPlants: 'of the plants, %',
  perPlant: 'taken of each plant, %',
  left: 'left standing',
  days: 'come back in, days',
  tells: 'looked at again',
  singly: 'every piece examined singly',
  plants: 'plants counted',
  pickedByOthers: 'picked by others',
  stake: 'mark on the stake',
  place: 'where it stands',
}

/** Ids and switches of the page say nothing to whoever reads them. */
const isId = (key: string) => /^id$|Id$|^acknowledged$|^unweighed$/.test(key)

const DAY = /^\d{4}-\d\d-\d\d$/
const word = (text: string) =>
  DAY.test(text)
    ? date(text)
    : /^\d{4}-\d\d-\d\dT/.test(text)
      ? moment(text)
      : /^[A-Z][A-Z_]+$/.test(text)
        ? text.toLowerCase().replaceAll('_', ' ')
        : text

/** A line for each thing that was said; what was left empty is left out. */
export function linesOf(value: unknown): string[] {
  if (value === null || typeof value !== 'object' || value instanceof Blob) return []
  return Object.entries(value as Tree).flatMap(([key, v]) => {
    if (isId(key) || v === '' || v === null || v === undefined || v === false) return []
    const name = WORDS[key] ?? key
    if (Array.isArray(v)) {
      return v.flatMap((x) =>
        typeof x === 'string' || typeof x === 'number'
          ? [`${name}: ${word(String(x))}`]
          : [linesOf(x).join(', ')],
      )
    }
    if (typeof v === 'object') return linesOf(v)
    return [v === true ? name : `${name}: ${word(String(v as string | number))}`]
  })
}
