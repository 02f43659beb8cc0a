import {
  byQuerySchema,
  cardQuerySchema,
  figuresQuerySchema,
  idsQuerySchema,
  importCardsSchema,
  publishSchema,
  writtenCardSchema,
  type CardView,
} from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import express, { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/connect'
import { answers, idOf, parse } from '../http/handle'
import { notFound } from '../http/problem'
import { publishedCards, readRevision, recordOf, revisionsOf } from '../repositories/cards'
import { figuresCsv, takeFigures, textOf } from '../services/figuresCsv'
import { findCards } from '../services/findCards'
import { importCards } from '../services/importCards'
import { dropDraft, publishCard, writeCard } from '../services/writeCards'

const mostStrokes = 5000
const revisionSchema = z.coerce.number().int().min(1).max(1_000_000)

/** The routes under /cards: finding, reading, writing, publishing, taking in and giving out. */
export function cardRoutes(database: Database): Router {
  const router = Router()
  const json = express.json({ limit: '1mb' })
  const many = express.json({ limit: '64mb' })
  const csv = express.raw({ type: ['text/csv', 'text/plain'], limit: '8mb' })
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
      const cards = await chosen(database, request.query)
      response.setHeader('Content-Disposition', 'attachment; filename="cards.json"')
      return { format: 'sure-spool/cards', version: 1, cards }
    }),
  )
  router.get(
    '/figures.csv',
    answers(async (request, response) => {
      const text = figuresCsv(await chosen(database, request.query))
      response.type('text/csv').setHeader('Content-Disposition', 'attachment; filename="figures.csv"')
      response.send(text)
    }),
  )
  router.post(
    '/figures',
    csv,
    answers(async (request) => {
      const { by, keep } = parse(figuresQuerySchema, request.query)
      const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
      return takeFigures(database, textOf(bytes), { by, keep: keep === 'true' })
    }),
  )
  router.post(
    '/import',
    many,
    answers((request) => {
      const { cards, ...rest } = parse(importCardsSchema, request.body)
      return importCards(database, { ...rest, cards: cards as Card[] })
    }),
  )
  router.get(
    '/:id',
    answers((request) => cardView(database, idOf(request.params['id']))),
  )
  router.get(
    '/:id/record',
    answers(async (request) => {
      const id = idOf(request.params['id'])
      if ((await revisionsOf(database, id)).length === 0) throw notFound('This card')
      return recordOf(database, id, mostStrokes)
    }),
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
    answers((request) => {
      const { id, revision } = placeOf(request.params)
      return writeCard(database, id, revision, parse(writtenCardSchema, request.body))
    }),
  )
  router.delete(
    '/:id/revisions/:revision',
    answers((request) => {
      const { id, revision } = placeOf(request.params)
      const { by } = parse(byQuerySchema, request.query)
      return dropDraft(database, id, revision, by)
    }),
  )
  router.post(
    '/:id/revisions/:revision/publish',
    json,
    answers((request) => {
      const { id, revision } = placeOf(request.params)
      return publishCard(database, id, revision, parse(publishSchema, request.body))
    }),
  )
  return router
}

/** The cards an export names, or all published ones. */
async function chosen(database: Database, query: unknown): Promise<Card[]> {
  const { ids } = parse(idsQuerySchema, query)
  return publishedCards(database, ids?.split(',').map(idOf))
}

async function cardView(database: Database, id: string): Promise<CardView> {
  const revisions = await revisionsOf(database, id)
  const newest = revisions.filter((one) => one.state === 'published').at(-1) ?? revisions.at(-1)
  const card = newest && (await readRevision(database, id, newest.revision))
  if (!card) throw notFound('This card')
  return { card, revisions }
}
