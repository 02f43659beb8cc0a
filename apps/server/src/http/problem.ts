import type { PathProblem } from '@sure-spool/contract'

const titles: Record<number, string> = {
  400: 'The request cannot be read',
  401: 'Nobody is signed in',
  403: 'Not allowed',
  404: 'Not here',
  409: 'In conflict with what is kept',
  413: 'Too large',
  415: 'Not JSON',
  421: 'Not this server’s name',
  422: 'Cannot be kept as it is',
  429: 'Too many requests',
  503: 'The database is away',
  507: 'No room',
}

/** An error that a person can act on: what happened, what was kept, what to do. Sent as problem details (RFC 9457). */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly kind: string,
    readonly detail: string,
    readonly errors: PathProblem[] = [],
    /** seconds after which the same may be asked again */
    readonly retryAfter?: number,
  ) {
    super(detail)
  }

  get title(): string {
    return titles[this.status] ?? 'It went wrong'
  }
}

export const notFound = (what: string): ProblemError =>
  new ProblemError(
    404,
    'not-found',
    `${what} is not here. It may have been taken in on another server, or the address is mistyped.`,
  )
