import type { Card, Quantity, Remark, RemarkId } from '@sure-spool/core'
import type { Figures } from '../figures'

export interface RemarkWords {
  /** what is the matter, with its figures */
  what: string
  /** what to do about it */
  todo: string
}

/** What a remark's words are made of. */
export interface Said {
  params: Remark['params']
  quantity: Quantity
  card: Card
  figures: Figures
  number: (key: string) => number
  text: (key: string) => string
  /** a figure of the remark as a bound, in ohms */
  ohms: (key: string) => string
  /** a figure of the remark as a bound, and a standard uncertainty as ±2u, in the quantity of its check */
  read: (key: string) => string
  doubt: (key: string) => string
  /** a check of the remark by its points */
  pair: (key: string) => string
}

export type RemarkTexts = Partial<Record<RemarkId, (said: Said) => RemarkWords>>
