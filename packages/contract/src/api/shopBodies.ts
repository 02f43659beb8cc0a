import { z } from 'zod'
import { asKept, asKeptMember } from './asKept'
import {
  cardSchema,
  instrumentSchema,
  personSchema,
  photoSchema,
  shopRewindSchema,
  shopRunSchema,
  shopSchema,
  shopSettingsSchema,
  unitSchema,
  uuidSchema,
} from '../formats'

export const shopViewSchema = z.object({
  settings: shopSettingsSchema,
  people: z.array(personSchema),
  instruments: z.array(instrumentSchema),
  nextTag: z.string(),
})

/** The shop's habits, a meter or a person as they are to be from now on, and who says so. */
export const settingsBodySchema = z.strictObject({ settings: shopSettingsSchema, by: uuidSchema })

export const instrumentBodySchema = z.strictObject({ instrument: instrumentSchema, by: uuidSchema })

export const personBodySchema = asKept(z.strictObject({ person: personSchema, by: uuidSchema }))

export const byQuerySchema = z.strictObject({ by: uuidSchema })

/** A shop document whose ids a database can keep. */
export const importSchema = asKept(shopSchema)

/** The first line of a shop file that goes record by record. */
export const shopHeadSchema = asKept(
  shopSchema.pick({ format: true, version: true, settings: true, people: true, instruments: true }),
)
/** What each other line brings, under its name; in the order in which one refers to another. */
export const shopRecords = {
  card: asKeptMember('cards', cardSchema),
  unit: asKeptMember('units', unitSchema),
  run: asKeptMember('runs', shopRunSchema),
  rewind: asKeptMember('rewinds', shopRewindSchema),
  photo: asKeptMember('photos', photoSchema),
} as const
/** The list of a shop document that a record of a line stands in. */
export const listOf = { card: 'cards', unit: 'units', run: 'runs', rewind: 'rewinds', photo: 'photos' } as const

export const exportQuerySchema = z.strictObject({ form: z.literal('lines').optional() })

export const importedSchema = z.object({
  people: z.number(),
  instruments: z.number(),
  cards: z.number(),
  units: z.number(),
  runs: z.number(),
  entries: z.number(),
})

export type ShopView = z.infer<typeof shopViewSchema>
export type Imported = z.infer<typeof importedSchema>
export type ShopHead = z.infer<typeof shopHeadSchema>
