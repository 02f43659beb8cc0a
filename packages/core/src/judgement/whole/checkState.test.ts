import { describe, expect, test } from '@jest/globals'
import { leadsCard, sceneOf, senderCard, Script, twinCard } from '../../testing'
import { answersFor } from './checkState'

const places = (...read: [number, string][]) => {
  const script = new Script(senderCard()).ready()
  for (const [x, text] of read) script.read('travel', text, { x })
  const check = script.state().checks.find((one) => one.check.id === 'travel')
  return check?.points.filter(({ reason, x }) => reason === 'not-read' && x !== undefined).map(({ x }) => x)
}

describe('a curve is read at both ends and between', () => {
  test.each<[string, [number, string][], (number | undefined)[]]>([
    ['nothing read', [], [0, 50, 100]],
    ['one end', [[0, '10']], [50, 100]],
    ['the other end', [[100, '190']], [0, 50]],
    ['between', [[40, '60']], [0, 100]],
    [
      'all three',
      [
        [0, '10'],
        [50, '72'],
        [100, '190'],
      ],
      [],
    ],
    [
      'as near to an end as a twentieth is at it',
      [
        [5, '16'],
        [95, '178'],
      ],
      [50],
    ],
    ['farther in it is between', [[6, '17']], [0, 100]],
    ['and from the other end', [[94, '176']], [0, 100]],
    [
      'off the curve it is at no end',
      [
        [-3, '8'],
        [103, '195'],
      ],
      [0, 50, 100],
    ],
  ])('%s', (_what, read, left) => expect(places(...read)).toEqual(left))
})

describe('of a set', () => {
  const missing = (...indices: number[]) => {
    const script = new Script(leadsCard()).ready()
    for (const index of indices) script.read('still', '9k', { index, x: 0.6 })
    const check = script.state().checks.find((one) => one.check.id === 'still')
    return check?.points.filter(({ reason }) => reason === 'not-read').map(({ index }) => index)
  }
  test('what was not read is listed by number', () => {
    expect(missing()).toEqual([1, 2, 3])
    expect(missing(2)).toEqual([1, 3])
    expect(missing(1, 2, 3)).toEqual([])
  })
})

test('a look is judged by what was seen, and what a remark holds is said to be held', () => {
  const look = (state: ReturnType<Script['state']>) => state.checks.find(({ check }) => check.kind === 'look')
  const place = look(new Script(twinCard()).state())?.check.at
  const where = place && 'place' in place ? place.place : 'the part'
  const id = look(new Script(twinCard()).state())?.check.id
  const seen = new Script(twinCard()).put({ kind: 'look', ...(id ? { check: id } : {}), place: where, what: ['sound'] })
  expect(look(seen.state())?.verdict).toBe('within')
  const held = new Script(twinCard()).ready().read('low', '322k').state()
  const low = held.checks.find(({ check }) => check.id === 'low')
  expect([low?.held, low?.points[0]?.held]).toEqual([true, true])
  const kept = new Script(twinCard())
    .ready()
    .read('low', '322')
    .state()
    .checks.find(({ check }) => check.id === 'low')
  expect([kept?.held, kept?.points[0]?.held]).toEqual([undefined, undefined])
})

describe('whether a reading answers for a point', () => {
  const { of, check } = sceneOf(
    new Script(twinCard())
      .ready()
      .read('low', '322')
      .read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
  )

  test('of one pair: that pair, whichever way round, and no other', () => {
    expect(answersFor({ pair: ['G', 'O'], covers: [] }, check('low'), of('low'))).toBe(true)
    expect(answersFor({ pair: ['O', 'T'], covers: [] }, check('low'), of('low'))).toBe(false)
  })

  test('of each to the frame: what the point covers, and never the frame itself', () => {
    const point = (...covers: string[]) => answersFor({ pair: ['T', 'frame'], covers }, check('frame'), of('frame'))
    expect(point('T', 'O')).toBe(true)
    expect(point('T', 'G')).toBe(false)
    expect(point('T', 'frame')).toBe(false)
  })

  test('of no pair at all: none', () => {
    expect(answersFor({ pair: ['O', 'G'], covers: [] }, check('low'), { ...of('low'), pair: undefined })).toBe(false)
  })
})
