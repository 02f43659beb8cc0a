import { sentencesOf, uuidSchema } from '@sure-spool/contract'
import { keptAs, unkeptText } from '@sure-spool/core'
import type { Request, RequestHandler, Response } from 'express'
import type { z } from 'zod'
import { notFound, ProblemError } from './problem'

/**
 * Validates one part of a request; what does not fit is a 400 with every path and sentence.
 * @param at where the value stands in the whole, as `cards[3]`; the paths begin there
 */
export function parse<S extends z.ZodType>(schema: S, value: unknown, { at }: { at?: string } = {}): z.infer<S> {
  const result = schema.safeParse(value)
  if (result.success) return withoutUnkept(result.data, at)
  const problems = sentencesOf(result.error).map(({ path, detail }) => ({
    path: at === undefined ? path : path.startsWith('(') ? at : `${at}.${path}`,
    detail,
  }))
  const first = problems[0]
  throw new ProblemError(
    400,
    'not-valid',
    `Nothing was kept: ${first ? `${first.path} ${first.detail}` : 'the request does not fit its schema'}.`,
    problems,
  )
}

/** A text that the database would keep otherwise than it was sent is refused by its field. */
function withoutUnkept<T>(data: T, at = ''): T {
  const found = unkeptText(data, at)
  if (found === null) return data
  // a field may itself be named with such a sign
  const path = keptAs(found).slice(0, 200)
  const detail = 'holds a sign that cannot be kept: half a sign, or a control'
  throw new ProblemError(400, 'not-valid', `Nothing was kept: ${path} ${detail}.`, [{ path, detail }])
}

/** A route that answers with JSON; errors go to the one place that words them. */
export function answers(work: (request: Request, response: Response) => Promise<unknown>): RequestHandler {
  return (request, response, next) => {
    work(request, response)
      .then((body) => {
        if (!response.headersSent && body !== undefined) response.json(body)
      })
      .catch(next)
  }
}

/** An id in an address. @throws ProblemError 404 for what cannot be one */
export const idOf = (value: unknown): string => {
  const result = uuidSchema.safeParse(value)
  if (!result.success) throw notFound('What this address names')
  return result.data
}
