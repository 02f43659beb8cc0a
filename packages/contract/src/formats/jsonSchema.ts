import { z } from 'zod'
import { cardSchema } from './card'
import { cardsSchema } from './cards'
import { rewindSchema } from './rewind'
import { runSchema } from './run'
import { shopSchema } from './shop'

const files = { card: cardSchema, cards: cardsSchema, rewind: rewindSchema, run: runSchema, shop: shopSchema }

/** The open formats as JSON Schema 2020-12, by file name: shapes and types; what contradicts itself is found on reading. */
export function jsonSchemas(): Record<string, object> {
  return Object.fromEntries(
    Object.entries(files).map(([name, schema]) => [`${name}.schema.json`, z.toJSONSchema(schema, { io: 'input' })]),
  )
}
