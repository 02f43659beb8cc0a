import type { Rewind } from '@sure-spool/core'
import { z } from 'zod'
import {
  coilSchema,
  exactMomentSchema,
  idSchema,
  momentSchema,
  rewindEntrySchema,
  rewindSchema,
  uuidSchema,
} from '../formats'
import { asKept } from './asKept'
import { sealSchema } from './runBodies'

export const newRewindSchema = z.strictObject({
  id: uuidSchema,
  unit: uuidSchema,
  before: uuidSchema.optional(),
  startedAt: exactMomentSchema,
  by: uuidSchema,
  coils: z.array(coilSchema).min(1).max(400),
})

/** Entries for one rewind; `seals` stand in the entries' order. */
export const rewindEntriesSchema = asKept(
  z.strictObject({
    entries: z.array(rewindEntrySchema).min(1).max(200),
    seals: z.array(sealSchema.nullable()).max(200).optional(),
  }),
)

export const rewindKeptSchema = z.object({
  kept: z.array(z.object({ id: idSchema, receivedAt: momentSchema, repeated: z.boolean() })),
  count: z.number(),
})

/** A rewind with what is to be known of its unit. */
export const rewindViewSchema = z.object({
  rewind: rewindSchema,
  unit: z.object({ id: idSchema, tag: z.string(), card: idSchema, model: z.string() }),
})

export const rewindListSchema = z.object({
  rewinds: z.array(
    z.object({ id: idSchema, unit: idSchema, tag: z.string(), startedAt: momentSchema, coils: z.number() }),
  ),
})

export type NewRewind = z.infer<typeof newRewindSchema>
export type RewindKept = z.infer<typeof rewindKeptSchema>
export type RewindView = { rewind: Rewind; unit: z.infer<typeof rewindViewSchema>['unit'] }
export type RewindList = z.infer<typeof rewindListSchema>
