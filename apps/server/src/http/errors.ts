import type { Problem } from '@sure-spool/contract'
import type { ErrorRequestHandler, Request } from 'express'
import { isNativeError } from 'node:util/types'
import { databaseCode } from '../database/codes'
import { CalledOff } from '../heavy/watched'
import { ProblemError } from './problem'

/** A refused or lost connection, a server shutting down: the client keeps its entries and tries again. */
const away =
  /^(ECONN|ENOTFOUND|ETIMEDOUT|EPIPE|PROTOCOL_|ER_SERVER_SHUTDOWN|ER_CON_COUNT|ER_LOCK_|ER_QUERY_INTERRUPTED|ER_CONNECTION_KILLED|POOL_)/
const closed = /pool is closed|connection is in closed state|can't add new command/i

/** Turns whatever was thrown into problem details. Nothing of the inside leaks; what cannot be named is logged and a 500. */
export const errorHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) {
    next(error)
    return
  }
  const problem = problemOf(error)
  // what is left of a body that was refused is read away: else the answer waits behind it
  request.resume()
  if (problem.status >= 500) request.log?.error({ err: error }, problem.detail)
  const after = problem.retryAfter ?? (problem.status === 503 ? 2 : undefined)
  if (after !== undefined) response.setHeader('Retry-After', String(after))
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify(problemBody(problem, request)))
}

/** A problem as it is sent (RFC 9457). */
export const problemBody = (problem: ProblemError, request: Request): Problem => ({
  type: `/problems/${problem.kind}`,
  title: problem.title,
  status: problem.status,
  detail: problem.detail,
  instance: request.originalUrl,
  ...(problem.errors.length > 0 ? { errors: problem.errors } : {}),
})

/** What was thrown, as a problem that a person can act on. */
export function problemOf(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error
  if (error instanceof CalledOff)
    return new ProblemError(409, 'called-off', 'Nothing was kept: it was called off before it was done.')
  const type = error instanceof Error && 'type' in error ? error.type : undefined
  if (type === 'entity.too.large')
    return new ProblemError(
      413,
      'too-large',
      'Nothing was kept: the request is larger than the server takes. Send fewer entries at once.',
    )
  if (type === 'entity.parse.failed')
    return new ProblemError(
      400,
      'not-json',
      'Nothing was kept: the body is not JSON, it may have been cut off. Send it again.',
    )
  if (type === 'charset.unsupported' || type === 'encoding.unsupported')
    return new ProblemError(415, 'not-json', 'Nothing was kept: send JSON in UTF-8.')
  if (error instanceof URIError) return new ProblemError(400, 'not-valid', 'The address is not readable.')
  if (type === 'request.aborted' || type === 'request.size.invalid')
    return new ProblemError(400, 'cut-off', 'Nothing was kept: the request was cut off. Send it again.')
  const code = databaseCode(error) ?? ''
  if (away.test(code) || messagesOf(error).some((message) => closed.test(message)))
    return new ProblemError(
      503,
      'database-away',
      'The database does not answer. Nothing of this request was kept; keep it and send it again.',
    )
  if (code === 'ER_DUP_ENTRY')
    return new ProblemError(
      409,
      'conflict',
      'Nothing was kept: the same id, tag or revision is there already with another body.',
    )
  return new ProblemError(
    500,
    'inside',
    'The server made a mistake with this request. Nothing of it was kept; the log says more under the request id.',
  )
}

/** The messages of an error and of what caused it. */
function messagesOf(error: unknown): string[] {
  return isNativeError(error) ? [error.message, ...messagesOf(error.cause)] : []
}
