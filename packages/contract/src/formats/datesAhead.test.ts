import { expect, test } from '@jest/globals'
import { datesAhead } from './datesAhead'

const ahead = (date: string | undefined, now = '2026-11-30T08:00:00.000Z') =>
  datesAhead({ sources: [{}, { date }] }, new Date(now)).map(({ path }) => path)

test('a day beyond tomorrow is one that was mistyped', () => {
  expect(ahead('2026-11-30')).toEqual([])
  expect(ahead('2026-12-01')).toEqual([])
  expect(ahead('2026-12-02')).toEqual(['sources[1].date'])
  expect(ahead('2062-11-30')).toEqual(['sources[1].date'])
  expect(ahead(undefined)).toEqual([])
})

test('tomorrow is tomorrow wherever the shop is', () => {
  // where it is the first of December already, tomorrow is the second
  expect(ahead('2026-12-02', '2026-11-30T10:00:00.000Z')).toEqual([])
  expect(ahead('2026-12-03', '2026-11-30T10:00:00.000Z')).toEqual(['sources[1].date'])
})
