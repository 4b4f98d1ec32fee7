import type { Schemas } from '../api/client'

export type Kitchen = NonNullable<Schemas['AmountTextRequest']['kitchen']>

const KEY = 'sallowbrook.kitchen'
const ALL: Kitchen[] = ['METRIC', 'US', 'IMPERIAL']

/** Whose cups and spoons are meant in this browser. */
export function kitchen(): Kitchen {
  const kept = localStorage.getItem(KEY)
  return ALL.find((k) => k === kept) ?? 'METRIC'
}

export function setKitchen(value: Kitchen) {
  localStorage.setItem(KEY, value)
}
