import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
/** What a page itself says is never a trifle. */
export type Finding = Omit<Schemas['Finding'], 'trifle'> & { trifle?: boolean }
export type Range = Schemas['Range']

/** What the server says when it refuses: RFC 9457 with our own members. */
export interface Problem {
  status: number
  detail: string
  errors?: { field: string; message: string }[]
  findings?: Finding[]
  changedBy?: string
  version?: number
  current?: Record<string, unknown>
}

export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }
}

/** What the server found wrong with one field of a form. */
export const errorAt = (error: unknown, field: string) =>
  error instanceof ProblemError ? error.problem.errors?.find((e) => e.field === field)?.message : undefined

/** The findings a request was refused with; empty where it was not. */
export const refusedBy = (error: unknown): Finding[] =>
  error instanceof ProblemError ? (error.problem.findings ?? []) : []

/** Names the account that a page believes to speak for; what was meant for another is refused as by nobody (401). */
export const ACCOUNT = 'Sallowbrook-Account'
let account = ''
export const speakFor = (who: string) => {
  account = who
}

const xsrf: Middleware = {
  onRequest({ request }) {
    if (account && !request.headers.has(ACCOUNT)) request.headers.set(ACCOUNT, account)
    const token = document.cookie
      .split('; ')
      .find((c) => c.startsWith('XSRF-TOKEN='))
      ?.slice('XSRF-TOKEN='.length)
    if (token) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token))
    return request
  },
}

/** Where a body holds what is no number: JSON would send it as nothing, and nothing means "not known" or "no". */
function unreadable(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path]
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, v]) =>
    unreadable(v, Array.isArray(value) ? `${path}[${key}]` : path ? `${path}.${key}` : key),
  )
}

/** Stops at what can't be read, so that it is never saved as something else. */
export function serialize(body: unknown): string {
  const wrong = unreadable(body)
  if (wrong.length > 0) {
    throw new ProblemError({
      status: 400,
      detail: 'Nothing was saved: a figure can not be read.',
      errors: wrong.map((field) => ({ field, message: 'is missing, or is not a number' })),
    })
  }
  return JSON.stringify(body)
}

/** The session has ended: whoever shows the page asks to sign in over it, so that nothing typed is lost. */
export const SIGNED_OUT = 'sallowbrook:signed-out'

/** The line to the server broke, or is there again. */
export const LINE = 'sallowbrook:line'
const tell = (there: boolean) => dispatchEvent(new CustomEvent(LINE, { detail: there }))

/** A line that hangs is a line that is gone: so long an answer is waited for. Pictures and files go up slowly. */
const PATIENCE_MS = 15_000
const UPLOAD_PATIENCE_MS = 180_000
/** All records of a household with their pictures; whoever waits can stop it. */
const ARCHIVE_PATIENCE_MS = 3_600_000

const patienceOf = (request: Request) => {
  if (new URL(request.url).pathname.startsWith('/api/archive/')) return ARCHIVE_PATIENCE_MS
  const upload = request.headers.get('Content-Type')?.startsWith('multipart/') ?? false
  return upload ? UPLOAD_PATIENCE_MS : PATIENCE_MS
}

const timed = (request: Request) => {
  const patience = AbortSignal.timeout(patienceOf(request))
  return fetch(new Request(request, { signal: AbortSignal.any([request.signal, patience]) }))
}

export const api = createClient<paths>({ baseUrl: '', bodySerializer: serialize, fetch: timed })
api.use(xsrf)

async function stillKnown() {
  try {
    const session = (await (await fetch('/api/session')).json()) as Partial<Schemas['SessionView']>
    if (session.signedIn === false) dispatchEvent(new Event(SIGNED_OUT))
  } catch {
    tell(false)
  }
}

type Outcome<T> = { data?: T; error?: unknown; response: Response }

/** The data of a call, or a {@link ProblemError} with words a user can act on. */
export async function ask<T>(call: Promise<Outcome<T>>): Promise<T> {
  let outcome: Outcome<T>
  try {
    outcome = await call
  } catch (e) {
    if (e instanceof ProblemError || (e instanceof DOMException && e.name === 'AbortError')) throw e
    tell(false)
    throw new ProblemError({
      status: 0,
      detail: 'Sallowbrook does not answer. Nothing was saved; what you typed is still here. Try again.',
    })
  }
  tell(true)
  if (outcome.response.ok) return outcome.data as T
  const body = outcome.error as Partial<Problem> | undefined
  if (!location.pathname.startsWith('/sign-in')) {
    if (outcome.response.status === 401) dispatchEvent(new Event(SIGNED_OUT))
    // With its cookies gone a request is taken for a forged one: whoever is refused asks whether they are still known.
    if (outcome.response.status === 403) void stillKnown()
  }
  throw new ProblemError({
    ...body,
    status: outcome.response.status,
    detail: body?.detail ?? 'The server answered with an error it did not explain.',
  })
}

export const ifMatch = (version: number) => ({ 'If-Match': `"${version}"` })
