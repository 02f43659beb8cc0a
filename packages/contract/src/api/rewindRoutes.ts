import * as bodies from './bodies'
import { byId, type Route } from './route'

/** Rewinds and their entries. */
export const rewindRoutes: Route[] = [
  {
    method: 'post',
    path: '/rewinds',
    summary: 'Begins a rewind; safe to repeat',
    body: bodies.newRewindSchema,
    answer: bodies.rewindViewSchema,
    created: true,
    problems: [400, 403, 409, 422],
  },
  {
    method: 'get',
    path: '/rewinds/{id}',
    summary: 'A rewind as a document',
    params: byId,
    answer: bodies.rewindViewSchema,
    problems: [404],
  },
  {
    method: 'post',
    path: '/rewinds/{id}/entries',
    summary: 'Puts entries on a rewind’s tape; safe to repeat',
    params: byId,
    body: bodies.rewindEntriesSchema,
    answer: bodies.rewindKeptSchema,
    problems: [400, 403, 404, 409, 413, 422],
  },
  {
    method: 'put',
    path: '/rewinds/{id}',
    summary: 'Takes a rewind’s own file in at its unit, as it was; safe to repeat',
    params: byId,
    body: bodies.rewindFileSchema,
    answer: bodies.rewindViewSchema,
    problems: [400, 403, 409, 413, 422],
  },
  {
    method: 'get',
    path: '/units/{id}/rewinds',
    summary: 'A unit’s rewinds, the newest first',
    params: byId,
    answer: bodies.rewindListSchema,
    problems: [],
  },
  {
    method: 'get',
    path: '/cards/{id}/rewinds',
    summary: 'What was rewound of a model, the newest first',
    params: byId,
    answer: bodies.rewindListSchema,
    problems: [],
  },
]
