import { extendZodWithOpenApi, OpenAPIRegistry, OpenApiGeneratorV31 } from '@asteasolutions/zod-to-openapi'
import { z } from 'zod'
import { problemSchema } from './bodies'
import { cardFileRoutes } from './cardFileRoutes'
import { cardRoutes } from './cardRoutes'
import { doorRoutes } from './doorRoutes'
import type { Route } from './route'
import { photoRoutes } from './photoRoutes'
import { rewindRoutes } from './rewindRoutes'
import { runRoutes } from './runRoutes'
import { shopRoutes } from './shopRoutes'
import { unitRoutes } from './unitRoutes'

extendZodWithOpenApi(z)

/** Every route of the API: what the server mounts must stand here, and a test holds the two together. */
export const routes: Route[] = [
  ...doorRoutes,
  ...shopRoutes,
  ...unitRoutes,
  ...cardFileRoutes,
  ...cardRoutes,
  ...runRoutes,
  ...rewindRoutes,
  ...photoRoutes,
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
            { description: 'A problem, said in a sentence', ...json(problemSchema, 'application/problem+json') },
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
