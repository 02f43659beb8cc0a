import type { Problem, Seal } from '@sure-spool/contract'
import { hearClock } from './clock'
import { currentSeat } from './seats'
import { hearBuild } from './version'

/** The server did not answer, or not in a way that says the request was wrong: what was to be sent waits. */
export class Away extends Error {
  constructor(
    message: string,
    /** how long the server asked to be left alone, milliseconds; 0 where it said nothing */
    readonly retryAfterMs = 0,
  ) {
    super(message)
  }
}

/** The server refused with a sentence. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.detail)
  }
}

/** Why something cannot be shown that this browser has no copy of, in a sentence. */
export const whyMissing = (error: unknown, what: 'run' | 'rewind'): string =>
  error instanceof Refused
    ? error.message
    : `The server does not answer, and this ${what} was never opened on this browser.`

/** Nobody sits at this bench, or it is none: what was to be sent waits, and whoever comes signs in. */
export class Unseated extends Away {}

let unseated: () => void = () => undefined
/** Who is told when the server says that nobody sits here. */
export const onUnseated = (tell: () => void): void => void (unseated = tell)

/** Statuses that mean that the very same request will never be taken; 404 where the server itself says so, in a problem. */
const final = new Set([400, 403, 404, 409, 410, 413, 415, 422])

/**
 * Asks the API for JSON.
 * @param signal calls the question off; it then counts as not answered
 * @throws Away or Refused; a 404 is a Refused where the server itself says that it is not here
 */
export async function ask<T>(path: string, init?: Sent, signal?: AbortSignal): Promise<T> {
  const limit = AbortSignal.timeout(waits(init))
  const response = await request(path, init, { signal: signal ? AbortSignal.any([signal, limit]) : limit })
  return (await response.json()) as T
}

/**
 * Sends a request to the API.
 * @returns an answer that is not a problem
 * @throws Away or Refused
 */
export async function request(
  path: string,
  init: Sent | undefined,
  { signal, headers = {} }: { signal: AbortSignal; headers?: Record<string, string> },
): Promise<Response> {
  const { headers: own, ...rest } = init ? sent(init) : { headers: {} }
  let response: Response
  const askedAt = Date.now()
  try {
    const seat = currentSeat()
    const from: Record<string, string> = seat ? { 'Sure-Spool-Seat': seat.id } : {}
    response = await fetch(`/api/v1${path}`, { ...rest, headers: { ...own, ...from, ...headers }, signal })
  } catch (error) {
    throw new Away(error instanceof Error ? error.message : String(error))
  }
  hearClock(response.headers.get('Date'), askedAt, Date.now())
  hearBuild(response.headers.get('Sure-Spool-Build'))
  if (response.ok) return response
  const problem = await response.json().then(
    (body: Problem) => body,
    () => undefined,
  )
  if (response.status === 401 && problem) {
    unseated()
    throw new Unseated(problem.detail)
  }
  if (problem && final.has(response.status)) throw new Refused(response.status, problem)
  throw new Away(problem?.detail ?? `The server answered ${response.status}.`, retryAfter(response))
}

/** The server's own word on when to ask again (RFC 9110, Retry-After): in seconds, or a date; a minute at most. */
function retryAfter({ headers }: Response): number {
  const said = headers.get('Retry-After')
  if (said === null) return 0
  const ms = /^\d+$/.test(said) ? Number(said) * 1000 : Date.parse(said) - Date.now()
  return Number.isFinite(ms) ? Math.min(60_000, Math.max(0, ms)) : 0
}

/** What goes with a request: JSON, or a file as it is under its own type. */
export interface Sent {
  method: 'POST' | 'PUT' | 'DELETE'
  body?: unknown
  /** binds the body to who made it, also when they have gone */
  seal?: Seal | undefined
  file?: { bytes: Blob | Uint8Array<ArrayBuffer>; type: string }
}

function sent({ method, body, seal, file }: Sent): Omit<RequestInit, 'headers'> & { headers?: Record<string, string> } {
  if (file) return { method, body: file.bytes, headers: { 'Content-Type': file.type } }
  if (body === undefined) return { method }
  const bound: Record<string, string> = seal ? { 'Sure-Spool-Seal': `${seal.seat}.${seal.mac}` } : {}
  return { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json', ...bound } }
}

/** A file of cards takes the server longer than a reading. */
const waits = (init?: Sent): number => (init?.file || init?.method === 'POST' ? 60_000 : 15_000)

/** Whether a refusal is for good: the item is set aside, the rest goes on. */
export const isFinal = (error: unknown): error is Refused => error instanceof Refused && final.has(error.status)
