import { families, type Card, type Comparison, type Run } from '@sure-spool/core'
import { z } from 'zod'
import { asKept } from './asKept'
import {
  cardSchema,
  comparisonSchema,
  conditionsSchema,
  entrySchema,
  exactMomentSchema,
  historySchema,
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
/** The shop's habits, a meter or a person as they are to be from now on, and who says so. */
export const settingsBodySchema = z.strictObject({ settings: shopSettingsSchema, by: uuidSchema })
export const instrumentBodySchema = z.strictObject({ instrument: instrumentSchema, by: uuidSchema })
export const personBodySchema = asKept(z.strictObject({ person: personSchema, by: uuidSchema }))
export const byQuerySchema = z.strictObject({ by: uuidSchema })

export const writtenSchema = z.object({ hash: z.string(), revision: z.number(), state: z.string() })
export const publishSchema = z.strictObject({ by: uuidSchema, hash: z.string().max(64) })

const sha256Schema = z.string().regex(/^[0-9a-f]{64}$/, 'must be a SHA-256 in hex')

/** A card of a file as a preview needs it: which revision, and the SHA-256 of its canonical body. */
export const arrivingCardSchema = z.strictObject({
  id: uuidSchema,
  revision: z.int().min(1),
  hash: sha256Schema,
  maker: z.string().max(200),
  model: z.string().max(200),
  state: z.enum(['sketch', 'draft', 'published']),
})
export const previewCardsSchema = z.strictObject({
  by: uuidSchema,
  cards: z.array(arrivingCardSchema).min(1).max(20_000),
})

/** Who takes cards in; what is in conflict waits for a word: keep what is here, or take theirs as the next draft. */
export const importCardsHeadSchema = z.strictObject({
  by: uuidSchema,
  resolve: z.record(z.string().max(80), z.enum(['keep', 'next'])).default({}),
  /** what a preview said of these cards; it must still be so */
  preview: sha256Schema.optional(),
})
/** A card whose id a database can keep. */
export const arrivedCardSchema = cardSchema.refine(({ id }) => uuidSchema.safeParse(id).success, {
  path: ['id'],
  error: 'must be a UUID in lower case',
})
export const importCardsSchema = importCardsHeadSchema.extend({ cards: z.array(arrivedCardSchema).min(1) })
const importedRowSchema = z.object({
  id: idSchema,
  revision: z.number(),
  maker: z.string(),
  model: z.string(),
  what: z.enum(['new', 'revision', 'same', 'conflict', 'kept', 'next']),
  state: z.string(),
  as: z.number().optional(),
})
/** What would become of each card, and a name for having said so: keeping refers to it. */
export const cardsPreviewSchema = z.object({ rows: z.array(importedRowSchema), preview: z.string() })
export const importedCardsSchema = z.object({ rows: z.array(importedRowSchema), kept: z.number() })

/** What a CSV of figures will do, row by row. */
export const figureRowSchema = z.object({
  row: z.number(),
  what: z.enum(['new-card', 'new-check', 'another-limit', 'changed', 'same', 'refused']),
  maker: z.string(),
  model: z.string(),
  check: z.string(),
  limit: z.string(),
  detail: z.string(),
})
const writtenDraftSchema = z.object({ id: idSchema, revision: z.number(), maker: z.string(), model: z.string() })
export const figuresPreviewSchema = z.object({
  /** under which the file waits here for a day to be kept */
  preview: idSchema,
  rows: z.array(figureRowSchema),
  /** cards that get a draft of it */
  drafts: z.array(writtenDraftSchema),
  delimiter: z.string(),
  decimalComma: z.boolean(),
})
export const keepFiguresSchema = z.strictObject({ by: uuidSchema })
export const figuresKeptSchema = z.object({ drafts: z.array(writtenDraftSchema) })
export const idsQuerySchema = z.strictObject({ ids: z.string().max(40_000).optional() })

/** What the shop's own record says of a card: every unit's readings that counted when its run was closed. */
export const cardRecordSchema = z.object({
  units: z.number(),
  findings: z.object({ 'fault-found': z.number(), undecided: z.number(), 'no-fault-found': z.number() }),
  /** units that came back although no fault had been found */
  cameBackAfterPass: z.number(),
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
    }),
  ),
})

export const newUnitSchema = asKept(unitSchema.omit({ place: true, blockedBy: true }))
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

export const entriesSchema = asKept(z.strictObject({ entries: z.array(entrySchema).min(1).max(200) }))
/** A shop document whose ids a database can keep. */
export const importSchema = asKept(shopSchema)
export const keptSchema = z.object({
  kept: z.array(z.object({ id: idSchema, receivedAt: momentSchema, repeated: z.boolean() })),
  count: z.number(),
  state: summarySchema,
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
export const queueQuerySchema = pageSchema.extend({ place: placeSchema.optional(), tray: uuidSchema.optional() })
export const cardQuerySchema = pageSchema.extend({
  find: z.string().max(200).optional(),
  /** what was measured, as it is said: `about 318 and 36, both open to frame` */
  read: z.string().max(500).optional(),
  /** whether the comma is the decimal mark in `read` */
  comma: z.enum(['true', 'false']).optional(),
  family: z.enum(families).optional(),
  state: z.enum(['published', 'draft']).optional(),
})

export type QueueUnit = z.infer<typeof queueUnitSchema>
export type Queue = z.infer<typeof queueSchema>
export type ShopView = z.infer<typeof shopViewSchema>
export type CardRow = z.infer<typeof cardRowSchema>
export type CardQuery = z.infer<typeof cardQuerySchema>
export type CardList = z.infer<typeof cardListSchema>
export type CardRecord = z.infer<typeof cardRecordSchema>
export type WrittenCard = z.infer<typeof writtenCardSchema>
export type Written = z.infer<typeof writtenSchema>
export type ArrivingCard = z.infer<typeof arrivingCardSchema>
export type PreviewCards = z.infer<typeof previewCardsSchema>
export type CardsPreview = z.infer<typeof cardsPreviewSchema>
export type ImportCardsHead = z.infer<typeof importCardsHeadSchema>
export type FiguresKept = z.infer<typeof figuresKeptSchema>
export type ImportedCards = z.infer<typeof importedCardsSchema>
export type FigureRow = z.infer<typeof figureRowSchema>
export type FiguresPreview = z.infer<typeof figuresPreviewSchema>
export type NewUnit = z.infer<typeof newUnitSchema>
export type MovedUnit = z.infer<typeof movedUnitSchema>
export type NewRun = z.infer<typeof newRunSchema>
export type UnitRun = Omit<z.infer<typeof unitRunSchema>, 'comparison'> & { comparison: Comparison }
export type UnitRuns = { runs: UnitRun[]; next?: string }
export type Kept = z.infer<typeof keptSchema>
export type RunView = { run: Run; state: z.infer<typeof summarySchema> }
export type CardView = { card: Card; revisions: RevisionRow[] }
export type RevisionRow = z.infer<typeof revisionRowSchema>
export type Problem = z.infer<typeof problemSchema>
export type Standing = z.infer<typeof standingSchema>
export type Mark = z.infer<typeof markSchema>['mark']
export type Imported = z.infer<typeof importedSchema>
