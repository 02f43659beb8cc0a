import { describe, expect, test } from '@jest/globals'
import { prepareCard } from '../judgement'
import { armatureCard, leadsCard, plainCard, plainCheck, Script, senderCard } from '../testing'
import { readingSet } from './readingSet'

const setOf = (script: Script, id: string) => {
  const check = prepareCard(script.run.card, script.run.unit).checks.get(id)
  if (!check) throw new Error(`the card has no ${id}`)
  return readingSet(script.state(), check)
}

describe('bars', () => {
  const bars = (...texts: string[]) => {
    const script = new Script(armatureCard()).ready()
    for (const [i, text] of texts.entries()) script.read('bars', text, { index: i + 1 })
    return setOf(script, 'bars')
  }

  test('stand at their numbers with their verdicts, and the ring says how many there are', () => {
    const set = bars('.41', '.42', '.41', '.30', '.42', '.41', '.41', '.42')
    expect(set.points.map(({ at }) => at)).toEqual([1, 2, 3, 4, 5, 6, 7, 8])
    expect(set.points[3]).toEqual({ at: 4, value: 0.3, verdict: 'outside' })
    expect(set).toMatchObject({ count: 8, perMetre: false, curve: [] })
  })

  test('none read yet: no points, no limits, and the number of bars all the same', () => {
    expect(bars()).toEqual({ points: [], band: {}, curve: [], perMetre: false, count: 8 })
  })

  test('a bar that read over range has no place in the drawing', () => {
    expect(bars('.41', 'OL 60').points.map(({ at }) => at)).toEqual([1])
  })
})

describe('leads by the metre', () => {
  const leads = (...read: [index: number, text: string, x?: number][]) => {
    const script = new Script(leadsCard()).ready()
    for (const [index, text, x] of read) script.read('still', text, { index, ...(x === undefined ? {} : { x }) })
    return setOf(script, 'still')
  }

  test('each over its own length, against the tolerance of a metre', () => {
    const set = leads([1, '6.0k', 0.4], [2, '9.0k', 0.5])
    expect(set.points).toEqual([
      { at: 1, value: 15_000, verdict: 'within' },
      { at: 2, value: 18_000, verdict: expect.any(String) },
    ])
    expect(set.band).toEqual({ min: 12_000, max: 18_000 })
    expect(set).toMatchObject({ perMetre: true, count: 3, curve: [] })
  })

  test('one without a length, or of none, is left out of those that have one', () => {
    expect(leads([1, '6.0k', 0.4], [2, '9.0k']).points.map(({ at }) => at)).toEqual([1])
    expect(leads([1, '6.0k', 0.4], [2, '9.0k', 0]).points.map(({ at }) => at)).toEqual([1])
  })

  test('where none has a length they are not by the metre', () => {
    expect(leads([1, '6.0k'])).toMatchObject({ perMetre: false, points: [{ at: 1, value: 6000 }] })
  })
})

describe('a curve', () => {
  const sender = (...read: [x: number, text: string][]) => {
    const script = new Script(senderCard()).ready()
    for (const [x, text] of read) script.read('travel', text, { x })
    return setOf(script, 'travel')
  }

  test('has its places, its tolerance from end to end, and no band', () => {
    const { points, band, curve, perMetre, count } = sender([0, '10.2'], [100, '188'])
    expect(points.map(({ at, value }) => [at, value])).toEqual([
      [0, 10.2],
      [100, 188],
    ])
    expect([band, perMetre, count]).toEqual([{}, false, 0])
    expect(curve).toHaveLength(41)
    expect(curve[0]).toEqual({ x: 0, min: expect.closeTo(9, 9), max: expect.closeTo(11, 9) })
    expect(curve[20]).toEqual({ x: 50, min: expect.closeTo(64.8, 9), max: expect.closeTo(79.2, 9) })
    expect(curve[40]).toEqual({ x: 100, min: expect.closeTo(171, 9), max: expect.closeTo(209, 9) })
  })
})

test('a set without a tolerance by the metre is held against the limits of its check, and has as many as it says', () => {
  const card = plainCard({
    family: 'other',
    terminals: ['A', 'B'].map((id) => ({ id, label: id, aliases: [] })),
    checks: [
      plainCheck('set', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 9, max: 11 }, { items: 4 }),
      plainCheck('bare', 'resistance', { pair: ['A', 'B'] }, undefined, { items: 2 }),
    ],
  })
  const script = new Script(card).ready().read('set', '10.0', { index: 2 }).read('bare', '7.0', { index: 1 })
  expect(setOf(script, 'set')).toMatchObject({ band: { min: 9, max: 11 }, count: 4, points: [{ at: 2, value: 10 }] })
  expect(setOf(script, 'bare')).toMatchObject({ band: {}, count: 2, points: [{ at: 1, value: 7, verdict: 'none' }] })
})
