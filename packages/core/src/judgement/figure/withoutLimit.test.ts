import { expect, test } from '@jest/globals'
import type { Limit } from '../../document'
import { armatureCard, plainCard, plainCheck, plainTerminals, scenes, Script } from '../../testing'
import { judgeFigure } from './judgeFigure'

const rewound: Limit = { kind: 'band', min: 90, max: 110 }
const read = (limits: 'none' | 'for rewound', history: 'used' | 'rewound') => {
  const check = plainCheck('coil', 'resistance', { pair: ['a', 'b'] }, rewound)
  const stated = check.limits.map((one) => ({ ...one, for: 'rewound' as const }))
  const card = plainCard({
    family: 'solenoid',
    terminals: plainTerminals('a', 'b'),
    checks: [{ ...check, limits: limits === 'none' ? [] : stated }],
  })
  const [one] = new Script(card, { unit: { history } }).ready().read('coil', '100').state().evaluations.values()
  return [one?.verdict, one?.reason]
}

test('a figure without a limit says whether there is one for another history', () => {
  expect(read('none', 'used')).toEqual(['none', 'no-limit'])
  expect(read('for rewound', 'used')).toEqual(['none', 'no-limit-for-history'])
  expect(read('for rewound', 'rewound')[0]).toBe('within')
})

test.each([
  ['pair-matrix', () => scenes.pickup().all[0]],
  ['three-pins', () => scenes.pins().all[0]],
  ['contacts', () => scenes.relay().all.find(({ check }) => check.kind === 'contacts')],
] as const)('%s is judged together, not by itself', (kind, find) => {
  const one = find()
  expect(one?.check.kind).toBe(kind)
  if (!one) return
  const { reason } = judgeFigure({ ...one, reason: undefined, limit: undefined }, undefined)
  expect(reason).toBe('judged-together')
})

test('so is what should be alike', () => {
  const [one] = new Script(armatureCard()).ready().read('bars', '0.4', { index: 1 }).state().evaluations.values()
  expect([one?.verdict, one?.reason]).toEqual(['none', 'judged-together'])
})
