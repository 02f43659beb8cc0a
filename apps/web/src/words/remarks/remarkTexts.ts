import type { Card, Remark, RemarkId } from '@sure-spool/core'
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
  card: Card
  figures: Figures
  number: (key: string) => number
  text: (key: string) => string
  /** a figure of the remark as a bound, in ohms */
  ohms: (key: string) => string
  /** a check of the remark by its points */
  pair: (key: string) => string
}

export type RemarkTexts = Partial<Record<RemarkId, (said: Said) => RemarkWords>>
