import type { RequestHandler } from 'express'
import { rateLimit, type Options } from 'express-rate-limit'
import { here } from '../here'
import { ProblemError } from './problem'

const windowMs = 60_000

function limited(whom: string, options: Partial<Options>): RequestHandler {
  const sentence = `Too many requests from this ${whom}. Nothing was lost; the bench sends it again by itself in a minute.`
  return rateLimit({
    windowMs,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _response, next) => {
      next(new ProblemError(429, 'too-many', sentence))
    },
    ...options,
  })
}

/** So many requests a minute from one address. */
export const limitedByAddress = (limit: number): RequestHandler => limited('address', { limit, identifier: 'address' })

/** So many a minute from one person, whichever bench they sit at; of nobody nothing is counted. */
export const limitedByPerson = (limit: number): RequestHandler =>
  limited('person', {
    limit,
    identifier: 'person',
    skip: () => here()?.seat === undefined,
    keyGenerator: () => here()?.seat?.person ?? '',
  })
