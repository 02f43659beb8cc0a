import { expect, test } from '@jest/globals'
import { twinCard } from '@sure-spool/core/testing'
import { isBeginning, learnedLimit } from './draftBeginning'

const today = '2026-03-02'
const five = { learn: 'low', min: '310.25', max: '327.02', n: '5' }
const learnedOn = (query: Record<string, string>, card = twinCard()) => {
  learnedLimit(query, today)?.(card)
  return card
}
const low = (card: ReturnType<typeof twinCard>) => card.checks.find(({ id }) => id === 'low')

test('an address begins a card where it names what it begins from', () => {
  for (const key of ['begin', 'family', 'from', 'run']) expect(isBeginning({ [key]: '1' })).toBe(true)
  expect(isBeginning({ learn: 'low' })).toBe(false)
})

test('a limit learned from five known-good units has four digits, their source, and 20 °C', () => {
  const card = learnedOn(five)
  const source = card.sources.at(-1)
  expect(source).toMatchObject({ grade: 'measured', title: '5 known-good units of this shop', date: today, units: 5 })
  expect(low(card)?.limits.at(-1)).toMatchObject({
    for: 'any',
    limit: { kind: 'band', min: 310.3, max: 327 },
    referenceC: 20,
    source: source?.id,
  })
  expect(low(card)?.limits).toHaveLength((low(twinCard())?.limits.length ?? 0) + 1)
})

test('another limit from as many units stands on the same source', () => {
  const once = learnedOn(five)
  const twice = learnedOn({ ...five, min: '311' }, once)
  expect(twice.sources).toHaveLength(twinCard().sources.length + 1)
  expect(low(twice)?.limits.at(-1)?.source).toBe(low(twice)?.limits.at(-2)?.source)
  const ids = low(twice)?.limits.map(({ id }) => id) ?? []
  expect(new Set(ids).size).toBe(ids.length)
})

test.each([
  ['four units', { ...five, n: '4' }],
  ['no number of units', { ...five, n: 'many' }],
  ['a lower limit at the upper one', { ...five, min: '327.02' }],
  ['a limit that is no number', { ...five, max: 'high' }],
  ['no check named', { min: '1', max: '2', n: '9' }],
  ['a check that the card does not have', { ...five, learn: 'elsewhere' }],
])('%s: nothing is learned', (_, query) => {
  expect(learnedOn(query)).toEqual(twinCard())
})
