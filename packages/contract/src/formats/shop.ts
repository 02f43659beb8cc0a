import { complaintIds, type Entry, type RewindEntry } from '@sure-spool/core'
import { z } from 'zod'
import { figureSchema, idSchema, labelSchema, momentSchema, percentSchema, wordSchema, wordsSchema } from './basics'
import { cardSchema } from './card'
import { photoSchema } from './photo'
import { coilSchema, rewindEntrySchema } from './rewind'
import { comparisonSchema, entrySchema, historySchema, instrumentSchema, unitLimitSchema } from './run'

/** What a person may do here: everything; all of the work; the work, deciding with a second person's word; reading. */
export const accessSchema = z.enum(['owner', 'technician', 'learner', 'reader'])

/** Somebody of the shop. `role` is what they do in the shop's words, `access` what they may do; a technician where nothing is said. */
export const personSchema = z.strictObject({
  id: idSchema,
  name: labelSchema,
  role: labelSchema,
  access: accessSchema.optional(),
})

/** What the shop does by habit; in force on the bench at once. */
export const shopSettingsSchema = z.strictObject({
  name: labelSchema,
  rule: z.enum(['guarded', 'simple']),
  rewindHabit: z.enum(['failed-coil', 'whole-core']),
  decimalComma: z.boolean(),
  paper: z.enum(['A4', 'Letter']),
  tagPrefix: z.string().max(10),
  /** what is typed and shown in; files stay in °C and metres */
  units: z.strictObject({ temperature: z.enum(['°C', '°F']), length: z.enum(['m', 'in']) }).optional(),
  /** what a new card starts from where nobody says otherwise */
  defaults: z
    .strictObject({
      tolerancePct: percentSchema,
      openOhms: figureSchema.positive(),
      insulationOhms: figureSchema.positive(),
      testVolts: figureSchema.positive(),
    })
    .optional(),
})

export const placeSchema = z.enum(['waiting', 'bench', 'blocked', 'done'])

/** A unit as the shop knows it: the part, who wants what of it, and where it stands. */
export const unitSchema = z.strictObject({
  id: idSchema,
  tag: labelSchema,
  serial: labelSchema.optional(),
  items: z.int().min(1).max(1000).optional(),
  variant: wordSchema.optional(),
  history: historySchema,
  complaint: z.array(z.enum(complaintIds)).max(20),
  words: wordsSchema,
  from: z.string().max(200).optional(),
  card: z.strictObject({ id: idSchema, revision: z.int().min(1) }),
  place: placeSchema,
  blockedBy: z.string().max(200).optional(),
  takenInAt: momentSchema,
  takenInBy: idSchema,
  /** taken in together with others of one card, and worked one after another */
  tray: idSchema.optional(),
})

/** A run as a shop file carries it: unit and card by reference, since both stand in the same file. */
export const shopRunSchema = z.strictObject({
  id: idSchema,
  unit: idSchema,
  card: z.strictObject({ id: idSchema, revision: z.int().min(1) }),
  history: historySchema,
  rule: z.enum(['guarded', 'simple']),
  /** by id; whole where the meter was another one then than it is now */
  instruments: z.array(z.union([wordSchema, instrumentSchema])),
  startedAt: momentSchema,
  startedBy: idSchema,
  limits: z.array(unitLimitSchema).max(200).optional(),
  compare: z.array(comparisonSchema).max(20).optional(),
  entries: z.array(entrySchema),
})

/** A rewind as a shop file carries it: its meters by their ids where they are the same still. */
export const shopRewindSchema = z.strictObject({
  id: idSchema,
  unit: idSchema,
  before: idSchema.optional(),
  startedAt: momentSchema,
  startedBy: idSchema,
  instruments: z.array(z.union([wordSchema, instrumentSchema])),
  coils: z.array(coilSchema).min(1).max(400),
  entries: z.array(rewindEntrySchema),
})

/** Everything of a shop, for moving house. */
export const shopSchema = z.strictObject({
  format: z.literal('sure-spool/shop', 'must be "sure-spool/shop"'),
  version: z.literal(1, 'is a version this program does not know; it reads version 1'),
  settings: shopSettingsSchema,
  people: z.array(personSchema),
  instruments: z.array(instrumentSchema),
  cards: z.array(cardSchema),
  units: z.array(unitSchema),
  runs: z.array(shopRunSchema),
  rewinds: z.array(shopRewindSchema).optional(),
  photos: z.array(photoSchema).optional(),
})

export type Access = z.infer<typeof accessSchema>
export type Person = z.infer<typeof personSchema>
export type ShopSettings = z.infer<typeof shopSettingsSchema>
export type UnitPlace = z.infer<typeof placeSchema>
export type Unit = z.infer<typeof unitSchema>
export type ShopRun = Omit<z.infer<typeof shopRunSchema>, 'entries'> & { entries: Entry[] }
export type ShopRewind = Omit<z.infer<typeof shopRewindSchema>, 'entries'> & { entries: RewindEntry[] }
export type Shop = z.infer<typeof shopSchema>
