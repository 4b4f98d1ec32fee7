import Dexie, { type EntityTable } from 'dexie'
import type { Problem } from './client'

/**
 * What was done, as it lies on the device until the server has it. Written down before anything is said of it, sent in
 * order, each under the id it was made with, so that a second sending is the same record.
 */
export interface Entry {
  seq: number
  /** Whose account; nobody else sends it or sees it, and the server refuses it for another. */
  who: string
  /** Which command. */
  key: string
  /** Which version of the command laid it down; the first where nothing is said. */
  version?: number
  /** Plain data and blobs, as the store keeps them. */
  variables: unknown
  words: string
  at: string
  /** By how much the household's clock was ahead of the device's when it was written, milliseconds. */
  ahead?: number
  /** The device's clock was put right since; somebody says which time holds before it is sent. */
  otherwise?: string
  /** Why the server refused it; it waits then for somebody to put it right. */
  refused?: Problem
  back?: Back
}

/** The form it came from and what was in its fields, to go back to. */
export interface Back {
  path: string
  form: string
  fields: Record<string, unknown>
}

/** A database of its own for each account: what one wrote down or packed is not opened for another. */
type Store = Dexie & {
  outbox: EntityTable<Entry, 'seq'>
  /** What is read without a line. */
  pack: EntityTable<{ name: string; value: unknown }, 'name'>
}

export interface Device {
  who: string
  store: Store
}

const LAST = 'sallowbrook.account'
const nameOf = (who: string) => `sallowbrook ${who}`

function open(who: string): Device {
  const store = new Dexie(nameOf(who)) as Store
  store.version(1).stores({ outbox: '++seq', pack: 'name' })
  return { who, store }
}

let device: Device | undefined

/** Of whoever is signed in here, or was last; none where nobody ever was. */
export function thisDevice(): Device | undefined {
  if (!device) {
    const last = localStorage.getItem(LAST)
    if (last) device = open(last)
  }
  return device
}

/** From now on another's, or the same one's. */
export function deviceOf(who: string): Device {
  if (device?.who !== who) {
    device?.store.close()
    device = open(who)
    try {
      localStorage.setItem(LAST, who)
    } catch {
      // A full or forbidden store: known as long as the page.
    }
  }
  return device
}

/** Whoever signs out leaves nothing of their own on the device, and what is another's stays. */
export async function clearDevice() {
  localStorage.removeItem(LAST)
  const gone = device
  device = undefined
  try {
    await gone?.store.delete()
  } catch {
    // A browser that keeps nothing has nothing to clear.
  }
}

const BEFORE = 'sallowbrook'

/** Until version 1 of this page all accounts lay in one database: each one's entries go to its own. */
export async function divide() {
  try {
    if (!(await Dexie.exists(BEFORE))) return
    const old = new Dexie(BEFORE) as Store
    old.version(1).stores({ outbox: '++seq, who', pack: 'name' })
    const entries = await old.outbox.orderBy('seq').toArray()
    for (const who of new Set(entries.map((e) => e.who))) {
      const to = open(who)
      await to.store.outbox.bulkPut(entries.filter((e) => e.who === who))
      if (to.who !== device?.who) to.store.close()
    }
    await old.delete()
  } catch {
    // It lies where it lay, and is tried again when the page is next opened.
  }
}
