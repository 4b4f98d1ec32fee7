import Dexie, { type EntityTable } from 'dexie'
import { api, ask, ProblemError, SIGNED_OUT, type Problem } from './client'

/**
 * What was done, as it lies on the device until the server has it. Written down before anything is said of it, sent in
 * order, each under the id it was made with, so that a second sending is the same record.
 */
export interface Entry {
  seq: number
  /** Whose account; nobody else sends it or sees it. */
  who: string
  /** Which command. */
  key: string
  /** Plain data and blobs, as the store keeps them. */
  variables: unknown
  words: string
  at: string
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

/** A change that can wait for the line: how it is sent, and nothing of the page it was made on. */
export interface Command<V> {
  key: string
  send: (variables: V) => Promise<unknown>
}

const store = new Dexie('sallowbrook') as Dexie & {
  outbox: EntityTable<Entry, 'seq'>
  /** What is read without a line. */
  pack: EntityTable<{ name: string; value: unknown }, 'name'>
}
store.version(1).stores({ outbox: '++seq, who', pack: 'name' })

const known = new Map<string, (variables: unknown) => Promise<unknown>>()

/** The same key always means the same command: an entry may be sent by a later version of the application. */
export function command<V>(key: string, send: (variables: V) => Promise<unknown>): Command<V> {
  known.set(key, (variables) => send(variables as V))
  return { key, send }
}

let carrier = ''
let clock = () => new Date().toISOString()

/** Whoever is signed in here, and what their household's clock shows. */
export function carriedBy(who: string, now: () => string) {
  carrier = who
  clock = now
}

/** Something was laid down, sent or refused. */
export const CARRIED = 'sallowbrook:carried'
const tell = () => dispatchEvent(new Event(CARRIED))

export const mine = () => store.outbox.where('who').equals(carrier).sortBy('seq')

/** Not refused, but not heard either: the line, a server that is away, or a session that ended. */
export const waits = (error: unknown) =>
  error instanceof ProblemError && [0, 401, 408, 429, 502, 503, 504, 507].includes(error.problem.status)

const sendEntry = (e: Entry) => {
  const send = known.get(e.key)
  // Of a version that knows more than this one: it waits for that.
  return send ? send(e.variables) : Promise.reject(new ProblemError({ status: 503, detail: e.key }))
}

/** One tab sends at a time. */
const alone = async (work: () => Promise<void>) => {
  if ('locks' in navigator) await navigator.locks.request('sallowbrook-outbox', work)
  else await work()
}

export type Carried = { sent: true } | { sent: false }

/**
 * Lays it down, then sends it after all that lies there before it. Throws what the server says against it, and then keeps
 * nothing of it: the form is still open.
 */
export async function carry<V>(
  { key, send }: Command<V>,
  variables: V,
  words: string,
  back?: Back,
): Promise<Carried> {
  let seq: number
  try {
    seq = await store.outbox.add({
      who: carrier,
      key,
      variables,
      words,
      at: clock(),
      ...(back ? { back } : {}),
    })
  } catch {
    // No room on the device, or a browser that keeps nothing: then it goes at once or not at all.
    await send(variables)
    return { sent: true }
  }
  const outcome = await flush(seq)
  if (outcome) {
    await store.outbox.delete(seq)
    tell()
    throw outcome
  }
  return { sent: (await store.outbox.get(seq)) === undefined }
}

/** Whether the server knows this browser as whoever wrote it down: nothing goes under another's name, or without one. */
async function isCarrier() {
  try {
    const s = await ask(api.GET('/api/session'))
    if (s.signedIn && s.account === carrier) return true
    if (!s.signedIn) dispatchEvent(new Event(SIGNED_OUT))
  } catch {
    // No line.
  }
  return false
}

/** What the server said against the entry asked for; undefined where it was sent or still waits. */
async function flush(asked?: number): Promise<Error | undefined> {
  let against: Error | undefined
  await alone(async () => {
    const entries = (await mine()).filter((e) => !e.refused)
    if (entries.length === 0 || !(await isCarrier())) return
    for (const entry of entries) {
      try {
        await sendEntry(entry)
        await store.outbox.delete(entry.seq)
      } catch (error) {
        if (waits(error)) break
        if (entry.seq === asked) against = error as Error
        else await store.outbox.update(entry.seq, { refused: problemOf(error) })
      }
    }
  })
  tell()
  return against
}

const problemOf = (error: unknown): Problem =>
  error instanceof ProblemError
    ? error.problem
    : { status: 0, detail: error instanceof Error ? error.message : 'It could not be sent.' }

/** Sends what waits, in order; stops where the line breaks. */
export const sendAll = () => flush().then(() => undefined)

/** Once more, as it was: what it depended on may be there now. */
export async function again(seq: number) {
  await store.outbox
    .where('seq')
    .equals(seq)
    .modify((e) => {
      delete e.refused
    })
  await sendAll()
}

export async function drop(seq: number) {
  await store.outbox.delete(seq)
  tell()
}

/** Whoever signs out leaves nothing of the household on the device. */
export async function clearDevice() {
  try {
    await store.outbox.clear()
    await store.pack.clear()
  } catch {
    // A browser that keeps nothing has nothing to clear.
  }
}

export async function readPack(name: string): Promise<unknown> {
  try {
    return (await store.pack.get(name))?.value
  } catch {
    return undefined
  }
}

/** @returns whether there was room for it */
export async function writePack(name: string, value: unknown): Promise<boolean> {
  try {
    await store.pack.put({ name, value })
    return true
  } catch {
    return false
  }
}

/** So that the device does not throw away what was not sent yet, where the browser lets us ask. */
export const askToKeep = () => void navigator.storage?.persist?.().catch(() => undefined)
