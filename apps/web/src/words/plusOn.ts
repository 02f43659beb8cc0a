import type { Card, StepPoint } from '@sure-spool/core'
import { terminalLabel } from './points'

/** Where plus goes while the coil is driven, on a part that is driven both ways; empty where there is one way, or none. */
export function plusOn(card: Card, { drive }: Pick<StepPoint, 'drive'>): string {
  const ways = new Set(card.checks.flatMap(({ conditions }) => conditions?.drive?.plus ?? []))
  return drive && ways.size > 1 ? terminalLabel(card, drive.plus) : ''
}
