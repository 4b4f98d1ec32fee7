import { useState, type SyntheticEvent } from 'react'
import { errorAt } from '../api/client'

type Wrong<V> = { [K in keyof V]?: string | undefined }
type Texts<V> = { [K in keyof V]: V[K] extends string ? K : never }[keyof V]

/**
 * The fields of a form, each with what is wrong with it: what the form itself wants before it asks the server, once somebody
 * has tried, or what the server said.
 *
 * @param state of the values, so that the form says whether they are kept
 * @param wants what is wrong with each, in words; nothing where it may be sent
 */
export function useFields<V extends object>(
  [values, setValues]: readonly [V, (values: V) => void],
  wants: (values: V) => Wrong<V>,
  error: unknown,
) {
  const [tried, setTried] = useState(false)
  const [sent, setSent] = useState<V>()
  const wrong: Wrong<V> = tried ? wants(values) : {}
  const set = <K extends keyof V>(field: K, value: V[K]) => setValues({ ...values, [field]: value })
  // What the server said is of what was sent; whoever types something else is not told it any more.
  const wrongAt = (field: keyof V & string) =>
    wrong[field] ?? (sent === undefined || sent[field] === values[field] ? errorAt(error, field) : undefined)
  return {
    values,
    wrongAt,
    /** Several at once. */
    set: (some: Partial<V>) => setValues({ ...values, ...some }),
    /** For a field of text. */
    text: (field: Texts<V> & string) => ({
      value: values[field] as string,
      error: wrongAt(field),
      onChange: (e: { target: { value: string } }) => set(field, e.target.value as V[typeof field]),
    }),
    /** For whatever else is chosen. */
    chosen: <K extends keyof V & string>(field: K) => ({
      value: values[field],
      error: wrongAt(field),
      onChange: (value: V[K]) => set(field, value),
    }),
    /** Sends what is right; else it points at the first that is wrong, in the form or beside the button. */
    submit: (send: (values: V) => void) => (e: SyntheticEvent<HTMLElement>) => {
      e.preventDefault()
      setTried(true)
      if (Object.values(wants(values)).every((w) => w === undefined)) {
        setSent(values)
        send(values)
        return
      }
      const at = e.currentTarget instanceof HTMLFormElement ? e.currentTarget : e.currentTarget.parentElement
      requestAnimationFrame(() =>
        at?.querySelector<HTMLElement>('[aria-invalid="true"], [data-invalid]')?.focus(),
      )
    },
  }
}

/** What a field that must not be empty says. */
export const needed = (value: string, say: string) => (value.trim() === '' ? say : undefined)
