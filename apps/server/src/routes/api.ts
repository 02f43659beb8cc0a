import {
  exportQuerySchema,
  byQuerySchema,
  entriesSchema,
  instrumentBodySchema,
  movedUnitSchema,
  newRunSchema,
  newUnitSchema,
  pageSchema,
  personBodySchema,
  queueQuerySchema,
  settingsBodySchema,
  tagsBodySchema,
  type ShopView,
} from '@sure-spool/contract'
import { openApiDocument } from '@sure-spool/contract/openapi'
import type { Entry, Instrument } from '@sure-spool/core'
import express, { Router } from 'express'
import { inSnapshot, type Database } from '../database/connect'
import { belongsHere, sealIn } from '../http/comesIn'
import { answers, idOf, parse } from '../http/handle'
import { onDisk } from '../http/onDisk'
import { notFound } from '../http/problem'
import { bytesOf, follows, sendPieces } from '../http/streamed'
import { cardRoutes } from './cards'
import { doorRoutes, keyRoutes } from './door'
import { photoRoutes } from './photos'
import { rewindRoutes } from './rewinds'
import type { Served } from './served'
import { allPeople } from '../repositories/people'
import { allInstruments, readSettings } from '../repositories/shop'
import { listUnits } from '../repositories/units'
import { keepInstrument, keepPerson, keepSettings, retireInstrument } from '../services/keepShop'
import { working } from '../services/access'
import { madeBy, provenBy, theirs } from '../services/door/seal'
import { keepEntries } from '../services/keepEntries'
import { exportShop, exportShopLines } from '../services/exportShop'
import { moveTo, queue, startRun, takeIn, viewRun } from '../services/queue'
import { nextNumber, reserveTags } from '../services/reserveTags'
import { runsOfUnit } from '../services/unitRuns'
import { readingsCsv } from '../services/readingsCsv'

/** The API under /api/v1. What is mounted here stands in the contract's list of routes. */
export function apiRoutes({ database, heavy, version, house, backups }: Served): Router {
  const router = Router()
  let document: object | undefined
  const json = express.json({ limit: '512kb' })
  const wholeShop = express.raw({ type: 'application/json', limit: '64mb' })

  router.get('/openapi.json', (_request, response) => {
    // most of a second's work, which no start waits for
    response.json((document ??= openApiDocument(version)))
  })

  router.use('/door', doorRoutes({ database, house }))
  router.use(belongsHere)
  router.use('/shop', keyRoutes({ database, backups }))

  router.get(
    '/shop',
    answers(() => shopView(database)),
  )
  router.get(
    '/shop/export',
    answers(async (request, response) => {
      working('technician')
      const { form } = parse(exportQuerySchema, request.query)
      response.type(form === 'lines' ? 'application/x-ndjson' : 'application/json')
      const pieces = form === 'lines' ? exportShopLines : exportShop
      await inSnapshot(database, (queries) => sendPieces(response, pieces(queries)))
    }),
  )
  router.post(
    '/shop/import',
    wholeShop,
    follows((request, followed) => {
      const by = working('technician')
      if (request.is('application/x-ndjson') !== false)
        return onDisk(request, (file) => heavy.run('import-shop-lines', { file, by }, followed))
      return heavy.run('import-shop', { bytes: bytesOf(request), by }, followed)
    }),
  )

  router.post(
    '/shop/tags',
    json,
    answers(async (request, response) => {
      const { by } = await theirs(database, parse(tagsBodySchema, request.body))
      const block = await reserveTags(database, by)
      response.status(201)
      return block
    }),
  )
  router.put(
    '/shop/settings',
    json,
    answers(async (request) => {
      const { settings, by } = await theirs(database, parse(settingsBodySchema, request.body))
      await keepSettings(database, settings, by)
      return shopView(database)
    }),
  )
  router.put(
    '/shop/instruments/:id',
    json,
    answers(async (request) => {
      const { instrument, by } = await theirs(database, parse(instrumentBodySchema, request.body))
      await keepInstrument(database, String(request.params['id']), instrument as Instrument, by)
      return shopView(database)
    }),
  )
  router.delete(
    '/shop/instruments/:id',
    answers(async (request) => {
      const { by } = await theirs(database, parse(byQuerySchema, request.query))
      await retireInstrument(database, String(request.params['id']), by)
      return shopView(database)
    }),
  )
  router.put(
    '/shop/people/:id',
    json,
    answers(async (request) => {
      const { person, by } = await theirs(database, parse(personBodySchema, request.body))
      await keepPerson(database, idOf(request.params['id']), person, by)
      return shopView(database)
    }),
  )

  router.get(
    '/units',
    answers((request) => queue(database, parse(queueQuerySchema, request.query))),
  )
  router.post(
    '/units',
    json,
    answers(async (request, response) => {
      const body = parse(newUnitSchema, request.body)
      await madeBy(database, body.takenInBy, body, sealIn(request), 'takenInBy')
      const unit = await takeIn(database, body)
      response.status(201)
      return unit
    }),
  )
  router.get(
    '/units/:id',
    answers(async (request) => {
      const [unit] = await listUnits(database, { id: idOf(request.params['id']), limit: 1 })
      if (!unit) throw notFound('This unit')
      return unit
    }),
  )
  router.get(
    '/units/:id/runs',
    answers((request) => runsOfUnit(database, idOf(request.params['id']), parse(pageSchema, request.query))),
  )
  router.put(
    '/units/:id/place',
    json,
    answers(async (request) =>
      moveTo(database, idOf(request.params['id']), await theirs(database, parse(movedUnitSchema, request.body))),
    ),
  )

  router.use(rewindRoutes({ database }))
  router.use(photoRoutes({ database }))
  router.use('/cards', cardRoutes({ database, heavy }))

  router.post(
    '/runs',
    json,
    answers(async (request, response) => {
      const body = parse(newRunSchema, request.body)
      await madeBy(database, body.by, body, sealIn(request))
      const view = await startRun(database, body)
      response.status(201)
      return view
    }),
  )
  router.get(
    '/runs/:id',
    answers(async (request) => (await viewRun(database, idOf(request.params['id']))).view),
  )
  router.get(
    '/runs/:id/readings.csv',
    answers(async (request, response) => {
      const { run } = await viewRun(database, idOf(request.params['id']))
      const name = run.unit.tag.replace(/[^A-Za-z0-9-]/g, '_')
      response.type('text/csv').setHeader('Content-Disposition', `attachment; filename="${name}-readings.csv"`)
      response.send(readingsCsv(run))
    }),
  )
  router.post(
    '/runs/:id/entries',
    json,
    answers(async (request) => {
      const { entries: sent, seals, seconds } = parse(entriesSchema, request.body)
      const entries = sent as Entry[]
      const proofs = await provenBy(database, entries, seals, seconds)
      const now = new Date().toISOString()
      return keepEntries(database, idOf(request.params['id']), { entries, now, proofs })
    }),
  )
  return router
}

async function shopView(database: Database): Promise<ShopView> {
  const [settings, people, instruments] = await Promise.all([
    readSettings(database),
    allPeople(database),
    allInstruments(database),
  ])
  const next = await nextNumber(database, settings.tagPrefix)
  return { settings, people, instruments, nextTag: `${settings.tagPrefix}${String(next).padStart(4, '0')}` }
}
