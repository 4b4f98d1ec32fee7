import { useEffect, useState, type Dispatch, type SetStateAction } from 'react'
import { useLocation } from 'react-router'
import { v7 } from 'uuid'

const PREFIX = 'sallowbrook.draft.'
const ID = 'id'

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
export function useKept<T>(form: string, field: string, first: T | (() => T)) {
  const key = draftKey(form, field)
  const [initial] = useState(first)
  const begun = JSON.stringify(initial)
  const [value, setValue] = useState(() => read(key, initial))
  useEffect(() => {
    if (JSON.stringify(value) === begun) sessionStorage.removeItem(PREFIX + key)
    else write(key, value)
  }, [key, value, begun])
  return [value, setValue] as const
}

/** Where in the address it stands which form of the notebook is opened. */
export const OF_NOTEBOOK = 'notebook'

/** What the fields of a form are kept under that is opened out of the notebook: as it was when it was written down. */
export function useFormOfNotebook() {
  const [form] = useState(() => new URLSearchParams(location.search).get(OF_NOTEBOOK))
  return form ?? undefined
}

/**
 * What a field held when the form was laid into the notebook, where it is opened out of it. Else what is given: what was begun
 * yesterday says nothing of today.
 */
export function useOfNotebook(form: string) {
  const opened = useFormOfNotebook() === form
  return <T>(field: string, first: T): T => (opened ? read(draftKey(form, field), first) : first)
}

/** What the page at this address keeps its fields under: a bench opened for another jar is another form. */
export function useHere() {
  const { pathname, search } = useLocation()
  const [here] = useState(pathname + search)
  return here
}

/** As useState, kept under this page's address; see {@link useKept}. */
export function useTyped<T>(field: string): readonly [T | undefined, Dispatch<SetStateAction<T | undefined>>]
export function useTyped<T>(field: string, first: T | (() => T)): readonly [T, Dispatch<SetStateAction<T>>]
export function useTyped<T>(field: string, first?: T | (() => T)) {
  return useKept<T | undefined>(useHere(), field, first)
}

/** The id that a form will be saved under: the same after a reload, so that what was sent already is not sent as another. */
export function useKeptId(form: string, own?: string) {
  const key = draftKey(form, ID)
  const [id] = useState(() => own ?? read(key, v7()))
  useEffect(() => write(key, id), [key, id])
  return id
}

/** Whether something was typed here before and not saved; what is in the fields is then not what is kept. */
export function useUnsaved(form: string) {
  const [found] = useState(() =>
    Object.keys(sessionStorage).some((k) => k.startsWith(`${PREFIX}${form} `) && !k.endsWith(` ${ID}`)),
  )
  return found
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
