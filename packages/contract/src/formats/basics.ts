import { z } from 'zod'

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/

/** Every id that is not a card's own short word is a UUID in lower case; new ones are version 7. */
export const idSchema = z.string().regex(uuid, 'must be a UUID in lower case')

/** A moment in UTC with milliseconds, as `2026-03-02T09:00:00.000Z`. */
export const momentSchema = z.iso.datetime({
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
