import { z } from 'zod'
import { asKept } from './asKept'
import { instrumentSchema, personSchema, shopSchema, shopSettingsSchema, uuidSchema } from '../formats'

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
