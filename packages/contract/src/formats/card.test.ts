import { readFileSync, readdirSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '@sure-spool/core'
import { twinCard, Script } from '@sure-spool/core/testing'
import { cardSchema } from './card'
import { readDocument } from './read'
import { runSchema } from './run'

const problems = (change: (card: Card) => void) => {
  const card = twinCard()
  change(card)
  const read = readDocument(JSON.stringify(card), cardSchema)
  return read.ok ? [] : read.problems
}

describe('a card file', () => {
  test.each(readdirSync('demo/cards'))('%s is sound, and its windings fit their checks', (name) => {
    const read = readDocument(readFileSync(`demo/cards/${name}`, 'utf8'), cardSchema)
    expect(read).toMatchObject({ ok: true })
  })

  test('each contradiction is told with its path', () => {
    const found = (change: (card: Card) => void) => problems(change).map((problem) => problem.path)
    expect(found((card) => Object.assign(card.windings[0] ?? {}, { to: 'X' }))).toEqual(['windings[0].to'])
    expect(found((card) => card.terminals.push({ id: 'O', label: 'again', aliases: [] }))).toEqual(['terminals[6].id'])
    expect(found((card) => Object.assign(card.checks[1]?.limits[0] ?? {}, { source: 'nobody' }))).toEqual([
      'checks[1].limits[0].source',
    ])
    expect(
      found((card) => Object.assign(card.checks[1]?.limits[1] ?? {}, { limit: { kind: 'band', min: 9, max: 1 } })),
    ).toEqual(['checks[1].limits[1].limit'])
    expect(found((card) => Object.assign(card.relations[0] ?? {}, { whole: 'gone' }))).toEqual(['relations[0].whole'])
    expect(found((card) => Object.assign(card.plugs[0]?.cavities[0] ?? {}, { terminal: 'gone' }))).toEqual([
      'plugs[0].cavities[0].terminal',
    ])
    const conditions = (made: object) => (card: Card) => Object.assign(card.checks[1] ?? {}, { conditions: made })
    expect(found(conditions({ joined: [['O', 'gone']] }))).toEqual(['checks[1].conditions.joined[0]'])
    expect(found(conditions({ drive: { plus: 'gone', minus: 'frame' } }))).toEqual(['checks[1].conditions.drive.plus'])
    expect(found(conditions({ drive: null, joined: [['O', 'frame']] }))).toEqual([])
    expect(found((card) => (card.care.electronicsBetween = [['gone', 'O']]))).toEqual(['care.electronicsBetween[0]'])
    expect(
      found((card) =>
        card.hints.push({
          when: { check: 'gone', verdict: 'outside' },
          suspects: ['low'],
          text: 'a figure of nothing',
        }),
      ),
    ).toEqual([`hints[${twinCard().hints.length}].when.check`])
    expect(found((card) => Object.assign(card, { surprise: 1 }))).toEqual(['surprise'])
    expect(found((card) => Object.assign(card, { version: 2 }))).toEqual(['version'])
  })

  test('JSON that is cut off is told so, in a sentence', () => {
    expect(readDocument('{"format":"sure-spool/card",', cardSchema)).toMatchObject({
      ok: false,
      problems: [{ detail: expect.stringContaining('cut off') }],
    })
  })
})

describe('a run file', () => {
  test('comes back the same, and an entry that stands twice is refused', () => {
    const { run } = new Script(twinCard()).ready().read('low', '318')
    expect(readDocument(JSON.stringify(run), runSchema)).toEqual({ ok: true, value: JSON.parse(JSON.stringify(run)) })
    const twice = { ...run, entries: [...run.entries, run.entries[0]] }
    expect(readDocument(JSON.stringify(twice), runSchema)).toMatchObject({
      ok: false,
      problems: [{ path: 'entries[4].id' }],
    })
  })
})
