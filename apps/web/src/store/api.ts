import type { Problem } from '@sure-spool/contract'

/** The server did not answer, or not in a way that says the request was wrong: what was to be sent waits. */
export class Away extends Error {}

/** The server refused with a sentence. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.detail)
  }
}

/** Statuses that mean that the very same request will never be taken. */
const final = new Set([400, 409, 413, 422])

/** Asks the API for JSON. @throws Away or Refused; a 404 is a Refused too, though outgoing entries count it as away. */
export async function ask<T>(path: string, init?: Sent): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api/v1${path}`, { ...(init ? sent(init) : {}), signal: AbortSignal.timeout(waits(init)) })
  } catch (error) {
    throw new Away(error instanceof Error ? error.message : String(error))
  }
  if (response.ok) return (await response.json()) as T
  const problem = await response.json().then(
    (body: Problem) => body,
    () => undefined,
  )
  if (problem && (final.has(response.status) || response.status === 404)) throw new Refused(response.status, problem)
  throw new Away(problem?.detail ?? `The server answered ${response.status}.`)
}

/** What goes with a request: JSON, or a file as it is under its own type. */
export interface Sent {
  method: 'POST' | 'PUT' | 'DELETE'
  body?: unknown
  file?: { bytes: ArrayBuffer; type: string }
}

function sent({ method, body, file }: Sent): RequestInit {
  if (file) return { method, body: file.bytes, headers: { 'Content-Type': file.type } }
  if (body === undefined) return { method }
  return { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }
}

/** A file of cards takes the server longer than a reading. */
const waits = (init?: Sent): number => (init?.file || init?.method === 'POST' ? 60_000 : 15_000)

/** Whether a refusal is for good: the item is set aside, the rest goes on. */
export const isFinal = (error: unknown): error is Refused => error instanceof Refused && final.has(error.status)
