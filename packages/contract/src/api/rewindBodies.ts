import type { Rewind } from '@sure-spool/core'
import { z } from 'zod'
import {
  coilPlanSchema,
  coilSchema,
  exactMomentSchema,
  idSchema,
  momentSchema,
  photoSchema,
  rewindEntrySchema,
  rewindSchema,
  uuidSchema,
} from '../formats'
import { asKept } from './asKept'
import { findingWordSchema, sealSchema } from './runBodies'

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

/** How a winding was wound, and what it read at 20 °C in the run that proved it. */
const woundSchema = z.object({
  winding: z.string(),
  label: z.string(),
  coils: z.number(),
  turns: z.number(),
  wire: coilPlanSchema.shape.wire,
  lay: z.enum(['cw', 'ccw']).optional(),
  plan: coilPlanSchema.optional(),
  ohms20: z.number().optional(),
})

export const rewindListSchema = z.object({
  rewinds: z.array(
    z.object({
      id: idSchema,
      unit: idSchema,
      tag: z.string(),
      startedAt: momentSchema,
      coils: z.number(),
      wound: z.array(woundSchema),
      /** the first closed run of the unit after it */
      after: z.object({ run: idSchema, finding: findingWordSchema, cameBack: z.boolean() }).optional(),
    }),
  ),
})

/** Most photos that come in with a rewind's file at once; it is taken in again with the rest. */
export const mostPhotosAtOnce = 8

/** A rewind's own file, taken in at the unit it was made for, and photos that it names. */
export const rewindFileSchema = asKept(
  z.strictObject({
    rewind: rewindSchema,
    photos: z.array(photoSchema).max(mostPhotosAtOnce).optional(),
    by: uuidSchema,
  }),
)

export type NewRewind = z.infer<typeof newRewindSchema>
export type RewindKept = z.infer<typeof rewindKeptSchema>
export type RewindView = { rewind: Rewind; unit: z.infer<typeof rewindViewSchema>['unit'] }
export type RewindList = z.infer<typeof rewindListSchema>
export type ListedRewind = RewindList['rewinds'][number]
