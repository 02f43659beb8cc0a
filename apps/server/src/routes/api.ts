import {
  cardQuerySchema,
  entriesSchema,
  movedUnitSchema,
  newRunSchema,
  newUnitSchema,
  queueQuerySchema,
  importSchema,
  uuidSchema,
  type CardList,
  type CardView,
  type ShopView,
} from '@sure-spool/contract'
import { openApiDocument } from '@sure-spool/contract/openapi'
import type { Entry } from '@sure-spool/core'
import express, { Router } from 'express'
import type { Database } from '../database/connect'
import { decodeCursor, encodeCursor } from '../http/cursor'
import { answers, parse } from '../http/handle'
import { notFound } from '../http/problem'
import { listCards, readRevision, recordOf, revisionsOf, type CardPage } from '../repositories/cards'
import { allInstruments, allPeople, readSettings } from '../repositories/shop'
import { lastTagNumber, listUnits } from '../repositories/units'
import { keepEntries } from '../services/keepEntries'
import { exportShop, importShop } from '../services/moveHouse'
import { moveTo, queue, startRun, takeIn, viewRun } from '../services/queue'
import { readingsCsv } from '../services/readingsCsv'

const mostStrokes = 5000

/** The API under /api/v1. What is mounted here stands in the contract's list of routes. */
export function apiRoutes(database: Database, version: string): Router {
  const router = Router()
  const document = openApiDocument(version)
  const json = express.json({ limit: '512kb' })
  const house = express.json({ limit: '64mb' })

  router.get('/openapi.json', (_request, response) => {
    response.json(document)
  })

  router.get(
    '/shop',
    answers(() => shopView(database)),
  )
  router.get(
    '/shop/export',
    answers(() => exportShop(database)),
  )
  router.post(
    '/shop/import',
    house,
    answers((request) => importShop(database, parse(importSchema, request.body))),
  )

  router.get(
    '/units',
    answers((request) => queue(database, parse(queueQuerySchema, request.query))),
  )
  router.post(
    '/units',
    json,
    answers(async (request, response) => {
      const unit = await takeIn(database, parse(newUnitSchema, request.body))
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
  router.put(
    '/units/:id/place',
    json,
    answers((request) => moveTo(database, idOf(request.params['id']), parse(movedUnitSchema, request.body))),
  )

  router.get(
    '/cards',
    answers((request) => cardList(database, parse(cardQuerySchema, request.query))),
  )
  router.get(
    '/cards/:id',
    answers((request) => cardView(database, idOf(request.params['id']))),
  )
  router.get(
    '/cards/:id/record',
    answers(async (request) => {
      const id = idOf(request.params['id'])
      if ((await revisionsOf(database, id)).length === 0) throw notFound('This card')
      return recordOf(database, id, mostStrokes)
    }),
  )

  router.post(
    '/runs',
    json,
    answers(async (request, response) => {
      const view = await startRun(database, parse(newRunSchema, request.body))
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
    answers((request) => {
      const { entries } = parse(entriesSchema, request.body)
      return keepEntries(database, idOf(request.params['id']), entries as Entry[], new Date().toISOString())
    }),
  )
  return router
}

const idOf = (value: unknown): string => {
  const result = uuidSchema.safeParse(value)
  if (!result.success) throw notFound('What this address names')
  return result.data
}

async function shopView(database: Database): Promise<ShopView> {
  const [settings, people, instruments] = await Promise.all([
    readSettings(database),
    allPeople(database),
    allInstruments(database),
  ])
  const next = (await lastTagNumber(database, settings.tagPrefix)) + 1
  return { settings, people, instruments, nextTag: `${settings.tagPrefix}${String(next).padStart(4, '0')}` }
}

async function cardList(
  database: Database,
  query: { find?: string | undefined; cursor?: string | undefined; limit: number },
): Promise<CardList> {
  const after =
    query.cursor === undefined
      ? undefined
      : decodeCursor<NonNullable<CardPage['after']>>(query.cursor, ['maker', 'model', 'id'])
  const rows = await listCards(database, { find: query.find, after, limit: query.limit + 1 })
  const cards = rows.slice(0, query.limit)
  const last = cards.at(-1)
  const more = rows.length > query.limit && last !== undefined
  return { cards, ...(more ? { next: encodeCursor({ maker: last.maker, model: last.model, id: last.id }) } : {}) }
}

async function cardView(database: Database, id: string): Promise<CardView> {
  const revisions = await revisionsOf(database, id)
  const newest = revisions.filter((one) => one.state === 'published').at(-1) ?? revisions.at(-1)
  const card = newest && (await readRevision(database, id, newest.revision))
  if (!card) throw notFound('This card')
  return { card, revisions }
}
