import { describe, expect, test } from '@jest/globals'
import { twinCard } from '@sure-spool/core/testing'
import type { Outgoing } from '../store/outgoing'
import { asideWords } from './asideWords'

const at = '2026-03-02T09:15:00.000Z'
const entry = (body: object): Outgoing =>
  ({ id: 'e', kind: 'entry', run: 'r', body: { id: 'e', run: 'r', n: 1, at, by: 'p', ...body } }) as Outgoing

describe('what was set aside, in the words of who made it', () => {
  test.each<[string, Outgoing, string, RegExp]>([
    ['a card', { id: 'c', kind: 'card', body: { card: twinCard(), by: 'p' } } as Outgoing, 'Card', /^Orrinvale/],
    ['a part', { id: 'u', kind: 'unit', body: { tag: 'SQ-9', takenInAt: at } } as Outgoing, 'Part taken in', /^SQ-9, /],
    ['a run', { id: 'r', kind: 'run', body: { startedAt: at } } as Outgoing, 'Run begun', /\d/],
    ['a reading', entry({ kind: 'reading', check: 'low', reading: { text: '318' } }), 'Reading 318', /^low-speed/i],
    [
      'an answer',
      entry({ kind: 'reading', check: 'x', reading: { text: '', answer: 'strikes' } }),
      'Reading strikes',
      /^x, /,
    ],
    ['a decision', entry({ kind: 'decision', what: 'return', why: 'sound' }), 'Decision: return as is', /^sound, /],
    ['a note', entry({ kind: 'note', words: 'wet' }), 'Note', /^wet, /],
    ['a lead check', entry({ kind: 'lead-check' }), 'Leads', /\d/],
  ])('%s', (_what, item, what, of) => {
    const said = asideWords(item, twinCard())
    expect(said.what).toBe(what)
    expect(said.of).toMatch(of)
  })
})
