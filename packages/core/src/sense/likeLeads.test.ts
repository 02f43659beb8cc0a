import { expect, test } from '@jest/globals'
import { openFrom } from '../conformance'
import type { Evaluation } from '../judgement'
import { coarseCard, Script } from '../testing'
import { momentOf } from '../testing/clauses'
import { readsLikeLeads } from './setUpRules'

interface Told {
  taken: number
  leads: { from: 'zero' | 'assumed'; ohms: number; entry?: string }
  zeros?: Record<string, number>
  before?: { touches: number; net?: number }[]
}
/** The rule on a reading of so many ohms, with the leads and what was read before as told. */
function says({ taken, leads, zeros = {}, before = [] }: Told) {
  const moment = momentOf(new Script(coarseCard()).ready().read('ignition', '0.57'))
  const leadChecks = Object.entries(zeros).map(([id, ohms]) => ({ id, ohms }))
  return readsLikeLeads.test({
    ...moment,
    bench: { ...moment.bench, tape: { ...moment.bench.tape, leadChecks: leadChecks as never } },
    evaluation: { ...moment.evaluation, taken, netU: 0.01, leads: leads as never },
    before: before.map(({ touches, net }) => ({ check: { touches: { size: touches } }, net }) as unknown as Evaluation),
  })
}
const assumed = { from: 'assumed', ohms: 0.2 } as const
const zeroed = { from: 'zero', ohms: 0.2, entry: 'mine' } as const

test('as much as the leads that were assumed, within twice the uncertainty', () => {
  expect(says({ taken: 0.2, leads: assumed })).toMatchObject({ severity: 'warn', params: { value: 0.2 } })
  expect(says({ taken: 0.2195, leads: assumed })).not.toBeNull()
  expect(says({ taken: 0.2205, leads: assumed })).toBeNull()
})

test('zeroed, what that zero left in later readings counts, and no other zero', () => {
  const zeros = { other: 0.5, mine: 0 }
  expect(says({ taken: 0, leads: zeroed, zeros })).not.toBeNull()
  expect(says({ taken: 0.2, leads: zeroed, zeros })).toBeNull()
  expect(says({ taken: 0.5, leads: zeroed, zeros })).toBeNull()
  expect(says({ taken: 0.2, leads: zeroed, zeros: { other: 0.2 } })).toBeNull()
})

test.each([
  ['a plain wire that reads so', { touches: 0, net: 0.4 }, 0.4, true],
  ['a winding that reads so', { touches: 1, net: 0.4 }, 0.4, false],
  ['a wire without a figure', { touches: 0 }, 0.4, false],
  ['a wire that reads open', { touches: 0, net: openFrom }, openFrom, false],
])('against %s', (_, before, taken, speaks) => {
  expect(says({ taken, leads: assumed, before: [before] }) !== null).toBe(speaks)
})
