import { extendZodWithOpenApi, OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi'
import { z } from 'zod'
import { cardSchema, cardsSchema, idSchema, shopSchema, unitSchema } from '../formats'
import * as bodies from './bodies'

extendZodWithOpenApi(z)

interface Route {
  method: 'get' | 'post' | 'put' | 'delete'
  path: string
  summary: string
  params?: z.ZodObject
  /** a body that is no JSON */
  media?: string
  query?: z.ZodObject
  body?: z.ZodType
  answer: z.ZodType
  created?: true
  problems: number[]
}

const byId = z.object({ id: idSchema })
const byRevision = z.object({ id: idSchema, revision: z.coerce.number() })

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
    problems: [400, 409, 413, 415, 422],
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
    problems: [400, 422],
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
    path: '/cards/export',
    summary: 'Cards as one file: those named, or all published ones',
    query: bodies.idsQuerySchema,
    answer: cardsSchema,
    problems: [400],
  },
  {
    method: 'get',
    path: '/cards/figures.csv',
    summary: 'Figures of cards as CSV, one row a limit',
    query: bodies.idsQuerySchema,
    answer: z.string(),
    problems: [400],
  },
  {
    method: 'post',
    path: '/cards/figures',
    summary: 'A CSV of figures: says row by row what it would do, and holds it for a day to be kept',
    query: bodies.byQuerySchema,
    body: z.string(),
    media: 'text/csv',
    answer: bodies.figuresPreviewSchema,
    problems: [400, 409, 413, 415, 422],
  },
  {
    method: 'post',
    path: '/cards/figures/{id}/keep',
    summary: 'Writes the drafts that a preview of figures said, all or none',
    params: byId,
    body: bodies.keepFiguresSchema,
    answer: bodies.figuresKeptSchema,
    problems: [400, 404, 409, 422],
  },
  {
    method: 'post',
    path: '/cards/preview',
    summary: 'What would become of the cards of a file, from their heads and hashes',
    body: bodies.previewCardsSchema,
    answer: bodies.cardsPreviewSchema,
    problems: [400, 413, 422],
  },
  {
    method: 'post',
    path: '/cards/import',
    summary:
      'Takes cards in, all or none; a conflict waits for a word, nothing is overwritten. As application/x-ndjson the first line is the head without cards, each other line a card; asked for application/x-ndjson it answers with lines of progress and a last line with the result or the problem',
    body: bodies.importCardsSchema,
    answer: bodies.importedCardsSchema,
    problems: [400, 409, 413, 415, 422],
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
    summary: 'What was read on units of a card',
    params: byId,
    answer: bodies.cardRecordSchema,
    problems: [404],
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
        ...(route.body ? { body: json(route.body, route.media) } : {}),
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
