import { z } from 'zod'
import { uuidSchema } from '../formats'

/** So many numbers a bench has of its own: for as many parts it can be away without meeting another's. */
export const tagsInBlock = 10

/** Who asks for numbers that no other bench will give. */
export const tagsBodySchema = z.strictObject({ by: uuidSchema })

/** Numbers that one bench alone gives, from the first to the last, behind the shop's prefix. */
export const tagBlockSchema = z.object({ prefix: z.string(), from: z.number().int(), to: z.number().int() })

export type TagBlock = z.infer<typeof tagBlockSchema>
