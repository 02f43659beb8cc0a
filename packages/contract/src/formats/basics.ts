import { z } from 'zod'

/** As strict as what stores them (RFC 9562): a version, and the variant of these ids. */
const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/

/** What names something in a document. Ids made here are UUIDs of version 7; a file judged on its own may use shorter ones. */
export const idSchema = z
  .string()
  .regex(/^[\w.:-]{1,64}$/, 'must be an id: letters, digits, - _ . : and at most 64 of them')

/** What names something in the shop's database. */
export const uuidSchema = z.string().regex(uuid, 'must be a UUID in lower case')

/** A moment in UTC, as `2026-03-02T09:00:00.000Z`; what is sent to the server carries milliseconds. */
export const momentSchema = z.iso.datetime('must be a UTC time like 2026-03-02T09:00:00.000Z')

export const exactMomentSchema = z.iso.datetime({
  precision: 3,
  error: 'must be a UTC time with milliseconds, like 2026-03-02T09:00:00.000Z',
})

export const daySchema = z.iso.date('must be a day like 2026-03-02')

/** A short word that names something inside one card. */
export const wordSchema = z.string().min(1, 'must not be empty').max(64, 'is longer than 64 characters')
export const labelSchema = z.string().min(1, 'must not be empty').max(200, 'is longer than 200 characters')
export const wordsSchema = z.string().max(2000, 'is longer than 2,000 characters')

/** A figure in SI units. JSON has no infinity; what is not finite is no figure. */
export const figureSchema = z.number('must be a number')

export const percentSchema = figureSchema.min(0, 'must not be negative').max(1000, 'is over 1000 %')
