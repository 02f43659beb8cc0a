import { describe, expect, test } from '@jest/globals'
import { readTape, prepareCard } from '..'
import { plainCard, plainCheck, plainTerminals, Script } from '../../testing'
import { outdated } from './stages'

/** Two windings that share a lead, one apart, each to frame; a ring of bars. */
const card = plainCard({
  family: 'other',
  terminals: plainTerminals('a', 'b', 'c', 'd', 'e', 'frame'),
  windings: [
    { id: 'first', label: 'first', from: 'a', to: 'b', material: 'copper' },
    { id: 'second', label: 'second', from: 'b', to: 'c', material: 'copper' },
    { id: 'apart', label: 'apart', from: 'd', to: 'e', material: 'copper' },
  ],
  checks: [
    plainCheck('first', 'resistance', { pair: ['a', 'b'] }, { kind: 'band', min: 1, max: 9 }),
    plainCheck('apart', 'resistance', { pair: ['d', 'e'] }, { kind: 'band', min: 1, max: 9 }),
    plainCheck('ground', 'resistance', { each: ['a', 'd'], to: 'frame' }, { kind: 'open', atLeast: 1e6 }),
    plainCheck('bars', 'bars', { ring: 5 }, { kind: 'alike', allowedPct: 8 }),
  ],
})

/** Whether a reading is of an earlier stage, once something was done at a place after it. */
function isOutdated(check: string, place: string, more: { pair?: [string, string]; index?: number } = {}): boolean {
  const script = new Script(card).ready().read(check, '5', more)
  const reading = script.run.entries.at(-1)
  script.put({ kind: 'work', what: 'clean', place })
  const tape = readTape(script.run)
  const prepared = prepareCard(card)
  const entry = tape.readings.find(({ id }) => id === reading?.id)
  const prepared1 = prepared.checks.get(check)
  if (!entry || !prepared1) throw new Error(`${check} was not read`)
  const pair = more.pair ?? ('pair' in prepared1.at ? prepared1.at.pair : undefined)
  return outdated(tape, prepared, prepared1, entry, pair)
}

describe('work on a part makes earlier readings of what it touched another stage', () => {
  test('on a winding: those of that winding, and no other’s', () => {
    expect(isOutdated('first', 'first')).toBe(true)
    expect(isOutdated('first', 'second')).toBe(false)
    expect(isOutdated('apart', 'first')).toBe(false)
  })

  test('on a winding: the ground test of its whole group, whichever lead was touched', () => {
    const first = { pair: ['a', 'frame'] as [string, string] }
    const other = { pair: ['d', 'frame'] as [string, string] }
    expect(isOutdated('ground', 'first', first)).toBe(true)
    expect(isOutdated('ground', 'second', first)).toBe(true)
    expect(isOutdated('ground', 'apart', first)).toBe(false)
    expect(isOutdated('ground', 'apart', other)).toBe(true)
    expect(isOutdated('ground', 'first', other)).toBe(false)
  })

  test('on a lead: the pairs that have it, and the ground test of its group', () => {
    expect(isOutdated('first', 'a')).toBe(true)
    expect(isOutdated('first', 'c')).toBe(false)
    expect(isOutdated('apart', 'a')).toBe(false)
    expect(isOutdated('ground', 'c', { pair: ['a', 'frame'] })).toBe(true)
    expect(isOutdated('ground', 'e', { pair: ['a', 'frame'] })).toBe(false)
    // bare metal that was cleaned is no group
    expect(isOutdated('first', 'frame')).toBe(false)
  })

  test('on a bar: that bar alone; of no bar, every bar', () => {
    expect(isOutdated('bars', 'item 3', { index: 3 })).toBe(true)
    expect(isOutdated('bars', 'item 3', { index: 4 })).toBe(false)
    expect(isOutdated('bars', 'the part', { index: 4 })).toBe(true)
  })

  test('anywhere else, everything', () => {
    expect(isOutdated('first', 'the housing')).toBe(true)
    expect(isOutdated('ground', 'the housing', { pair: ['a', 'frame'] })).toBe(true)
  })

  test('what was read after it stands', () => {
    const script = new Script(card).ready().put({ kind: 'work', what: 'clean', place: 'first' }).read('first', '5')
    const tape = readTape(script.run)
    const check = prepareCard(card).checks.get('first')
    const [entry] = tape.readings
    if (!check || !entry) throw new Error('not read')
    expect(outdated(tape, prepareCard(card), check, entry, ['a', 'b'])).toBe(false)
  })
})
