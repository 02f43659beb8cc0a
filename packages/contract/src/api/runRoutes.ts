import { z } from 'zod'
import * as bodies from './bodies'
import { byId, type Route } from './route'

/** Runs and their entries. */
export const runRoutes: Route[] = [
  {
    method: 'post',
    path: '/runs',
    summary: 'Starts a run; safe to repeat',
    body: bodies.newRunSchema,
    answer: bodies.runViewSchema,
    created: true,
    problems: [400, 409, 422],
  },
  {
    method: 'get',
    path: '/runs/{id}',
    summary: 'A run as a document, with its verdicts',
    params: byId,
    answer: bodies.runViewSchema,
    problems: [404],
  },
  {
    method: 'get',
    path: '/runs/{id}/readings.csv',
    summary: 'A run’s readings as CSV',
    params: byId,
    answer: z.string(),
    problems: [404],
  },
  {
    method: 'post',
    path: '/runs/{id}/entries',
    summary: 'Puts entries on the tape; safe to repeat',
    params: byId,
    body: bodies.entriesSchema,
    answer: bodies.keptSchema,
    problems: [400, 404, 409, 413, 422],
  },
]
