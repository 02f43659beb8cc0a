import { unitSchema } from '../formats'
import * as bodies from './bodies'
import { byId, type Route } from './route'

/** Units and the queue. */
export const unitRoutes: Route[] = [
  {
    method: 'get',
    path: '/units',
    summary: 'The queue',
    query: bodies.queueQuerySchema,
    answer: bodies.queueSchema,
    problems: [400],
  },
  {
    method: 'post',
    path: '/units',
    summary: 'Takes a unit in; safe to repeat',
    body: bodies.newUnitSchema,
    answer: unitSchema,
    created: true,
    problems: [400, 409, 422],
  },
  {
    method: 'get',
    path: '/units/{id}',
    summary: 'One unit with its runs',
    params: byId,
    answer: bodies.queueUnitSchema,
    problems: [404],
  },
  {
    method: 'get',
    path: '/units/{id}/runs',
    summary: 'A unit’s runs, the newest first, with the figures that counted',
    params: byId,
    query: bodies.pageSchema,
    answer: bodies.unitRunsSchema,
    problems: [400, 404],
  },
  {
    method: 'put',
    path: '/units/{id}/place',
    summary: 'Where a unit stands',
    params: byId,
    body: bodies.movedUnitSchema,
    answer: unitSchema,
    problems: [400, 404, 409, 422],
  },
]
