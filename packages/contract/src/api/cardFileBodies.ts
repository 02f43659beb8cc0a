import { z } from 'zod'
import { cardSchema, idSchema, uuidSchema } from '../formats'

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

export type ArrivingCard = z.infer<typeof arrivingCardSchema>
export type PreviewCards = z.infer<typeof previewCardsSchema>
export type CardsPreview = z.infer<typeof cardsPreviewSchema>
export type ImportCardsHead = z.infer<typeof importCardsHeadSchema>
export type FiguresKept = z.infer<typeof figuresKeptSchema>
export type ImportedCards = z.infer<typeof importedCardsSchema>
export type FigureRow = z.infer<typeof figureRowSchema>
export type FiguresPreview = z.infer<typeof figuresPreviewSchema>
