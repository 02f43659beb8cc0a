import type { QueueUnit } from '@sure-spool/contract'

/** Where a unit of a tray stands: not yet decided, accepted, rejected, or neither: its neighbour is replaced, or it went back undecided. */
export type Pile = 'to-do' | 'accepted' | 'rejected' | 'neither'

/** The pile of a unit, by its finding and what was decided. */
export function pileOf({ standing }: QueueUnit): Pile {
  if (!standing?.closed) return 'to-do'
  const { finding, decision } = standing
  const goesBack = decision === 'return' || decision === 'clean'
  if (decision === 'replace-neighbour' || (finding === 'undecided' && goesBack)) return 'neither'
  return finding === 'no-fault-found' && goesBack ? 'accepted' : 'rejected'
}
