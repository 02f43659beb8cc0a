import { expect, test } from '@jest/globals'
import type { Limit } from '../document'
import { plainCard, plainCheck, plainTerminals, Script } from '../testing'

const rising = [
  { x: 0, ohms: 6 },
  { x: 50, ohms: 92 },
  { x: 100, ohms: 178 },
]
/** A sender swept from place to place, as typed. */
function swept(read: [x: number, text: string][], points = rising) {
  const limit: Limit = { kind: 'curve', points, tolerancePct: 12 }
  const card = plainCard({
    family: 'sender',
    terminals: plainTerminals('s', 'frame'),
    checks: [plainCheck('travel', 'curve', { pair: ['s', 'frame'] }, limit)],
  })
  const script = read.reduce((one, [x, text]) => one.read('travel', text, { x }), new Script(card).ready())
  return script.state().remarks.find(({ id }) => id === 'sweep-back')
}

test('a figure that goes back on its way is told with its two places', () => {
  const told = swept([
    [0, '6.1'],
    [50, '92.0'],
    [55, '89.5'],
    [100, '178.0'],
  ])
  expect(told).toMatchObject({ severity: 'warn', params: { check: 'travel', from: 50, to: 55 } })
  expect(told?.params).toMatchObject({ before: expect.closeTo(92, 6), after: expect.closeTo(89.5, 6) })
})

test.each<[string, [number, string][]]>([
  [
    'it only rises',
    [
      [0, '6.1'],
      [50, '92.0'],
      [55, '100.0'],
      [100, '178.0'],
    ],
  ],
  [
    'it goes back by no more than the hand',
    [
      [0, '6.1'],
      [50, '92.0'],
      [51, '90.9'],
      [100, '178.0'],
    ],
  ],
  [
    'two places are no way',
    [
      [0, '92.0'],
      [50, '6.1'],
    ],
  ],
  [
    'what reads open is a fault of its own',
    [
      [0, '6.1'],
      [50, 'OL 600'],
      [100, '178.0'],
    ],
  ],
])('not where %s', (_what, read) => expect(swept(read)).toBeUndefined())

test('in whatever order it was read, falling as well as rising, and not where its curve itself turns', () => {
  const falling = rising.map(({ x, ohms }) => ({ x: 100 - x, ohms }))
  expect(
    swept(
      [
        [100, '6.1'],
        [45, '89.5'],
        [50, '92.0'],
        [40, '95.0'],
        [0, '178.0'],
      ],
      falling,
    )?.params,
  ).toMatchObject({ from: 45, to: 50 })
  const turning = [...rising, { x: 120, ohms: 100 }]
  expect(
    swept(
      [
        [0, '6.1'],
        [100, '178.0'],
        [120, '100.0'],
      ],
      turning,
    ),
  ).toBeUndefined()
})
