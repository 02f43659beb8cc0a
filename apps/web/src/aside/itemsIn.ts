import {
  cardSchema,
  entrySchema,
  newRewindSchema,
  newRunSchema,
  newUnitSchema,
  photoHeadSchema,
  photoSchema,
  rewindEntrySchema,
  sealSchema,
} from '@sure-spool/contract'
import { z } from 'zod'
import type { Outgoing } from '../store/outgoing'

/** who made it, as it was sealed then */
const made = { seal: sealSchema.optional(), second: sealSchema.optional() }

const itemsSchema = z.array(
  z.discriminatedUnion('kind', [
    z.object({
      ...made,
      id: z.string(),
      kind: z.literal('card'),
      body: z.object({ card: cardSchema, by: z.string() }),
    }),
    z.object({ ...made, id: z.string(), kind: z.literal('unit'), body: newUnitSchema }),
    z.object({ ...made, id: z.string(), kind: z.literal('run'), body: newRunSchema }),
    z.object({ ...made, id: z.string(), kind: z.literal('entry'), run: z.string(), body: entrySchema }),
    z.object({
      ...made,
      id: z.string(),
      kind: z.literal('photo'),
      body: photoHeadSchema,
      picture: photoSchema.shape.data.optional(),
    }),
    z.object({ ...made, id: z.string(), kind: z.literal('rewind'), body: newRewindSchema }),
    z.object({ ...made, id: z.string(), kind: z.literal('rewind-entry'), rewind: z.string(), body: rewindEntrySchema }),
  ]),
)

/**
 * What was set aside, from a file that was saved of it.
 * @returns undefined where the text is no such file
 * @example
 * ```ts
 * itemsIn('[]') // []
 * ```
 */
export function itemsIn(text: string): Outgoing[] | undefined {
  try {
    const read = itemsSchema.safeParse(JSON.parse(text))
    return read.success ? (read.data as Outgoing[]) : undefined
  } catch {
    // no JSON at all is no such file either, and the person is told so
    return undefined
  }
}
