import { sealSchema, uuidSchema, type Seal } from '@sure-spool/contract'
import { parseCookie } from 'cookie'
import type { CookieOptions, Request, RequestHandler, Response } from 'express'
import type { Database } from '../database/connect'
import { here, servedFrom, type Here } from '../here'
import { needs } from '../services/access'
import { seated, whoIsThere } from '../services/door/seats'
import { parse } from './handle'

/** How people come in: an open house signs nobody in and is for a demo on its own machine; a shut one asks everybody. */
export type House = { house: 'open' } | { house: 'shut'; secure: boolean; setupCode?: string | undefined }

const yearMs = 400 * 86_400_000

/** A name that only this very host can have set, where the connection is safe (RFC 6265bis, 4.1.3). */
const cookieName = (secure: boolean): string => (secure ? '__Host-spool' : 'spool')

const cookieRules = (secure: boolean): CookieOptions => ({ httpOnly: true, sameSite: 'strict', path: '/', secure })

/** The token in a request's cookie. */
export const tokenOf = (request: Request, secure: boolean): string | undefined =>
  parseCookie(request.headers.cookie ?? '')[cookieName(secure)]

/** Gives the browser its token; a bench keeps it, a browser away from the shop until it is closed. */
export function giveToken(response: Response, secure: boolean, token: string, stays: boolean): void {
  response.cookie(cookieName(secure), token, { ...cookieRules(secure), ...(stays ? { maxAge: yearMs } : {}) })
}

/** Knows of every request where it comes from. */
export function comesIn(database: Database, house: House): RequestHandler {
  return (request, _response, next) => {
    const address = request.ip ?? ''
    if (house.house === 'open') {
      servedFrom({ open: true, address }, next)
      return
    }
    const named = uuidSchema.safeParse(request.headers['sure-spool-seat'] ?? seatCookie(request))
    whoIsThere(database, tokenOf(request, house.secure), named.success ? named.data : undefined)
      .then((who) => servedFrom({ open: false, address, ...who } satisfies Here, next))
      .catch(next)
  }
}

/** The seat in a cookie, for files that a browser saves without a script: it reads, and changes nothing. */
const seatCookie = (request: Request): string | undefined =>
  reads.has(request.method) ? parseCookie(request.headers.cookie ?? '')['spool-seat'] : undefined

/** What a bench may send when nobody sits there any more: each carries the seal of who made it. */
const sealed = [
  ['POST', /^\/units$/],
  ['POST', /^\/runs$/],
  ['POST', /^\/runs\/[^/]+\/entries$/],
  ['POST', /^\/rewinds$/],
  ['POST', /^\/rewinds\/[^/]+\/entries$/],
  ['POST', /^\/photos$/],
  ['PUT', /^\/cards\/[^/]+\/revisions\/[^/]+$/],
] as const

const reads = new Set(['GET', 'HEAD'])

/**
 * Lets nobody past who does not belong here: everything takes a seat, what changes something more than reading; but what was made in a
 * seat and sealed there may come when the seat is over.
 */
export const belongsHere: RequestHandler = (request, _response, next) => {
  const from = here()
  if (from?.open) return void next()
  try {
    const comesLater = sealed.some(([method, path]) => method === request.method && path.test(request.path))
    if (from?.bench && comesLater) return void next()
    const { access } = seated(from)
    if (!reads.has(request.method)) needs(access, 'learner')
    next()
  } catch (error) {
    next(error)
  }
}

/** The seal that goes with a request's body, in a header of its own: `seat.mac`. */
export function sealIn(request: Request): Seal | undefined {
  const given = request.headers['sure-spool-seal']
  if (typeof given !== 'string') return undefined
  const [seat, mac] = given.split('.')
  return parse(sealSchema, { seat, mac }, { at: 'Sure-Spool-Seal' })
}
