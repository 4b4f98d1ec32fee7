import { ACCOUNT, api, ask, LINE, ProblemError, SIGNED_OUT, type Problem } from './client'
import { deviceOf, thisDevice, type Back, type Device, type Entry } from './device'
import { laterBy } from './later'
import { upgraded, versionAfter, type Upgrade } from './versions'

export type { Back, Entry } from './device'

/** Under whose name it is sent. */
type As = Record<typeof ACCOUNT, string>

/** A figure or word of a command that can be put right where it is refused. */
export interface Field {
  /** Where it stands in the variables. */
  at: string[]
  label: string
  kind: 'number' | 'text' | 'date' | 'moment'
  unit?: string
}

/** A change that can wait for the line: how it is sent, and nothing of the page it was made on. */
export interface Command<V> {
  key: string
  version: number
  send: (variables: V, as: As) => Promise<unknown>
}

interface Known {
  upgrades: Upgrade[]
  send: (variables: unknown, as: As) => Promise<unknown>
  fields: Field[]
  /** Where the reasons for going on in spite of a warning stand; none where it takes none. */
  reasons?: string[] | undefined
}

const known = new Map<string, Known>()

/**
 * The same key always means the same command: an entry may be sent by a later version of the application. Where what is laid
 * down changes, an upgrade is added, and to acceptance/src/test/resources/notebook an entry of the new version.
 *
 * @param fields what can be put right in the notebook, where no form goes with it
 * @param upgrades of the first version to the second, of the second to the third, and so on
 */
export function command<V>(
  key: string,
  send: Command<V>['send'],
  {
    fields = [],
    reasons,
    upgrades = [],
  }: { fields?: Field[]; reasons?: string[]; upgrades?: Upgrade[] } = {},
): Command<V> {
  known.set(key, { send: (variables, as) => send(variables as V, as), fields, reasons, upgrades })
  return { key, version: versionAfter(upgrades), send }
}

/** As this version would have laid it down; undefined for what only a newer one knows. */
const asOfNow = (entry: Entry) => upgraded(entry, known.get(entry.key)?.upgrades ?? [])

export const fieldsOf = (entry: Entry) => known.get(entry.key)?.fields ?? []
export const reasonsOf = (entry: Entry) => known.get(entry.key)?.reasons

let clock = () => new Date().toISOString()

/** Whoever is signed in here, and what their household's clock shows. */
export function carriedBy(who: string, now: () => string) {
  deviceOf(who)
  clock = now
}

/** Something was laid down, sent or refused. */
export const CARRIED = 'sallowbrook:carried'
const tell = () => dispatchEvent(new Event(CARRIED))

/** There was no room on the device for something. */
export const FULL = 'sallowbrook:full'

export const mine = async () =>
  ((await thisDevice()?.store.outbox.orderBy('seq').toArray()) ?? []).map((e) => asOfNow(e) ?? e)

/** Not refused, but not heard either: the line, a server that is away, or a session that ended or is another's. */
export const waits = (error: unknown) =>
  error instanceof ProblemError && [0, 401, 408, 429, 502, 503, 504, 507].includes(error.problem.status)

const sendEntry = (entry: Entry) => {
  const command = known.get(entry.key)
  const now = asOfNow(entry)
  // Of a version that knows more than this one: it waits for that.
  return command && now
    ? command.send(now.variables, { [ACCOUNT]: entry.who })
    : Promise.reject(new ProblemError({ status: 503, detail: entry.key }))
}

/** One tab sends at a time. */
const alone = async (who: string, work: () => Promise<void>) => {
  if ('locks' in navigator) await navigator.locks.request(`sallowbrook-outbox ${who}`, work)
  else await work()
}

export type Carried = { sent: true } | { sent: false }

/** A page waits so long for the server; after that it lies in the notebook, whatever becomes of it. */
const PATIENCE_MS = 4_000

/**
 * Lays it down, then sends it after all that lies there before it. Throws what the server says against it, and then keeps
 * nothing of it: the form is still open. What came out of the notebook to be put right stays there until it is accepted.
 */
export async function carry<V>(
  { key, version, send }: Command<V>,
  variables: V,
  words: string,
  back?: Back,
): Promise<Carried> {
  const here = thisDevice()
  if (!here) throw new ProblemError({ status: 401, detail: 'Nobody is signed in. Sign in, and save again.' })
  const { who, store } = here
  const laid = {
    who,
    key,
    version,
    variables,
    words,
    at: clock(),
    ahead: Date.parse(clock()) - Date.now(),
    ...(back ? { back } : {}),
  }
  let seq: number
  let before: Entry | undefined
  try {
    before = await ofTheSame(here, key, back)
    if (before) {
      seq = before.seq
      await store.outbox.put({ ...laid, seq })
    } else seq = await store.outbox.add(laid)
  } catch {
    return atOnce(send(variables, { [ACCOUNT]: who }))
  }
  let left = false
  const outcome = flush(seq, () => left)
  const patience = new Promise<'hangs'>((done) => setTimeout(() => done('hangs'), PATIENCE_MS))
  const first = await Promise.race([outcome, patience])
  if (first === 'hangs') {
    left = true
    dispatchEvent(new CustomEvent(LINE, { detail: false }))
    return { sent: false }
  }
  if (first) {
    if (before) await store.outbox.update(seq, { refused: problemOf(first) })
    else await store.outbox.delete(seq)
    tell()
    throw first
  }
  return { sent: (await store.outbox.get(seq)) === undefined }
}

