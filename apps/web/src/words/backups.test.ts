import { expect, test } from '@jest/globals'
import type { Backups } from '@sure-spool/contract'
import { backupDoubt, sizeWords, trialWords } from './backups'

const tried = { at: '2026-11-30T04:01:00.000Z', tables: 21, differ: [] }
const one = (at: string, more: object = {}): Backups['backups'][number] => ({ at, bytes: 5, tried, ...more })
const now = new Date('2026-11-30T12:00:00.000Z')
const doubt = (...backups: Backups['backups']) => backupDoubt({ kept: true, backups }, now)

test('how much it holds', () => {
  expect([10, 1499, 999_000, 1_250_000].map(sizeWords)).toEqual([
    '1\u2009kB',
    '1\u2009kB',
    '999\u2009kB',
    '1.3\u2009MB',
  ])
})

test('what its trial found', () => {
  expect(trialWords(one(tried.at))).toMatch(/^30 November 2026, \d\d:\d\d: all 21 tables the same$/)
  expect(trialWords(one(tried.at, { tried: { ...tried, differ: ['entries', 'runs'] } }))).toContain(
    '21 tables; work went on in entries, runs',
  )
  expect(trialWords(one(tried.at, { tried: { ...tried, tables: 0 } }))).toContain('nothing came back')
  expect(trialWords(one(tried.at, { tried: undefined }))).toBe('not tried yet')
})

test('what is wrong with how it is backed up', () => {
  expect(doubt(one('2026-11-30T04:00:00.000Z'))).toBe('')
  expect(doubt(one('2026-11-28T12:00:01.000Z'))).toBe('')
  expect(doubt(one('2026-11-28T12:00:00.000Z'))).toContain('2 days old')
  expect(doubt(one('2026-11-30T04:00:00.000Z', { tried: undefined }))).toContain('never brought back')
  expect(doubt()).toContain('no backup yet')
  expect(backupDoubt({ kept: false, backups: [] }, now)).toBe('')
})
