import {
  auditQuerySchema,
  awaySchema,
  firstRunSchema,
  joinSchema,
  secretsSchema,
  takeSeatSchema,
  type Audit,
  type Backups,
} from '@sure-spool/contract'
import express, { Router } from 'express'
import { here } from '../here'
import { giveToken, tokenOf } from '../http/comesIn'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { answers, idOf, parse } from '../http/handle'
import { auditPage } from '../repositories/audit'
import { needs } from '../services/access'
import { backupsIn } from '../services/backups'
import { atTheDoor, firstRun, joinBench, signInAway, type Joined } from '../services/door/comingIn'
import { benchList, changeSecrets, newJoinCode, takeBenchOff } from '../services/door/keys'
import { theirs } from '../services/door/seal'
import { atBench, endAllSeats, leaveSeat, seated, takeSeat } from '../services/door/seats'
import { notFound, ProblemError } from '../http/problem'
import type { Served } from './served'

const json = express.json({ limit: '16kb' })

/** What anybody may ask who comes to the door. */
export function doorRoutes({ database, house }: Pick<Served, 'database' | 'house'>): Router {
  const router = Router()
  const { secure, setupCode } = house.house === 'shut' ? house : { secure: false, setupCode: undefined }
  /** Whoever comes in that way gets the cookie with the answer; a bench keeps it. */
  const comeIn = <T>(way: (body: unknown) => Promise<Joined<T>>, stays: boolean) =>
    answers(async (request, response) => {
      const { token, answer } = await way(request.body)
      giveToken(response, secure, token, stays)
      response.status(201)
      return answer
    })

  /** Nobody signs in to an open house. */
  router.use((request, _response, next) => {
    next(house.house === 'open' && request.method !== 'GET' ? notFound('A door in an open house') : undefined)
  })
  router.get(
    '/',
    answers((request) => atTheDoor(database, tokenOf(request, secure))),
  )
  router.post(
    '/first',
    json,
    comeIn((body) => firstRun(database, parse(firstRunSchema, body), setupCode), true),
  )
  router.post(
    '/join',
    json,
    comeIn((body) => {
      const { code, name } = parse(joinSchema, body)
      return joinBench(database, code, name)
    }, true),
  )
  router.post(
    '/away',
    json,
    comeIn((body) => {
      const { name, password } = parse(awaySchema, body)
      return signInAway(database, name, password)
    }, false),
  )
  router.post(
    '/seats',
    json,
    answers(async (request, response) => {
      const { person, pin } = parse(takeSeatSchema, request.body)
      const { id, kind } = atBench(here())
      if (kind !== 'bench')
        throw new ProblemError(403, 'not-allowed', 'A PIN is for the benches of the shop. Sign in with your password.')
      response.status(201)
      return takeSeat(database, id, person, pin)
    }),
  )
  router.post(
    '/seats/end-all',
    answers(() => {
      const { person } = seated(here())
      return endAllSeats(database, person, person)
    }),
  )
  router.delete(
    '/seats/:id',
    answers((request) => leaveSeat(database, atBench(here()).id, idOf(request.params['id']))),
  )
  return router
}

/** What the owner sees and does about who comes in; and everybody about their own PIN. */
export function keyRoutes({ database, backups }: Pick<Served, 'database' | 'backups'>): Router {
  const router = Router()
  const owner = (): string => {
    const { person, access } = seated(here())
    needs(access, 'owner')
    return person
  }
  router.put(
    '/people/:id/secrets',
    json,
    answers(async (request) => {
      const body = parse(secretsSchema, request.body)
      if (here()?.open) throw notFound('A PIN in an open house')
      return changeSecrets(database, idOf(request.params['id']), await theirs(database, body))
    }),
  )
  router.post(
    '/benches/code',
    answers((_request, response) => {
      const by = owner()
      response.status(201)
      return newJoinCode(database, by)
    }),
  )
  router.get(
    '/benches',
    answers(() => {
      owner()
      return benchList(database)
    }),
  )
  router.delete(
    '/benches/:id',
    answers((request) => takeBenchOff(database, idOf(request.params['id']), owner())),
  )
  router.get(
    '/audit',
    answers(async (request): Promise<Audit> => {
      if (!here()?.open) owner()
      const { cursor, limit } = parse(auditQuerySchema, request.query)
      const lines = await auditPage(database, decodeCursor('audit', cursor)?.id, limit + 1)
      const page = lines.slice(0, limit)
      const last = page.at(-1)
      return { lines: page, ...(lines.length > limit && last ? { next: encodeCursor('audit', { id: last.id }) } : {}) }
    }),
  )
  router.get(
    '/backups',
    answers((): Promise<Backups> => {
      if (!here()?.open) owner()
      return backupsIn(backups)
    }),
  )
  return router
}
