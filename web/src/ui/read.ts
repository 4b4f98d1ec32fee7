/** What people type, read; what can be read in two ways is not read. */

/** 1,500 is one and a half to some and fifteen hundred to others: not read until it is written otherwise. */
const AMBIGUOUS = /^\s*[1-9]\d{0,2}[.,]\d{3}\s*$/

const DECIMAL = /^\s*[-−]?(\d+([.,]\d*)?|[.,]\d+)\s*$/

/** NaN for what is no number; never sent (see `serialize`). */
export const number = (text: string) =>
  !DECIMAL.test(text) || AMBIGUOUS.test(text) ? NaN : Number(text.replace(',', '.').replace('−', '-'))

/** A number as typed, undefined when empty. A percent sign is left out. */
export const numberOf = (text: string) =>
  text.trim() === '' ? undefined : number(text.replace(/\s*%\s*$/, ''))

/** Of a position: three digits behind the point are no thousands here, 2.513 is a longitude. NaN for what is no number. */
export const degreesOf = (text: string) =>
  text.trim() === '' ? undefined : DECIMAL.test(text) ? Number(text.replace(',', '.').replace('−', '-')) : NaN

/** "0.7 to 0.85" or "0.7-0.85", or one figure for both ends; undefined when empty. */
export const rangeOf = (text: string) => {
  if (text.trim() === '') return undefined
  const ends = text.trim().split(/\s*(?:\bto\b|[-–])\s*/)
  const low = number(ends[0] ?? '')
  return { low, high: ends.length === 1 ? low : ends.length === 2 ? number(ends[1] ?? '') : NaN }
}

export const listOf = (text: string) =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean)
