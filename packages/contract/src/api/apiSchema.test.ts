import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { apiSchema } from './apiSchema'
import { openApiDocument, routes } from './openapi'

interface Operation {
  summary: string
  requestBody?: { content: object }
  responses: Record<string, { description: string; content: object }>
}
const { openapi, info, servers, paths } = openApiDocument('1.2.3') as {
  openapi: string
  info: object
  servers: object[]
  paths: Record<string, Record<string, Operation>>
}

test('docs/schema/api.json is what the routes take and answer (npm run schemas writes it)', () => {
  expect(JSON.parse(readFileSync('docs/schema/api.json', 'utf8'))).toEqual(JSON.parse(JSON.stringify(apiSchema())))
})

test('the OpenAPI document says which version it is of, and where', () => {
  expect({ openapi, info, servers }).toEqual({
    openapi: '3.1.0',
    info: { title: 'Sure Spool', version: '1.2.3' },
    servers: [{ url: '/api/v1' }],
  })
})

test.each(routes.map((route) => [`${route.method} ${route.path}`, route] as const))(
  '%s stands in it',
  (_name, route) => {
    const operation = paths[route.path]?.[route.method]
    const { summary, requestBody, responses } = operation ?? { summary: '', responses: {} }
    expect(summary).toBe(route.summary)
    expect(Object.keys(requestBody?.content ?? {})).toEqual(route.body ? [route.media ?? 'application/json'] : [])
    const good = route.created ? '201' : '200'
    // what may come of any request stands beside what may come of this one
    expect(Object.keys(responses).sort()).toEqual(
      [good, ...[...new Set([...route.problems, 429, 503])].map(String)].sort(),
    )
    for (const [status, { description, content }] of Object.entries(responses)) {
      const isGood = status === good
      const type = isGood ? (route.path.endsWith('.csv') ? 'text/csv' : 'application/json') : 'application/problem+json'
      expect([status, description, Object.keys(content)]).toEqual([
        status,
        isGood ? route.summary : 'A problem, said in a sentence',
        [type],
      ])
    }
  },
)
