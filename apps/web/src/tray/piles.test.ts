import type { QueueUnit } from '@sure-spool/contract'
import { expect, test } from '@jest/globals'
import { pileOf } from './piles'

const unit = (standing: Partial<QueueUnit['standing']> | undefined) => ({ standing }) as QueueUnit

test.each([
  [undefined, 'to-do'],
  [{ closed: false, finding: 'no-fault-found' }, 'to-do'],
  [{ closed: true, finding: 'no-fault-found', decision: 'return' }, 'accepted'],
  [{ closed: true, finding: 'no-fault-found', decision: 'clean' }, 'accepted'],
  [{ closed: true, finding: 'undecided', decision: 'return' }, 'neither'],
  [{ closed: true, finding: 'undecided', decision: 'replace' }, 'rejected'],
  [{ closed: true, finding: 'fault-found', decision: 'return' }, 'rejected'],
  [{ closed: true, finding: 'fault-found', decision: 'rewind' }, 'rejected'],
] as const)('%j lies on the pile %s: a part with a fault is never accepted', (standing, pile) => {
  expect(pileOf(unit(standing))).toBe(pile)
})
