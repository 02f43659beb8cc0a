import { newRewindSchema, rewindEntriesSchema, rewindFileSchema } from '@sure-spool/contract'
import type { Rewind, RewindEntry } from '@sure-spool/core'
import express, { Router } from 'express'
import type { Served } from './served'
import { sealIn } from '../http/comesIn'
import { answers, idOf, parse } from '../http/handle'
import { madeBy, sealsOf, theirs } from '../services/door/seal'
import { takeRewindFile } from '../services/importRewinds'
import { listedRewinds } from '../services/listedRewinds'
import { keepRewindEntries, startRewind, viewRewind } from '../services/keepRewinds'

/** Rewinds: begun, looked at, gone on with; listed by unit and by model. */
export function rewindRoutes({ database }: Pick<Served, 'database'>): Router {
  const router = Router()
  const json = express.json({ limit: '512kb' })
  router.post(
    '/rewinds',
    json,
    answers(async (request, response) => {
      const body = parse(newRewindSchema, request.body)
      await madeBy(database, body.by, body, sealIn(request))
      const view = await startRewind(database, body)
      response.status(201)
      return view
    }),
  )
  router.get(
    '/rewinds/:id',
    answers((request) => viewRewind(database, idOf(request.params['id']))),
  )
  router.post(
    '/rewinds/:id/entries',
    json,
    answers(async (request) => {
      const { entries, seals } = parse(rewindEntriesSchema, request.body)
      const proofs = await sealsOf(database, entries, seals)
      return keepRewindEntries(
        database,
        idOf(request.params['id']),
        entries as RewindEntry[],
        new Date().toISOString(),
        proofs,
      )
    }),
  )
  router.put(
    '/rewinds/:id',
    express.json({ limit: '16mb' }),
    answers(async (request) => {
      const { rewind, photos, by } = await theirs(database, parse(rewindFileSchema, request.body))
      return takeRewindFile(database, idOf(request.params['id']), { rewind: rewind as Rewind, photos, by })
    }),
  )
  router.get(
    '/units/:id/rewinds',
    answers(async (request) => ({ rewinds: await listedRewinds(database, { unit: idOf(request.params['id']) }) })),
  )
  router.get(
    '/cards/:id/rewinds',
    answers(async (request) => ({ rewinds: await listedRewinds(database, { card: idOf(request.params['id']) }) })),
  )
  return router
}
