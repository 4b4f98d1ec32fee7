import { useEffect, useState } from 'react'

const PREFIX = 'sallowbrook.draft.'

export const draftKey = (form: string, field: string) => `${form} ${field}`

export function read<T>(key: string, first: T): T {
  try {
    const text = sessionStorage.getItem(PREFIX + key)
    return text === null ? first : (JSON.parse(text) as T)
  } catch {
    return first
  }
}

export function write(key: string, value: unknown) {
  try {
    sessionStorage.setItem(PREFIX + key, JSON.stringify(value))
  } catch {
    // A full or forbidden store: then it is kept as long as the page.
  }
}

/** As useState, and still there after going back, a reload, or a page left by mistake, until it is saved. */
export function useKept<T>(form: string, field: string, first: T) {
  const key = draftKey(form, field)
  const [value, setValue] = useState(() => read(key, first))
  useEffect(() => write(key, value), [key, value])
  return [value, setValue] as const
}

/** It is saved: nothing of it is offered again. */
export const forget = (form: string) => drop(`${PREFIX}${form} `)

/** Whoever signs in next has looked at nothing yet. */
export const forgetAll = () => drop(PREFIX)

function drop(prefix: string) {
  for (const key of Object.keys(sessionStorage)) {
    if (key.startsWith(prefix)) sessionStorage.removeItem(key)
  }
}
