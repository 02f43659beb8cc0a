import type { QueueUnit } from '@sure-spool/contract'

/** Where a unit of a tray stands: not yet decided, accepted, or rejected. */
export type Pile = 'to-do' | 'accepted' | 'rejected'
export function pileOf({ standing }: QueueUnit): Pile {
  if (!standing?.closed) return 'to-do'
  return standing.finding !== 'fault-found' && (standing.decision === 'return' || standing.decision === 'clean')
    ? 'accepted'
    : 'rejected'
}
