import type { QueueUnit } from '@sure-spool/contract'
import { describe, expect, test } from '@jest/globals'
import { cardsOn, pileOf } from './piles'
import { trayOffers } from './useTrayDecision'

const unit = (standing: Partial<QueueUnit['standing']> | undefined) => ({ standing }) as QueueUnit

test.each([
  [undefined, 'to-do'],
  [{ closed: false, step: 'reading:a', finding: 'undecided' }, 'to-do'],
  [{ closed: false, step: 'finding', finding: 'undecided' }, 'found'],
  [{ closed: false, step: 'reading:b', finding: 'no-fault-found' }, 'found'],
  [{ closed: false, step: 'reading:b', finding: 'fault-found' }, 'found'],
  [{ closed: true, finding: 'no-fault-found', decision: 'return' }, 'accepted'],
  [{ closed: true, finding: 'no-fault-found', decision: 'clean' }, 'accepted'],
  [{ closed: true, finding: 'undecided', decision: 'return' }, 'neither'],
  [{ closed: true, finding: 'undecided', decision: 'replace' }, 'rejected'],
  [{ closed: true, finding: 'fault-found', decision: 'return' }, 'rejected'],
  [{ closed: true, finding: 'fault-found', decision: 'rewind' }, 'rejected'],
  [{ closed: true, finding: 'no-fault-found', decision: 'replace-neighbour' }, 'neither'],
  [{ closed: true, finding: 'undecided', decision: 'clean' }, 'neither'],
  [{ closed: true, finding: 'no-fault-found', decision: 'replace' }, 'rejected'],
] as const)('%j lies on the pile %s: a part with a fault is never accepted', (standing, pile) => {
  expect(pileOf(unit(standing))).toBe(pile)
})

const on = (tag: string, model: string, standing?: Partial<QueueUnit['standing']>, revision = 1) =>
  ({
    id: tag,
    tag,
    model,
    maker: 'M',
    family: 'relay',
    history: 'used',
    card: { id: model, revision },
    standing,
  }) as QueueUnit

test('a tray of several kinds is read by the card of each, in the order in which they come; another revision is another card', () => {
  const kinds = cardsOn([on('A', 'make'), on('B', 'change'), on('C', 'make'), on('D', 'make', undefined, 2)])
  expect(kinds.map(({ key, tags }) => [key, tags])).toEqual([
    ['make@1', ['A', 'C']],
    ['change@1', ['B']],
    ['make@2', ['D']],
  ])
  expect(cardsOn([])).toEqual([])
})

describe('one decision for a tray', () => {
  const found = (finding: 'no-fault-found' | 'fault-found' | 'undecided', closed = false) => ({
    finding,
    closed,
    step: 'finding',
    run: 'r',
  })

  test('what is sound goes back and what failed is replaced, each by its own offer', () => {
    const offers = trayOffers([
      on('A', 'make', found('no-fault-found')),
      on('B', 'change', found('no-fault-found')),
      on('C', 'make', found('fault-found')),
    ])
    expect(offers.map(({ what, label, units }) => [what, label, units.map(({ tag }) => tag)])).toEqual([
      ['return', 'return as is, all 2', ['A', 'B']],
      ['replace', 'replace', ['C']],
    ])
    expect(offers[0]?.hint).toBe('A, B; the sheets list what is not proved')
  })

  test('what is undecided, closed or not begun is decided on the bench', () => {
    expect(
      trayOffers([on('A', 'm', found('undecided')), on('B', 'm', found('no-fault-found', true)), on('C', 'm')]),
    ).toEqual([])
  })
})
