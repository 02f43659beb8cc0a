import type { Request, RequestHandler } from 'express'
import { ProblemError } from './problem'

/** Names by which a server on this machine alone is reached. */
export const ownNames = ['localhost', '127.0.0.1', '[::1]'] as const

/** Whether a host name leads to this machine alone. */
export const isLoopback = (host: string): boolean =>
  (ownNames as readonly string[]).includes(host) || /^127(\.\d{1,3}){3}$|^::1$/.test(host)

const reads = new Set(['GET', 'HEAD', 'OPTIONS'])
const bodies = ['application/json', 'application/x-ndjson', 'text/csv']

/**
 * Answers only to the names it was given, and takes changes only from its own pages: another site open in the same browser can neither
 * write here nor, by a name that leads here, read (ASVS 4.0.3: 4.2.2, 13.2.3, 14.5.3). Programs that are no browser say no origin and
 * are let in.
 * @param names host names without ports, lower case
 * @throws ProblemError 421 for another name, 403 for a change from elsewhere, 415 for a body that is none of ours
 */
export function ownPagesOnly(names: readonly string[]): RequestHandler {
  const known = new Set(names)
  return (request, _response, next) => {
    const refusal = refusalOf(request, known)
    next(refusal ?? undefined)
  }
}

function refusalOf(request: Request, names: ReadonlySet<string>): ProblemError | null {
  const host = request.headers.host ?? ''
  const name = host.replace(/:\d+$/, '').toLowerCase()
  if (!names.has(name))
    return new ProblemError(
      421,
      'not-our-name',
      `This server does not answer to the name “${name.slice(0, 100)}”. Whoever runs it can add it to ALLOWED_HOSTS.`,
    )
  if (reads.has(request.method)) return null
  const site = request.headers['sec-fetch-site']
  const origin = request.headers.origin
  if (
    (site !== undefined && site !== 'same-origin' && site !== 'none') ||
    (origin !== undefined && hostOf(origin) !== host)
  )
    return new ProblemError(
      403,
      'from-elsewhere',
      'Nothing was kept: this came from a page that is not this shop’s own.',
    )
  // a browser says of nothing that it is nothing long
  const empty = request.is('*/*') === null || request.headers['content-length'] === '0'
  if (!empty && !request.is(bodies))
    return new ProblemError(
      415,
      'not-json',
      `Nothing was kept: send JSON, lines of JSON or CSV, not ${(request.headers['content-type'] ?? 'a body without a type').slice(0, 60)}.`,
    )
  return null
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host
  } catch {
    return undefined
  }
}
