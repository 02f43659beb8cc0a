import { extendZodWithOpenApi, OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi'
import { z } from 'zod'
import { cardSchema, idSchema, shopSchema, unitSchema } from '../formats'
import * as bodies from './bodies'

extendZodWithOpenApi(z)

interface Route {
  method: 'get' | 'post' | 'put'
  path: string
  summary: string
  params?: z.ZodObject
  query?: z.ZodObject
  body?: z.ZodType
  answer: z.ZodType
  created?: true
  problems: number[]
}

const byId = z.object({ id: idSchema })

/** Every route of the API: what the server mounts must stand here, and a test holds the two together. */
export const routes: Route[] = [
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
    summary: 'Everything, as one shop document',
    answer: shopSchema,
    problems: [],
  },
  {
    method: 'post',
    path: '/shop/import',
    summary: 'Takes a shop document in; never overwrites',
    body: shopSchema,
    answer: bodies.importedSchema,
    problems: [400, 409, 413, 422],
  },
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
    method: 'put',
    path: '/units/{id}/place',
    summary: 'Where a unit stands',
    params: byId,
    body: bodies.movedUnitSchema,
    answer: unitSchema,
    problems: [400, 404, 409, 422],
  },
  {
    method: 'get',
    path: '/cards',
    summary: 'Cards, by words',
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
      revisions: z.array(z.object({ revision: z.number(), state: z.string(), hash: z.string() })),
    }),
    problems: [404],
  },
  {
    method: 'get',
    path: '/cards/{id}/record',
    summary: 'What was read on units of a card',
    params: byId,
    answer: bodies.cardRecordSchema,
    problems: [404],
  },
  {
    method: 'post',
    path: '/runs',
    summary: 'Starts a run; safe to repeat',
    body: bodies.newRunSchema,
    answer: bodies.runViewSchema,
    created: true,
    problems: [400, 404, 409, 422],
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

/** The OpenAPI 3.1 document of the API, built once. */
export function openApiDocument(version: string): object {
  const registry = new OpenAPIRegistry()
  const json = (schema: z.ZodType, type = 'application/json') => ({ content: { [type]: { schema } } })
  for (const route of routes) {
    const type = route.path.endsWith('.csv') ? 'text/csv' : 'application/json'
    registry.registerPath({
      method: route.method,
      path: route.path,
      summary: route.summary,
      request: {
        ...(route.params ? { params: route.params } : {}),
        ...(route.query ? { query: route.query } : {}),
        ...(route.body ? { body: json(route.body) } : {}),
      },
      responses: {
        [route.created ? 201 : 200]: { description: route.summary, ...json(route.answer, type) },
        ...Object.fromEntries(
          [...route.problems, 429, 503].map((status) => [
            status,
            { description: 'A problem, said in a sentence', ...json(bodies.problemSchema, 'application/problem+json') },
          ]),
        ),
      },
    })
  }
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: { title: 'Sure Spool', version },
    servers: [{ url: '/api/v1' }],
  })
}
