import { z } from 'zod'
import { accessSchema, exactMomentSchema, idSchema, labelSchema, momentSchema, uuidSchema } from '../formats'
import { pageSchema } from './commonBodies'

/** Four digits at least: it is of use only on a bench of the shop, and few guesses are heard. */
export const pinSchema = z.string().regex(/^\d{4,12}$/, 'is 4 to 12 digits')

/** For a browser that is no bench of the shop (ASVS 4.0.3: 2.1.1, 2.1.2). */
export const passwordSchema = z.string().min(12, 'has at least 12 characters').max(128, 'has at most 128 characters')

const codeSchema = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[A-Z0-9]{4}-?[A-Z0-9]{4}$/, 'is eight letters and digits')

/** A person's session on a bench. `key` is told once, to the browser that takes the seat. */
export const seatSchema = z.object({
  id: idSchema,
  person: idSchema,
  begunAt: momentSchema,
  endsAt: momentSchema,
  key: z.string().optional(),
})

export const benchSchema = z.object({
  id: idSchema,
  name: z.string(),
  kind: z.enum(['bench', 'away']),
  joinedAt: momentSchema,
  seenAt: momentSchema,
})

/** What somebody finds who comes to the door with this browser. */
export const doorSchema = z.object({
  /** an open house signs nobody in: a demo on its own machine */
  house: z.enum(['open', 'empty', 'shut']),
  bench: benchSchema.optional(),
  /** who can take a seat here; only a bench of the shop is told */
  people: z.array(z.object({ id: idSchema, name: z.string(), access: accessSchema })).optional(),
  seats: z.array(seatSchema).optional(),
})

/** The first owner and the first bench of an empty shop, with the code that the start command printed. */
export const firstRunSchema = z.strictObject({
  code: codeSchema,
  shop: labelSchema,
  name: labelSchema,
  pin: pinSchema,
  password: passwordSchema,
  bench: labelSchema,
})

export const joinSchema = z.strictObject({ code: codeSchema, name: labelSchema })
export const takeSeatSchema = z.strictObject({ person: uuidSchema, pin: pinSchema })
export const awaySchema = z.strictObject({ name: labelSchema, password: z.string().min(1).max(128) })
export const secretsSchema = z.strictObject({
  by: uuidSchema,
  pin: pinSchema.optional(),
  password: passwordSchema.optional(),
})

export const joinCodeSchema = z.object({ code: z.string(), endsAt: momentSchema })
export const benchesSchema = z.object({ benches: z.array(benchSchema) })
export const endedSchema = z.object({ ended: z.number() })
export const seatedSchema = z.object({ bench: benchSchema, seat: seatSchema })

/** One line of the list of what was changed, by whom, from which bench. */
export const auditLineSchema = z.object({
  id: idSchema,
  at: exactMomentSchema,
  by: idSchema.optional(),
  bench: idSchema.optional(),
  /** what that bench is called */
  benchName: z.string().optional(),
  what: z.string(),
  about: z.string(),
  detail: z.record(z.string(), z.unknown()),
})
export const auditSchema = z.object({ lines: z.array(auditLineSchema), next: z.string().optional() })
export const auditQuerySchema = pageSchema

export type Door = z.infer<typeof doorSchema>
export type Bench = z.infer<typeof benchSchema>
export type Seat = z.infer<typeof seatSchema>
export type Seated = z.infer<typeof seatedSchema>
export type FirstRun = z.infer<typeof firstRunSchema>
export type JoinCode = z.infer<typeof joinCodeSchema>
/** The backups of this shop, the newest first; `kept` is whether anybody keeps any here. */
export const backupsSchema = z.object({
  kept: z.boolean(),
  backups: z.array(
    z.object({
      at: momentSchema,
      bytes: z.number(),
      /** brought back on trial: when, how many tables, and which of them differed from the shop as it then was */
      tried: z.object({ at: momentSchema, tables: z.number(), differ: z.array(z.string()) }).optional(),
    }),
  ),
})

export type Backups = z.infer<typeof backupsSchema>
export type Audit = z.infer<typeof auditSchema>
export type AuditLine = z.infer<typeof auditLineSchema>
