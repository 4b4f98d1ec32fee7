import { useState } from 'react'

/** As useState, and kept on this device: what belongs to its printer, not to a household. */
export function useOnDevice<T>(name: string, first: T) {
  const key = `sallowbrook.${name}`
  const [value, setValue] = useState<T>(() => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? 'null') ?? first
    } catch {
      return first
    }
  })
  const set = (next: T) => {
    setValue(next)
    try {
      localStorage.setItem(key, JSON.stringify(next))
    } catch {
      // A device that keeps nothing still prints.
    }
  }
  return [value, set] as const
}
