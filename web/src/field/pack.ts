import { forgetAll } from '../ui/kept'
import type { Topic } from '../ui/command'
import { dehydrate, hydrate, type DehydratedState, type QueryClient } from '@tanstack/react-query'
import { clearDevice, thisDevice } from '../api/device'
import { forgetPack, readPack, writePack } from '../api/outbox'
import { fetchCards } from '../herbarium/queries'
import { fetchOrder } from '../identification/queries'
import { fetchNotesAlong } from '../notes/queries'
import { nowIso } from '../ui/clock'
import { fetchField } from './queries'

/** What a pack was made by; an older one is not read. */
const MADE_BY = __CONTRACT__

/** What lasts on the device, by the first word of its key: for walking without a line, and nothing of people or doses. */
const LASTING: Record<string, Topic[]> = {
  cards: ['taxon', 'taxa', 'characters', 'order'],
  field: ['session', 'stands', 'season', 'schools', 'tags', 'ground', 'walk', 'unweighed', 'pieces'],
  rack: ['runs', 'waiting', 'racks'],
}
/** Of the notes only what is about stands: others may be about people. */
const NOTES_ALONG = ['of-stands', 'STAND']
const groupOf = ([topic, which]: readonly [Topic, ...unknown[]]) =>
  topic === 'notes' && NOTES_ALONG.some((along) => along === which)
    ? 'field'
    : Object.keys(LASTING).find((group) => LASTING[group]?.includes(topic))

const PAUSE_MS = 500

const further: ((queries: QueryClient) => Promise<unknown>)[] = []

/** What a later room wants to have along. */
export const alsoPack = (fetch: (queries: QueryClient) => Promise<unknown>) => void further.push(fetch)

/** That nobody is signed in is no news to keep: it would stand in the way of whoever signs in next. */
const worthKeeping = (key: readonly unknown[], data: unknown) =>
  key[0] !== 'session' || (data as { signedIn?: boolean } | undefined)?.signedIn === true

/** Reads what lies on the device into the cache, and writes there what changes of it. */
export async function unpack(queries: QueryClient) {
  readFor = thisDevice()?.who
  for (const topic of Object.values(LASTING).flat()) queries.setQueryDefaults([topic], { gcTime: Infinity })
  for (const along of NOTES_ALONG) queries.setQueryDefaults(['notes', along], { gcTime: Infinity })
  for (const group of Object.keys(LASTING)) {
    const kept = await packed(group)
    if (kept) hydrate(queries, kept)
  }
  const timers: Record<string, ReturnType<typeof setTimeout> | undefined> = {}
  queries.getQueryCache().subscribe((event) => {
    const group = groupOf(event.query.queryKey)
    if (!group || !installed() || event.type !== 'updated' || event.action.type !== 'success') return
    // Soon after the first change, not after the last: where changes follow each other it would never be written.
    timers[group] ??= setTimeout(() => {
      timers[group] = undefined
      void write(queries, group)
    }, PAUSE_MS)
  })
}

/** Whose things are in the cache: what was read for one is never laid into the pack of another. */
let readFor: string | undefined

async function write(queries: QueryClient, group: string): Promise<boolean> {
  const who = thisDevice()?.who
  readFor ??= who
  if (who === undefined || who !== readFor) return false
  // A session that has ended leaves the one before in the pack: without it no page opens where there is no line.
  const ended = group === 'field' && !worthKeeping(['session'], queries.getQueryData(['session']))
  const lastSession = ended
    ? ((await packed(group))?.queries ?? []).filter((q) => q.queryKey[0] === 'session')
    : []
  if (thisDevice()?.who !== who) return false
  const state = dehydrate(queries, {
    // What could not be asked for again is as good as it was: a line that breaks takes nothing out of the pack.
    shouldDehydrateQuery: (q) =>
      q.state.data !== undefined && groupOf(q.queryKey) === group && worthKeeping(q.queryKey, q.state.data),
  })
  for (const query of state.queries) {
    query.state = {
      ...query.state,
      status: 'success',
      error: null,
      fetchFailureCount: 0,
      fetchFailureReason: null,
    }
  }
  state.queries.push(...lastSession)
  return writePack(group, { madeBy: MADE_BY, at: await heardAt(queries, group), state })
}

/** When the server last said that whoever is here is signed in; what is done without a line does not make it later. */
async function heardAt(queries: QueryClient, group: string): Promise<number> {
  const session = queries.getQueryState(['session'])
  if (session?.data !== undefined && worthKeeping(['session'], session.data)) return session.dataUpdatedAt
  return ((await readPack(group)) as { at?: number } | undefined)?.at ?? 0
}

/** After so long without a word from the server it opens no more: a lost phone is shut in the end without its help. */
export const OPENS_DAYS = 30
const OPENS_MS = OPENS_DAYS * 86_400_000

async function packed(group: string): Promise<DehydratedState | undefined> {
  const kept = (await readPack(group)) as { madeBy: string; at: number; state: DehydratedState } | undefined
  if (kept && Date.now() - kept.at > OPENS_MS) {
    await forgetPack()
    return undefined
  }
  return kept?.madeBy === MADE_BY ? kept.state : undefined
}

/** Whether pages open here without a line; else there is nothing to pack for. */
export const installed = () => Boolean(navigator.serviceWorker?.controller)

export interface Packed {
  at: string
  /** By which version of the pages; what another packed is not read. */
  madeBy: string
  stands: number
  cards: number
  /** Whether the device had room for all of it. */
  kept: boolean
}

/** Of each account by itself: what another packed is not fresh for anybody else. */
const packedKey = () => `sallowbrook.packed ${thisDevice()?.who ?? ''}`
/** Something was packed just now. */
export const PACKED_NOW = 'sallowbrook:packed'
const FRESH_MS = 6 * 3_600_000

/** What was packed last, if anything. */
export function packedOn(): Packed | null {
  try {
    const packed = JSON.parse(localStorage.getItem(packedKey()) ?? 'null') as Packed | null
    return packed?.madeBy === MADE_BY ? packed : null
  } catch {
    return null
  }
}

/** Fetches all that a walk may ask for. */
export async function packNow(queries: QueryClient): Promise<Packed> {
  const region = (queries.getQueryData(['session']) as { region?: string } | undefined)?.region
  const [cards, stands] = await Promise.all([
    fetchCards(queries),
    fetchField(queries),
    fetchNotesAlong(queries),
    region ? fetchOrder(queries, region) : undefined,
    ...further.map((fetch) => fetch(queries)),
  ])
  const kept = (await Promise.all(Object.keys(LASTING).map((group) => write(queries, group)))).every(Boolean)
  const packed = { at: nowIso(), madeBy: MADE_BY, stands, cards, kept }
  localStorage.setItem(packedKey(), JSON.stringify(packed))
  dispatchEvent(new Event(PACKED_NOW))
  return packed
}

/** Unasked, where pages open without a line and it is some hours old. */
export async function packQuietly(queries: QueryClient) {
  const last = packedOn()
  const old = !last || Math.abs(Date.parse(nowIso()) - Date.parse(last.at)) > FRESH_MS
  if (installed() && old) await packNow(queries).catch(() => undefined)
}

/** Whoever signs out leaves nothing of theirs here; what is another's stays for them. */
export async function leave(queries: QueryClient) {
  queries.clear()
  forgetAll()
  localStorage.removeItem(packedKey())
  await clearDevice()
  location.assign('/sign-in')
}
