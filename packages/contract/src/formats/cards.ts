import { z } from 'zod'
import { cardSchema } from './card'

/** Several cards in one file. */
export const cardsSchema = z.strictObject({
  format: z.literal('sure-spool/cards', 'must be "sure-spool/cards"'),
  version: z.literal(1, 'is a version this program does not know; it reads version 1'),
  cards: z.array(cardSchema).min(1).max(20_000),
})
