import { expect, test } from '@jest/globals'
import type { EntryOf } from '@sure-spool/core'
import { armatureCard, leadsCard, twinCard } from '@sure-spool/core/testing'
import { workDone, workPlace } from './works'

const done = (work: Partial<EntryOf<'work'>>) =>
  ({ id: 'e', run: 'r', n: 1, at: '', by: 'p', kind: 'work', what: 'splice', place: 'G', ...work }) as EntryOf<'work'>

test('work is told in the card’s own names', () => {
  expect(workDone(twinCard(), done({}))).toBe('spliced: grey')
  expect(workDone(twinCard(), done({ what: 'clean', place: 'low' }))).toBe('cleaned: low-speed charge coil')
  expect(workDone(twinCard(), done({ what: 'fix', place: 'the boots', words: 'wax' }))).toBe('fixed: the boots. wax')
})

test('a bar or an item is told as its family counts', () => {
  expect(workPlace(armatureCard(), 'item 17')).toBe('bars 17 and the next')
  expect(workPlace(leadsCard(), 'item 3')).toBe('lead 3')
  expect(workPlace(twinCard(), 'item 3')).toBe('number 3')
})
