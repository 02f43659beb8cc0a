import { z } from 'zod'
import { cardSchema } from '../formats'
import * as bodies from './bodies'
import { byId, byRevision, type Route } from './route'

/** Cards and their revisions. */
export const cardRoutes: Route[] = [
  {
    method: 'get',
    path: '/cards',
    summary: 'Cards, by words or by what was measured',
    query: bodies.cardQuerySchema,
    answer: bodies.cardListSchema,
    problems: [400],
  },
  {
    method: 'get',
    path: '/cards/{id}',
    summary: 'A card’s newest published revision',
    params: byId,
    answer: z.object({
      card: cardSchema,
      revisions: z.array(bodies.revisionRowSchema),
    }),
    problems: [404],
  },
  {
    method: 'get',
    path: '/cards/{id}/record',
    summary: 'What was read on units of a card, a page of closed runs at a time',
    params: byId,
    query: bodies.recordQuerySchema,
    answer: bodies.cardRecordSchema,
    problems: [400, 404],
  },
  {
    method: 'get',
    path: '/cards/{id}/revisions/{revision}',
    summary: 'One revision of a card',
    params: byRevision,
    answer: cardSchema,
    problems: [404],
  },
  {
    method: 'put',
    path: '/cards/{id}/revisions/{revision}',
    summary: 'Keeps a draft or a sketch; safe to repeat',
    params: byRevision,
    body: bodies.writtenCardSchema,
    answer: bodies.writtenSchema,
    problems: [400, 404, 409, 422],
  },
  {
    method: 'delete',
    path: '/cards/{id}/revisions/{revision}',
    summary: 'Throws a draft away',
    params: byRevision,
    query: bodies.byQuerySchema,
    answer: z.object({ dropped: z.literal(true) }),
    problems: [400, 404, 409, 422],
  },
  {
    method: 'post',
    path: '/cards/{id}/revisions/{revision}/publish',
    summary: 'Publishes a draft: it never changes from then on',
    params: byRevision,
    body: bodies.publishSchema,
    answer: bodies.writtenSchema,
    problems: [400, 404, 409, 422],
  },
]