/** What lies here refused and was taken back to its form, which is now saved again. */
async function ofTheSame({ store }: Device, key: string, back: Back | undefined) {
  if (!back) return undefined
  const all = await store.outbox.toArray()
  return all.find((e) => e.refused && e.key === key && e.back?.fields.id === back.fields.id)
}

/** No room on the device, or a browser that keeps nothing: then it goes at once or not at all. */
async function atOnce(sending: Promise<unknown>): Promise<Carried> {
  try {
    await sending
    return { sent: true }
  } catch (error) {
    if (!waits(error)) throw error
    dispatchEvent(new Event(FULL))
    throw new ProblemError({
      status: 507,
      detail:
        'This device is full: without a line nothing more can be kept on it. Nothing was saved. Make room on the' +
        ' device, or leave this page open and save again when the line is back.',
    })
  }
}

/**
 * Whether the server knows this browser as whoever wrote it down: nothing goes under another's name, or without one. Gives
 * by how much its clock is ahead of the device's.
 */
async function isCarrier(who: string): Promise<{ ahead: number } | undefined> {
  try {
    const s = await ask(api.GET('/api/session'))
    if (s.signedIn && s.account === who) return { ahead: Date.parse(s.now) - Date.now() }
    dispatchEvent(new Event(SIGNED_OUT))
  } catch {
    // No line.
  }
  return undefined
}

/** A clock put right by less than this is a clock that runs a little off. */
const CLOCK_MS = 10 * 60_000

/** What the server said against the entry asked for; undefined where it was sent or still waits. */
async function flush(asked?: number, left: () => boolean = () => false): Promise<Error | undefined> {
  const here = thisDevice()
  if (!here) return undefined
  const { outbox } = here.store
  let against: Error | undefined
  await alone(here.who, async () => {
    const waiting = async () =>
      (await outbox.orderBy('seq').toArray()).filter((e) => !e.refused && !e.otherwise)
    const first = await waiting()
    const carrier = first.length > 0 ? await isCarrier(here.who) : undefined
    if (!carrier) return
    for (const { seq } of first) {
      // As it lies there now: another tab, or a sign-out, may have taken it.
      const entry = thisDevice() === here ? await outbox.get(seq) : undefined
      if (!entry || entry.refused) continue
      const late = carrier.ahead - (entry.ahead ?? carrier.ahead)
      if (Math.abs(late) > CLOCK_MS) {
        await outbox.update(seq, { otherwise: new Date(Date.parse(entry.at) + late).toISOString() })
        continue
      }
      try {
        await sendEntry(entry)
        await outbox.delete(seq)
      } catch (error) {
        if (waits(error)) break
        if (seq === asked && !left()) against = error as Error
        else await outbox.update(seq, { refused: problemOf(error) })
      }
    }
  }).catch(() => undefined)
  tell()
  return against
}

const problemOf = (error: unknown): Problem =>
  error instanceof ProblemError
    ? error.problem
    : { status: 0, detail: error instanceof Error ? error.message : 'It could not be sent.' }

/** Sends what waits, in order; stops where the line breaks. */
export const sendAll = () => flush().then(() => undefined)

async function change(seq: number, how: (e: Entry) => void) {
  await thisDevice()?.store.outbox.where('seq').equals(seq).modify(how)
  await sendAll()
}

/** Once more: as it was, for what it depended on may be there now, or with what was put right. */
export const again = (seq: number, variables?: unknown) =>
  change(seq, (e) => {
    delete e.refused
    if (variables === undefined) return
    const now = asOfNow(e)
    if (now?.version !== undefined) e.version = now.version
    e.variables = variables
  })

/** When it was: as the device had it, or as its clock would have shown had it been right. */
export const settleClock = (seq: number, asWritten: boolean, dayOf: (moment: Date) => string) =>
  change(seq, (e) => {
    if (e.otherwise && !asWritten) {
      const by = Date.parse(e.otherwise) - Date.parse(e.at)
      e.variables = laterBy(e.variables, e.at, by, dayOf)
      if (e.back) e.back = { ...e.back, fields: laterBy(e.back.fields, e.at, by, dayOf) }
      e.at = e.otherwise
    }
    delete e.otherwise
    delete e.ahead
  })

export async function drop(seq: number) {
  await thisDevice()?.store.outbox.delete(seq)
  tell()
}

export async function readPack(name: string): Promise<unknown> {
  try {
    return (await thisDevice()?.store.pack.get(name))?.value
  } catch {
    return undefined
  }
}

/** @returns whether there was room for it */
export async function writePack(name: string, value: unknown): Promise<boolean> {
  try {
    await thisDevice()?.store.pack.put({ name, value })
    return thisDevice() !== undefined
  } catch {
    return false
  }
}

/** What was packed, not what waits to be sent. */
export async function forgetPack(): Promise<void> {
  try {
    await thisDevice()?.store.pack.clear()
  } catch {
    // What can't be cleared is not opened either.
  }
}

/** So that the device does not throw away what was not sent yet, where the browser lets us ask. */
export const askToKeep = () => void navigator.storage?.persist?.().catch(() => undefined)
