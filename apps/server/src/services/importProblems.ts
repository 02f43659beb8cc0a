import { ProblemError } from '../http/problem'

/** What a shop's file cannot bring: a reference to what is nowhere, or another than what is here. */
export const missing = (path: string, what: string) =>
  new ProblemError(
    422,
    'refused',
    `Nothing was taken in: ${path} names ${what} that is neither in this file nor in this shop.`,
    [{ path, detail: `names ${what} that is not there` }],
  )

export const conflict = (path: string, detail: string) =>
  new ProblemError(409, 'conflict', `Nothing was taken in: ${path} ${detail}.`, [{ path, detail }])
