import { families, type Card } from '@sure-spool/core'
import { z } from 'zod'
import { asKept } from './asKept'
import { cardSchema, historySchema, idSchema, uuidSchema } from '../formats'
import { findingWordSchema } from './runBodies'
import { pageSchema } from './commonBodies'

export const revisionRowSchema = z.object({
  revision: z.number(),
  state: z.string(),
  hash: z.string(),
  by: z.string().nullable(),
  at: z.string().nullable(),
})

export const cardRowSchema = z.object({
  id: idSchema,
  revision: z.number(),
  family: z.string(),
  maker: z.string(),
  model: z.string(),
  partNumbers: z.array(z.string()),
  units: z.number(),
  draft: z.literal(true).optional(),
  /** how well it explains what was measured, where that was asked */
  fit: z
    .object({
      matches: z.array(
        z.object({
          text: z.string(),
          check: z.string(),
          label: z.string(),
          offPct: z.number(),
          leadsOhms: z.number().optional(),
        }),
      ),
      missing: z.array(z.string()),
      openMissing: z.boolean(),
      misfit: z.number(),
    })
    .optional(),
})

export const cardListSchema = z.object({
  cards: z.array(cardRowSchema),
  next: z.string().optional(),
  /** no card holds all the words; these hold some */
  loosely: z.literal(true).optional(),
  /** pieces of what was measured that are no figure */
  unread: z.array(z.string()).optional(),
})

/** A draft as it is written: `replaces` is the hash of the draft it stands on, so that two writers never overwrite each other. */
export const writtenCardSchema = asKept(
  z.strictObject({ card: cardSchema, by: uuidSchema, replaces: z.string().max(64).optional() }),
)

export const writtenSchema = z.object({ hash: z.string(), revision: z.number(), state: z.string() })

export const publishSchema = z.strictObject({ by: uuidSchema, hash: z.string().max(64) })

const idsPattern = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}(,[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12})*$/
export const idsQuerySchema = z.strictObject({
  ids: z.string().max(40_000).regex(idsPattern, 'must be UUIDs in lower case with commas between').optional(),
})

/** A page is of runs. */
export const recordQuerySchema = pageSchema.extend({ limit: z.coerce.number().int().min(1).max(200).default(24) })

/** What the shop's own record says of a card: what its closed runs come to, and what counted in a page of them, the newest first. */
export const cardRecordSchema = z.object({
  /** with a closed run */
  units: z.number(),
  findings: z.object({ 'fault-found': z.number(), undecided: z.number(), 'no-fault-found': z.number() }),
  cameBack: z.number(),
  /** units that came back although no fault had been found */
  cameBackAfterPass: z.number(),
  /** units that were exchanged although no fault had been found, and what they were taken from ran well after it */
  curedByExchange: z.number(),
  readings: z.array(
    z.object({
      check: z.string(),
      run: idSchema,
      tag: z.string(),
      value: z.number(),
      /** standard uncertainty of the figure at its reference, where one is known */
      u: z.number().optional(),
      open: z.boolean(),
      finding: findingWordSchema,
      cameBack: z.boolean(),
      /** of the unit as that run had it before it */
      history: historySchema,
    }),
  ),
  next: z.string().optional(),
})

export const cardQuerySchema = pageSchema.extend({
  find: z.string().max(200).optional(),
  /** what was measured, as it is said: `about 318 and 36, both open to frame` */
  read: z.string().max(500).optional(),
  /** whether the comma is the decimal mark in `read` */
  comma: z.enum(['true', 'false']).optional(),
  family: z.enum(families).optional(),
  state: z.enum(['published', 'draft']).optional(),
})

export type CardRow = z.infer<typeof cardRowSchema>
export type CardQuery = z.infer<typeof cardQuerySchema>
export type CardList = z.infer<typeof cardListSchema>
export type RecordQuery = z.infer<typeof recordQuerySchema>
export type CardRecord = z.infer<typeof cardRecordSchema>
export type WrittenCard = z.infer<typeof writtenCardSchema>
export type Written = z.infer<typeof writtenSchema>
export type CardView = { card: Card; revisions: RevisionRow[] }
export type RevisionRow = z.infer<typeof revisionRowSchema>
