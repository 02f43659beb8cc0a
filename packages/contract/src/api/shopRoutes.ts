import { z } from 'zod'
import { shopSchema } from '../formats'
import * as bodies from './bodies'
import { byId, type Route } from './route'

/** The shop, its people and meters. */
export const shopRoutes: Route[] = [
  {
    method: 'get',
    path: '/shop',
    summary: 'Settings, people and instruments',
    answer: bodies.shopViewSchema,
    problems: [],
  },
  {
    method: 'get',
    path: '/shop/export',
    summary:
      'Everything, as one shop document; with form=lines as application/x-ndjson, the head on the first line and one record on each other',
    query: bodies.exportQuerySchema,
    answer: shopSchema,
    problems: [],
  },
  {
    method: 'post',
    path: '/shop/import',
    summary:
      'Takes a shop document in, all or nothing; never overwrites. As application/x-ndjson the first line is the head, each other line one record, of any number',
    body: shopSchema,
    answer: bodies.importedSchema,
    problems: [400, 409, 413, 415, 422],
  },
  {
    method: 'post',
    path: '/shop/tags',
    summary: 'Numbers of tags that this bench alone gives, so that it can name parts while the server is away',
    body: bodies.tagsBodySchema,
    answer: bodies.tagBlockSchema,
    created: true,
    problems: [400, 422],
  },
  {
    method: 'put',
    path: '/shop/settings',
    summary: 'The shop’s habits, in force at once',
    body: bodies.settingsBodySchema,
    answer: bodies.shopViewSchema,
    problems: [400, 422],
  },
  {
    method: 'put',
    path: '/shop/instruments/{id}',
    summary: 'A meter, new or changed; runs keep the one they were made with',
    params: z.object({ id: z.string() }),
    body: bodies.instrumentBodySchema,
    answer: bodies.shopViewSchema,
    problems: [400, 422],
  },
  {
    method: 'delete',
    path: '/shop/instruments/{id}',
    summary: 'Takes a meter off the bench; runs keep it',
    params: z.object({ id: z.string() }),
    query: bodies.byQuerySchema,
    answer: bodies.shopViewSchema,
    problems: [400, 404, 422],
  },
  {
    method: 'put',
    path: '/shop/people/{id}',
    summary: 'A person, new or renamed',
    params: byId,
    body: bodies.personBodySchema,
    answer: bodies.shopViewSchema,
    problems: [400, 404, 422],
  },
]
