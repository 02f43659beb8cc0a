import { beforeEach, describe, expect, test } from '@jest/globals'
import { beginBrowser } from '../testing/browser'
import { clockOff, clockWords, hearClock, recallClock, rightNow, stampNow } from './clock'

const at = Date.UTC(2026, 10, 29, 8, 0, 0)
const date = new Date(at).toUTCString()

beforeEach(() => {
  beginBrowser()
  clockOff.value = 0
})

describe('the server’s time', () => {
  test('a clock that is right enough is left alone', () => {
    for (const off of [-59_000, 0, 59_000]) hearClock(date, at + off, at + off + 800)
    expect([clockOff.value, stampNow().clock]).toEqual([0, undefined])
  })

  test.each([
    [420_000, -420],
    [-420_000, 420],
    [-61_000, 61],
  ])('a clock that is %i ms ahead is put right, and what is stamped says so', (ahead, off) => {
    hearClock(date, at + ahead, at + ahead + 1000)
    expect(clockOff.value).toBe(off)
    const before = Date.now() + off * 1000
    const stamp = stampNow()
    expect(stamp.clock).toBe(off)
    expect(Date.parse(stamp.at)).toBeGreaterThanOrEqual(before)
    expect(rightNow().getTime() - before).toBeLessThan(60_000)
  })

  test('an answer that took long, or without a date, says nothing of it', () => {
    hearClock(date, at + 900_000, at + 902_001)
    hearClock(null, at + 900_000, at + 900_001)
    hearClock('soon', at + 900_000, at + 900_001)
    expect(clockOff.value).toBe(0)
  })

  test('is remembered for when the server is away, until it is heard to be right', () => {
    hearClock(date, at + 900_000, at + 901_000)
    clockOff.value = 0
    recallClock()
    expect(clockOff.value).toBe(-900)
    hearClock(date, at, at)
    clockOff.value = 5
    recallClock()
    expect(clockOff.value).toBe(0)
  })
})

test.each([
  [0, ''],
  [61, 'this clock is 1 minute behind'],
  [-420, 'this clock is 7 minutes ahead'],
  [-7200, 'this clock is 2 hours ahead'],
  [3 * 86_400, 'this clock is 3 days behind'],
])('%i seconds: %s', (seconds, words) => {
  expect(clockWords(seconds)).toBe(words)
})
