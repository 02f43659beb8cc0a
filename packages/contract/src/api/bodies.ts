import type { Card, Run } from '@sure-spool/core'
import { z } from 'zod'
import { kept } from './kept'
import {
  conditionsSchema,
  entrySchema,
  exactMomentSchema,
  idSchema,
  instrumentSchema,
  momentSchema,
  personSchema,
  placeSchema,
  runSchema,
  shopSchema,
  shopSettingsSchema,
  unitSchema,
  uuidSchema,
} from '../formats'

const verdict = z.enum(['within', 'borderline', 'outside', 'none'])
export const findingWordSchema = z.enum(['fault-found', 'undecided', 'no-fault-found'])

export const summarySchema = z.object({
  core: z.string(),
  finding: findingWordSchema,
  verdicts: z.array(
    z.object({
      check: z.string(),
      verdict,
      reason: z.string().optional(),
      held: z.literal(true).optional(),
      points: z.array(
        z.object({
          pair: z.tuple([z.string(), z.string()]).optional(),
          index: z.number().optional(),
          x: z.number().optional(),
          conditions: conditionsSchema.optional(),
          verdict,
          reason: z.string().optional(),
          held: z.literal(true).optional(),
        }),
      ),
    }),
  ),
  relations: z.array(z.object({ id: z.string(), verdict })),
  remarks: z.array(
    z.object({
      id: z.string(),
      severity: z.enum(['stop', 'warn', 'note']),
      check: z.string().optional(),
      entry: z.string().optional(),
      answered: z.literal(true).optional(),
    }),
  ),
  retaken: z.array(z.string()),
  untested: z.array(z.string()),
  explained: z.array(z.string()),
})

/** A mark as the queue shows it: one step taken. */
export const markSchema = z.object({
  step: z.string(),
  mark: z.enum(['within', 'borderline', 'outside', 'none', 'done', 'flagged', 'skipped']),
})

/** Where a run stands, for lists: computed, kept beside the run, rebuilt at will. */
export const standingSchema = z.object({
  run: idSchema,
  startedAt: momentSchema,
  finding: findingWordSchema,
  step: z.string(),
  closed: z.boolean(),
  decision: z.string().optional(),
  done: z.number(),
  steps: z.number(),
  marks: z.array(markSchema),
  lastAt: momentSchema.optional(),
})

export const queueUnitSchema = unitSchema.extend({
  maker: z.string(),
  model: z.string(),
  family: z.string(),
  standing: standingSchema.optional(),
})
export const queueSchema = z.object({
  units: z.array(queueUnitSchema),
  next: z.string().optional(),
  /** units at a place are counted as far as `upTo`, so that the counts stay as fast as the page */
  counts: z.object({ waiting: z.number(), bench: z.number(), blocked: z.number(), done: z.number(), upTo: z.number() }),
})

export const shopViewSchema = z.object({
  settings: shopSettingsSchema,
  people: z.array(personSchema),
  instruments: z.array(instrumentSchema),
  nextTag: z.string(),
})

export const cardRowSchema = z.object({
  id: idSchema,
  revision: z.number(),
  family: z.string(),
  maker: z.string(),
  model: z.string(),
  partNumbers: z.array(z.string()),
  units: z.number(),
})
export const cardListSchema = z.object({ cards: z.array(cardRowSchema), next: z.string().optional() })

/** What the shop's own record says of a card: every unit's readings that counted when its run was closed. */
export const cardRecordSchema = z.object({
  units: z.number(),
  findings: z.object({ 'fault-found': z.number(), undecided: z.number(), 'no-fault-found': z.number() }),
  readings: z.array(
    z.object({
      check: z.string(),
      run: idSchema,
      tag: z.string(),
      value: z.number(),
      open: z.boolean(),
      finding: findingWordSchema,
      cameBack: z.boolean(),
    }),
  ),
})

export const newUnitSchema = kept(unitSchema.omit({ place: true, blockedBy: true }))
export const movedUnitSchema = z.strictObject({
  place: z.enum(['waiting', 'bench', 'blocked']),
  blockedBy: z.string().max(200).optional(),
  by: uuidSchema,
})
export const newRunSchema = z.strictObject({
  id: uuidSchema,
  unit: uuidSchema,
  startedAt: exactMomentSchema,
  by: uuidSchema,
})

export const entriesSchema = kept(z.strictObject({ entries: z.array(entrySchema).min(1).max(200) }))
/** A shop document whose ids a database can keep. */
export const importSchema = kept(shopSchema)
export const keptSchema = z.object({
  kept: z.array(z.object({ id: idSchema, receivedAt: momentSchema, repeated: z.boolean() })),
  count: z.number(),
  state: summarySchema,
})

export const runViewSchema = z.object({ run: runSchema, state: summarySchema })

export const importedSchema = z.object({
  people: z.number(),
  instruments: z.number(),
  cards: z.number(),
  units: z.number(),
  runs: z.number(),
  entries: z.number(),
})

export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  instance: z.string().optional(),
  errors: z.array(z.object({ path: z.string(), detail: z.string() })).optional(),
})

export const pageSchema = z.strictObject({
  cursor: z.string().max(200).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(100),
})
export const queueQuerySchema = pageSchema.extend({ place: placeSchema.optional() })
export const cardQuerySchema = pageSchema.extend({ find: z.string().max(200).optional() })

export type QueueUnit = z.infer<typeof queueUnitSchema>
export type Queue = z.infer<typeof queueSchema>
export type ShopView = z.infer<typeof shopViewSchema>
export type CardRow = z.infer<typeof cardRowSchema>
export type CardList = z.infer<typeof cardListSchema>
export type CardRecord = z.infer<typeof cardRecordSchema>
export type NewUnit = z.infer<typeof newUnitSchema>
export type MovedUnit = z.infer<typeof movedUnitSchema>
export type NewRun = z.infer<typeof newRunSchema>
export type Kept = z.infer<typeof keptSchema>
export type RunView = { run: Run; state: z.infer<typeof summarySchema> }
export type CardView = { card: Card; revisions: { revision: number; state: string; hash: string }[] }
export type Problem = z.infer<typeof problemSchema>
export type Standing = z.infer<typeof standingSchema>
export type Mark = z.infer<typeof markSchema>['mark']
export type Imported = z.infer<typeof importedSchema>
