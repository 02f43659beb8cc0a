import { type Comparison } from '@sure-spool/core'
import { z } from 'zod'
import { asKept } from './asKept'
import {
  comparisonSchema,
  historySchema,
  idSchema,
  labelSchema,
  momentSchema,
  placeSchema,
  unitSchema,
  uuidSchema,
} from '../formats'
import { findingWordSchema, summarySchema } from './runBodies'
import { pageSchema } from './commonBodies'

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
  outcome: z.enum(['ran-well', 'came-back']).optional(),
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

export const newUnitSchema = asKept(unitSchema.omit({ place: true, blockedBy: true }))

export const movedUnitSchema = z.strictObject({
  place: z.enum(['waiting', 'bench', 'blocked']),
  blockedBy: z.string().max(200).optional(),
  by: uuidSchema,
})

/** What was found when a run was closed, as it was kept then. */
export const keptFindingSchema = z.object({
  at: momentSchema,
  core: z.string(),
  revision: z.number(),
  finding: findingWordSchema,
  decision: z.string(),
})

/** One run of a unit, for its page: where it ended and the figures that counted. */
export const unitRunSchema = z.object({
  run: idSchema,
  startedAt: momentSchema,
  by: idSchema,
  revision: z.number(),
  history: historySchema,
  finding: findingWordSchema,
  closed: z.boolean(),
  decision: z.object({ what: z.string(), why: z.string() }).optional(),
  outcome: z.object({ what: z.enum(['ran-well', 'came-back']), words: z.string(), at: momentSchema }).optional(),
  comparison: comparisonSchema,
  verdicts: summarySchema.shape.verdicts,
  findings: z.array(keptFindingSchema),
})

export const unitRunsSchema = z.object({ runs: z.array(unitRunSchema), next: z.string().optional() })

export const queueQuerySchema = pageSchema.extend({
  place: placeSchema.optional(),
  tray: uuidSchema.optional(),
  tag: labelSchema.optional(),
})

export type QueueUnit = z.infer<typeof queueUnitSchema>
export type Queue = z.infer<typeof queueSchema>
export type NewUnit = z.infer<typeof newUnitSchema>
export type MovedUnit = z.infer<typeof movedUnitSchema>
export type UnitRun = Omit<z.infer<typeof unitRunSchema>, 'comparison'> & { comparison: Comparison }
export type UnitRuns = { runs: UnitRun[]; next?: string }
export type Standing = z.infer<typeof standingSchema>
export type Mark = z.infer<typeof markSchema>['mark']
