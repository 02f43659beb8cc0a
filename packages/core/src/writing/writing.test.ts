import { readdirSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { families } from '../document'
import { runState } from '../state'
import { demoCard, Script, twinCard } from '../testing'
import { cardFromRun, cardGaps, cardTemplate, compareCards, freeId, proposedRelations, sketchCard } from '.'

const id = '019b0000-0000-7000-8000-000000000001'
const names = readdirSync('demo/cards').map((name) => name.replace('.json', ''))
const parts = [
  { id: 'red', label: 'red' },
  { id: 'black', label: 'black' },
  { id: 'white', label: 'white' },
]

test.each(families)('a template of %s begins with the frame, a look and its cautions, and lacks the rest', (family) => {
  const card = cardTemplate(id, family)
  expect(card.care.cautions.length).toBeGreaterThan(0)
  const gaps = cardGaps(card).gaps.map((one) => one.id)
  expect(gaps).toEqual(expect.arrayContaining(['no-name', 'no-check']))
  expect(gaps.includes('construction-unset')).toBe(family === 'relay' || family === 'compressor')
})

describe('a part without figures', () => {
  test('is sketched with each pair and the frame, and worked at once', () => {
    const card = sketchCard(id, 'solenoid', 'brass thing', parts, true)
    expect(card.state).toBe('sketch')
    expect(card.checks.map((check) => check.id)).toEqual([
      'look',
      'red-black',
      'red-white',
      'black-white',
      'frame',
      'acts',
    ])
    const state = new Script(card).ready(20).read('red-black', '40.1').state()
    expect(state.steps.filter(({ step }) => step.kind === 'reading')).toHaveLength(6)
    expect(state.finding.word).toBe('undecided')
  })

  test('with many terminals asks for neighbours only, and without a frame for none', () => {
    const many = Array.from({ length: 12 }, (_, i) => ({ id: `t${i}`, label: `wire ${i}` }))
    const card = sketchCard(id, 'other', 'loom', many, false)
    expect(card.checks.filter((check) => check.kind === 'resistance')).toHaveLength(11)
    expect(card.terminals.some((one) => one.id === 'frame')).toBe(false)
  })

  test('a shield is no end of a winding: it is asked for to the frame, by a beep, and may be joined to it', () => {
    const names = ['brown', 'blue', 'Shield']
    const card = sketchCard(
      id,
      'pickup',
      'drone',
      names.map((label, i) => ({ id: `t${i}`, label })),
      true,
    )
    expect(card.checks.map((check) => `${check.kind} ${check.id}`)).toEqual([
      'look look',
      'resistance t0-t1',
      'continuity t2-frame',
      'resistance frame',
    ])
    expect(card.checks.find((check) => check.id === 'frame')?.at).toEqual({ each: ['t0', 't1'], to: 'frame' })
    expect(card.terminals.find((one) => one.id === 't2')?.part).toBe('shield')
  })

  test('becomes a draft of what was read: figures at their reference, what was open as open, wholes not as windings', () => {
    const sketch = sketchCard(id, 'solenoid', 'brass thing', parts, true)
    const script = new Script(sketch)
      .ready(40)
      .read('red-black', '43.1')
      .read('black-white', '21.6')
      .read('red-white', '64.7')
      .framed('red', 'black', 'white')
    const draft = cardFromRun(runState(script.run), '019b0000-0000-7000-8000-000000000002')
    expect(draft).toMatchObject({ state: 'draft', revision: 1 })
    const [limit] = draft.checks.find((check) => check.id === 'red-black')?.limits ?? []
    expect(limit?.limit).toMatchObject({ kind: 'nominal', minusPct: 10 })
    if (limit && limit.limit !== 'derived' && limit.limit.kind === 'nominal')
      expect(limit.limit.value).toBeCloseTo((43.1 * 254.5) / 274.5, 0)
    expect(draft.windings.map((one) => [one.from, one.to])).toEqual([
      ['black', 'white'],
      ['red', 'black'],
    ])
    expect(draft.sources.at(-1)).toMatchObject({ grade: 'guess', units: 1 })
    expect(draft.checks.find((check) => check.id === 'frame')?.limits).toHaveLength(1)
    expect(sketch.windings).toEqual([])
  })
})

describe('what a card leaves out', () => {
  test.each(names)('%s of the demo leaves nothing out that a technician would miss', (name) => {
    const serious = cardGaps(demoCard(name)).gaps.filter((one) =>
      ['no-name', 'no-check', 'no-source', 'construction-unset', 'source-untitled'].includes(one.id),
    )
    expect(serious).toEqual([])
  })

  test('a terminal that nothing tests, a winding nobody reads, a check without a limit', () => {
    const card = twinCard()
    card.terminals.push({ id: 'B', label: 'blue', aliases: [] })
    card.windings.push({ id: 'extra', label: 'extra', from: 'B', to: 'frame', material: 'copper' })
    card.checks = card.checks.map((check) => (check.id === 'high' ? { ...check, limits: [] } : check))
    expect(cardGaps(card).gaps).toEqual(
      expect.arrayContaining([
        { id: 'terminal-untested', about: 'B' },
        { id: 'terminal-unplugged', about: 'B' },
        { id: 'winding-unread', about: 'extra' },
        { id: 'winding-no-ohms', about: 'extra' },
        { id: 'no-limit', about: 'high' },
      ]),
    )
  })

  test('a reading that a relation judges needs no limit of its own; a sum or a ratio does not judge it', () => {
    const withoutLimits = (name: string, id: string) => {
      const card = demoCard(name)
      card.checks = card.checks.map((check) => (check.id === id ? { ...check, limits: [] } : check))
      return cardGaps(card)
        .gaps.filter((gap) => gap.id === 'no-limit')
        .map((gap) => gap.about)
    }
    expect(withoutLimits('duskwater-dv24', 'draw')).toEqual([])
    expect(withoutLimits('lanternreed-two-coil', 'first')).toEqual([])
    expect(withoutLimits('orrinvale-18-twin', 'low')).toEqual(['low'])
  })
})

describe('relations that follow from the windings', () => {
  test('of the twin: the series is the sum, sisters on one core keep their ratio', () => {
    const card = { ...twinCard(), relations: [] }
    expect(proposedRelations(card, 's1')).toMatchObject([
      { kind: 'sum', parts: ['low', 'high'], whole: 'series' },
      { kind: 'ratio', of: 'low', to: 'high', ratio: 8.712 },
    ])
    expect(proposedRelations(twinCard(), 's1')).toEqual([])
  })

  test('three legs are alike; windings side by side add to nothing', () => {
    const legs = { ...demoCard('orrinvale-60-charging'), relations: [] }
    expect(proposedRelations(legs, 's1').map((one) => one.kind)).toContain('unbalance')
    const beside = { ...twinCard(), relations: [] }
    beside.windings = beside.windings.map((one) => (one.id === 'high' ? { ...one, from: 'O', to: 'G' } : one))
    expect(proposedRelations(beside, 's1').filter((one) => one.kind === 'sum')).toEqual([])
  })
})

describe('two revisions side by side', () => {
  test('show what changed and nothing else', () => {
    const [before, after] = [twinCard(), twinCard({ revision: 4, state: 'draft' })]
    expect(compareCards(before, after)).toEqual([])
    const low = after.checks.find((check) => check.id === 'low')
    const [limit] = low?.limits ?? []
    if (!low || !limit) throw new Error('the twin has a low-speed limit')
    low.limits = [{ ...limit, limit: { kind: 'nominal', value: 320, minusPct: 5, plusPct: 5 } }]
    after.name.note = undefined as never
    after.terminals.push({ id: 'B', label: 'blue', aliases: [] })
    const found = compareCards(before, after)
    expect(found.map((one) => [one.part, one.before === null, one.after === null])).toEqual([
      ['name', false, true],
      ['terminal', true, false],
      ['limit', false, false],
      ['limit', false, true],
    ])
    expect(found[2]?.after).toContain('320 ±5%')
  })
})

test('an id is never one that stands or stood below the highest', () => {
  expect(freeId('t', [])).toBe('t1')
  expect(freeId('t', [{ id: 't1' }, { id: 't7' }])).toBe('t8')
  expect(freeId('t', [{ id: 'O' }, { id: 'frame' }])).toBe('t3')
})
