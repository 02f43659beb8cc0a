import { z } from 'zod'
import { cardSchema, entrySchema, instrumentSchema, photoSchema, rewindEntrySchema, shopSchema } from '../formats'
import { routes } from './openapi'

const named = z.registry<{ id: string }>()
for (const [id, schema] of Object.entries({
  card: cardSchema,
  entry: entrySchema,
  instrument: instrumentSchema,
  photo: photoSchema,
  rewindEntry: rewindEntrySchema,
  shop: shopSchema,
}))
  named.add(schema, { id })

/**
 * The API without a running server: every route with what it takes and answers as JSON Schema 2020-12, in the order of the routes.
 * What stands in many of them stands once, under `$defs`.
 */
export function apiSchema(): object {
  const $defs: Record<string, object> = {}
  const written = (schema: z.ZodType, io: 'input' | 'output') => {
    const { $defs: own = {}, ...rest } = z.toJSONSchema(schema, { io, metadata: named, unrepresentable: 'any' })
    Object.assign($defs, own)
    return rest
  }
  const all = routes.map(({ params, query, body, answer, ...route }) => ({
    ...route,
    ...(params ? { params: written(params, 'input') } : {}),
    ...(query ? { query: written(query, 'input') } : {}),
    ...(body ? { body: written(body, 'input') } : {}),
    answer: written(answer, 'output'),
  }))
  return { routes: all, $defs }
}
