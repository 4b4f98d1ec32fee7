import { useSyncExternalStore } from 'react'

/** What is carried from landing to landing; kept on this device. */
export interface TrayItem {
  kind: 'lot' | 'plant'
  id: string
  label: string
}

const KEY = 'sallowbrook.tray'
const MOST = 8
const listeners = new Set<() => void>()
let items: TrayItem[] = read()

function read(): TrayItem[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return Array.isArray(stored) ? (stored as TrayItem[]).filter((i) => i.id && i.label) : []
  } catch {
    return []
  }
}

function write(next: TrayItem[]) {
  items = next
  try {
    localStorage.setItem(KEY, JSON.stringify(next))
  } catch {
    // Private windows may refuse; the tray then lasts as long as the page.
  }
  listeners.forEach((l) => l())
}

export const tray = {
  put: (item: TrayItem) => write([item, ...items.filter((i) => i.id !== item.id)].slice(0, MOST)),
  drop: (id: string) => write(items.filter((i) => i.id !== id)),
  clear: () => write([]),
}

export function useTray() {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => items,
  )
}
