import type { CardLimit, PreparedLimit } from '@sure-spool/core'

/**
 * A limit as its source states it, for people: what is offered to be seen without the marks a file carries,
 * and that a figure follows from the windings. Empty where nothing was said beside the figure.
 */
export function limitSaid({ text, stated }: Pick<PreparedLimit, 'text' | 'stated'>): string {
  if (stated === 'derived') return text ?? 'derived from its windings'
  if (stated.kind === 'answer') return `${orList(stated.right)}, of ${stated.of.join(', ')}`
  return text ?? ''
}

const orList = (words: string[]): string => words.join(' or ')

/** Whom a limit is for, where it is not for every unit. */
export const historySaid = (history: CardLimit['for']): string => (history === 'any' ? '' : `${history} ones`)
