import {
  byQuerySchema,
  cardQuerySchema,
  idsQuerySchema,
  keepFiguresSchema,
  previewCardsSchema,
  publishSchema,
  recordQuerySchema,
  writtenCardSchema,
  type CardView,
} from '@sure-spool/contract'
import express, { Router } from 'express'
import { z } from 'zod'
import { inSnapshot, type Database, type Queries } from '../database/connect'
import { sealIn } from '../http/comesIn'
import { answers, idOf, parse } from '../http/handle'
import { notFound } from '../http/problem'
import { bytesOf, follows, sendPieces } from '../http/streamed'
import { publishedCards, publishedIds, readRevision, revisionsOf } from '../repositories/revisions'
import { working } from '../services/access'
import { madeBy, theirs } from '../services/door/seal'
import { figuresCsv } from '../services/figuresCsv'
import { jsonList } from '../services/jsonText'
import { findCards } from '../services/findCards'
import { previewCards } from '../services/importCards'
import { recordOfCard } from '../services/recordOfCard'
import { dropDraft, publishCard, writeCard } from '../services/writeCards'
import type { Served } from './served'

const revisionSchema = z.coerce.number().int().min(1).max(1_000_000)

/** The routes under /cards: finding, reading, writing, publishing, taking in and giving out. */
export function cardRoutes({ database, heavy }: Pick<Served, 'database' | 'heavy'>): Router {
  const router = Router()
  const json = express.json({ limit: '1mb' })
  const heads = express.json({ limit: '8mb' })
  const many = express.raw({ type: ['application/json', 'application/x-ndjson'], limit: '64mb' })
  const csv = express.raw({ type: 'text/csv', limit: '8mb' })
  const placeOf = (params: Record<string, unknown>) => {
    const revision = revisionSchema.safeParse(params['revision'])
    if (!revision.success) throw notFound('This revision')
    return { id: idOf(params['id']), revision: revision.data }
  }

  router.get(
    '/',
    answers((request) => findCards(database, parse(cardQuerySchema, request.query))),
  )
  router.get(
    '/export',
    answers(async (request, response) => {
      response.type('application/json').setHeader('Content-Disposition', 'attachment; filename="cards.json"')
      await inSnapshot(database, async (queries) =>
        sendPieces(response, cardsFile(queries, await chosen(queries, request.query))),
      )
    }),
  )
  router.get(
    '/figures.csv',
    answers(async (request, response) => {
      response.type('text/csv').setHeader('Content-Disposition', 'attachment; filename="figures.csv"')
      await inSnapshot(database, async (queries) =>
        sendPieces(response, figuresCsv(queries, await chosen(queries, request.query))),
      )
    }),
  )
  router.post(
    '/figures',
    csv,
    follows(async (request, followed) => {
      const { by } = await theirs(database, parse(byQuerySchema, request.query))
      return heavy.run('preview-figures', { bytes: bytesOf(request), by }, followed)
    }),
  )
  router.post(
    '/figures/:id/keep',
    json,
    follows(async (request, followed) => {
      const { by } = await theirs(database, parse(keepFiguresSchema, request.body))
      return heavy.run('keep-figures', { preview: idOf(request.params['id']), by }, followed)
    }),
  )
  router.post(
    '/preview',
    heads,
    answers(async (request) => previewCards(database, await theirs(database, parse(previewCardsSchema, request.body)))),
  )
  router.post(
    '/import',
    many,
    follows((request, followed) => {
      const lines = request.is('application/x-ndjson') !== false
      return heavy.run('import-cards', { bytes: bytesOf(request), lines, by: working('technician') }, followed)
    }),
  )
  router.get(
    '/:id',
    answers((request) => cardView(database, idOf(request.params['id']))),
  )
  router.get(
    '/:id/record',
    answers((request) => recordOfCard(database, idOf(request.params['id']), parse(recordQuerySchema, request.query))),
  )
  router.get(
    '/:id/revisions/:revision',
    answers(async (request) => {
      const { id, revision } = placeOf(request.params)
      const card = await readRevision(database, id, revision)
      if (!card) throw notFound('This revision')
      return card
    }),
  )
  router.put(
    '/:id/revisions/:revision',
    json,
    answers(async (request) => {
      const { id, revision } = placeOf(request.params)
      const body = parse(writtenCardSchema, request.body)
      await madeBy(database, body.by, body, sealIn(request))
      return writeCard(database, id, revision, body)
    }),
  )
  router.delete(
    '/:id/revisions/:revision',
    answers(async (request) => {
      const { id, revision } = placeOf(request.params)
      const { by } = await theirs(database, parse(byQuerySchema, request.query))
      return dropDraft(database, id, revision, by)
    }),
  )
  router.post(
    '/:id/revisions/:revision/publish',
    json,
    answers(async (request) => {
      const { id, revision } = placeOf(request.params)
      return publishCard(database, id, revision, await theirs(database, parse(publishSchema, request.body)))
    }),
  )
  return router
}

/** The ids that an export names, or those of all published cards. */
async function chosen(queries: Queries, query: unknown): Promise<string[]> {
  const { ids } = parse(idsQuerySchema, query)
  return ids === undefined ? publishedIds(queries) : ids.split(',')
}

const cardsAtOnce = 50

/** A file of cards, a piece of its text at a time. */
async function* cardsFile(queries: Queries, ids: string[]): AsyncGenerator<string> {
  const cards = async function* () {
    for (let from = 0; from < ids.length; from += cardsAtOnce)
      yield* await publishedCards(queries, ids.slice(from, from + cardsAtOnce))
  }
  yield '{"format":"sure-spool/cards","version":1,"cards":'
  yield* jsonList(cards())
  yield '}'
}

async function cardView(database: Database, id: string): Promise<CardView> {
  const revisions = await revisionsOf(database, id)
  const newest = revisions.filter((one) => one.state === 'published').at(-1) ?? revisions.at(-1)
  const card = newest && (await readRevision(database, id, newest.revision))
  if (!card) throw notFound('This card')
  return { card, revisions }
}
