import { describe, expect, test } from '@jest/globals'
import type { Card, Limit } from '../document'
import { plainCard, plainCheck, pocketMeter, Script, twinCard } from '../testing'
import { askedOf, isAsked, pointMade, withAsked } from '../asked'
import { cardFromRun, hasAsked, sketchCard, withAskedKept } from '.'

const id = '019b0000-0000-7000-8000-000000000002'
const terminals = ['A', 'B', 'C', 'D'].map((one) => ({ id: one, label: one, aliases: [] }))
const ohms = (a: string, b: string, limit?: Limit) => plainCheck(`${a}${b}`, 'resistance', { pair: [a, b] }, limit)
/** A part of which nothing is known but its terminals. */
const bare = (...checks: Card['checks']): Script =>
  new Script(plainCard({ family: 'other', terminals, checks, sources: [] })).ready()
const limitsOf = (card: Card, check: string) => card.checks.find((one) => one.id === check)?.limits ?? []
const made = (script: Script, defaults?: Parameters<typeof cardFromRun>[2]) => cardFromRun(script.state(), id, defaults)

describe('a figure that was read', () => {
  test('becomes a limit at 20 °C with the shop’s tolerance, a guess of one unit', () => {
    const card = made(bare(ohms('A', 'B')).read('AB', '100.0'), { tolerancePct: 7, openOhms: 1e6 } as never)
    expect(limitsOf(card, 'AB')).toEqual([
      {
        id: 'l1',
        for: 'any',
        limit: { kind: 'nominal', value: 100, minusPct: 7, plusPct: 7 },
        source: 's1',
        referenceC: 20,
      },
    ])
    expect(card.sources).toEqual([
      { id: 's1', grade: 'guess', title: 'measured here on one unit, SQ-0001', date: '2026-03-02', units: 1 },
    ])
    expect(card).toMatchObject({ id, revision: 1, state: 'draft' })
  })

  test('warm copper is brought to 20 °C, with four figures', () => {
    const script = new Script(plainCard({ family: 'other', terminals, checks: [ohms('A', 'B')], sources: [] })).ready(
      40,
    )
    const [limit] = limitsOf(made(script.read('AB', '100.0')), 'AB')
    expect(limit?.limit).toMatchObject({ value: Number((100 * (254.5 / 274.5)).toPrecision(4)) })
  })

  test('over range becomes a limit that expects it open; so does one at the ohms where open begins', () => {
    const open = { kind: 'open', atLeast: 1e6 }
    expect(limitsOf(made(bare(ohms('A', 'B')).read('AB', 'OL 40M')), 'AB')[0]).toMatchObject({ limit: open })
    expect(limitsOf(made(bare(ohms('A', 'B')).read('AB', 'OL 40M')), 'AB')[0]).not.toHaveProperty('referenceC')
    expect(limitsOf(made(bare(ohms('A', 'B')).read('AB', '2.10M')), 'AB')[0]).toMatchObject({ limit: open })
    expect(limitsOf(made(bare(ohms('A', 'B')).read('AB', '0.90M')), 'AB')[0]).toMatchObject({
      limit: { kind: 'nominal' },
    })
  })

  test('held by a stop, or taken back, it becomes nothing', () => {
    const held = new Script(twinCard()).read('low', '318')
    expect(held.state().checks.find(({ check }) => check.id === 'low')?.points[0]?.held).toBe(true)
    const twin = twinCard()
    const low = twin.checks.find((one) => one.id === 'low')
    if (low) low.limits = []
    const unheld = (card: Card, ready: boolean) => {
      const script = new Script(structuredClone(card))
      return limitsOf(made((ready ? script.ready() : script).read('low', '318')), 'low')
    }
    expect([unheld(twin, false), unheld(twin, true).length]).toEqual([[], 1])
    const script = bare(ohms('A', 'B')).read('AB', '100.0')
    script.put({ kind: 'take-back', entry: script.run.entries.at(-1)?.id ?? '', reason: 'slip' })
    expect(limitsOf(made(script), 'AB')).toEqual([])
  })

  test('of another kind than ohms it becomes nothing', () => {
    const volts = plainCheck('volts', 'ac-output', { pair: ['A', 'B'] })
    expect(limitsOf(made(bare(volts).read('volts', '19.0')), 'volts')).toEqual([])
  })
})

describe('a check that has a limit already', () => {
  test('of that kind keeps it alone; of another kind gets one more', () => {
    const nominal = ohms('A', 'B', { kind: 'nominal', value: 90, minusPct: 10, plusPct: 10 })
    expect(limitsOf(made(bare(nominal).read('AB', '100.0')), 'AB')).toHaveLength(1)
    const band = ohms('A', 'B', { kind: 'band', min: 90, max: 110 })
    expect(limitsOf(made(bare(band).read('AB', '100.0')), 'AB').map(({ id }) => id)).toEqual(['l1', 'l2'])
  })

  test('and was not read stays as it is, and with it the sources that are in use', () => {
    const script = new Script(twinCard()).ready()
    const card = made(script)
    expect(card.checks).toEqual(twinCard().checks)
    expect(card.sources).toEqual(twinCard().sources)
  })

  test('a source that no limit names any more goes when another comes', () => {
    const card = plainCard({ family: 'other', terminals, checks: [ohms('A', 'B')] })
    expect(made(new Script(card).ready().read('AB', '100.0')).sources.map(({ id }) => id)).not.toContain('g')
  })
})

describe('windings', () => {
  const windings = (script: Script) => made(script).windings.map(({ id, from, to, ohms }) => [id, from, to, ohms])

  test('are the smallest figures that join what nothing joins yet; a whole over them is none', () => {
    const script = bare(ohms('A', 'C'), ohms('A', 'B'), ohms('B', 'C'))
      .read('AC', '90.0')
      .read('AB', '60.0')
      .read('BC', '30.0')
    expect(windings(script)).toEqual([
      ['w1', 'B', 'C', 30],
      ['w2', 'A', 'B', 60],
    ])
    expect(made(script).windings[0]).toMatchObject({ label: 'BC', tolerancePct: 10, material: 'copper' })
  })

  test('none is made to frame, of an open pair, or of what a winding of the card joins already', () => {
    const framed = plainCheck('Af', 'resistance', { pair: ['A', 'frame'] })
    expect(windings(bare(framed).read('Af', '100.0'))).toEqual([])
    expect(windings(bare(ohms('A', 'B')).read('AB', 'OL 40M'))).toEqual([])
    const twin = twinCard()
    for (const check of twin.checks) if (check.id === 'low') check.limits = []
    expect(made(new Script(twin).ready().read('low', '322')).windings).toEqual(twin.windings)
  })

  test('of a sketch they follow from its pairs, and the sketch stays as it was', () => {
    const sketch = sketchCard(
      id,
      'other',
      'thing',
      ['red', 'black'].map((one) => ({ id: one, label: one })),
      false,
    )
    const script = new Script(sketch, { instruments: [pocketMeter] }).ready().read('red-black', '100.0')
    expect(made(script).windings).toHaveLength(1)
    expect(sketch.windings).toEqual([])
  })
})

describe('what was asked of one run', () => {
  const asked = (script: Script, a: string, b: string, kind: 'resistance' | 'inductance' = 'resistance', n = '1') =>
    script.put({ kind: 'ask', check: askedOf(withAsked(script.run).card, n, [a, b], kind) })
  const read = () => {
    const script = asked(new Script(twinCard()).ready(), 'O', 'T', 'inductance')
    return script.read('ask-1', '120m', { pair: ['O', 'T'] })
  }

  test('goes on its card as a check of its own, not required; nothing else of the card changes', () => {
    const state = read().state()
    const card = withAskedKept(twinCard(), state)
    expect(card.checks).toHaveLength(twinCard().checks.length + 1)
    expect(card.checks.slice(0, -1)).toEqual(twinCard().checks)
    expect(card.checks.at(-1)).toMatchObject({ kind: 'inductance', at: { pair: ['O', 'T'] }, required: false })
    expect(isAsked(card.checks.at(-1)?.id ?? '')).toBe(false)
    expect(hasAsked(state)).toBe(true)
    expect(withAskedKept(card, state)).toBe(card)
  })

  test('what was asked and not read, or read and held back, is not put on it', () => {
    const script = asked(new Script(twinCard()).ready(), 'G', 'V')
    expect(hasAsked(script.state())).toBe(false)
    const card = twinCard()
    expect(withAskedKept(card, script.state())).toBe(card)
  })

  test('ohms of no winding become a guess of one unit', () => {
    const script = asked(new Script(twinCard()).ready(), 'G', 'V').read('ask-1', 'OL 20M', { pair: ['G', 'V'] })
    const card = withAskedKept(twinCard(), script.state())
    expect(card.checks.at(-1)?.limits).toMatchObject([{ limit: { kind: 'open' }, source: card.sources.at(-1)?.id }])
    expect(card.sources.at(-1)).toMatchObject({ grade: 'guess', units: 1 })
  })

  test('a point that was made goes with it, under a name of the card', () => {
    const script = new Script(twinCard()).ready().put(pointMade('1', 'tan tail', 'T'))
    asked(script, 'point-1', 'T').read('ask-1', '0.3', { pair: ['point-1', 'T'] })
    const card = withAskedKept(twinCard(), script.state())
    const tail = card.terminals.at(-1)
    expect(tail?.label).toBe('tan tail')
    expect(tail?.id).not.toMatch(/^point-/)
    expect(card.checks.at(-1)?.at).toEqual({ pair: [tail?.id, 'T'] })
  })

  test('a card made of the run has no check, point or relation that is a run’s alone', () => {
    const script = asked(bare(ohms('A', 'B')), 'A', 'C')
      .read('ask-1', '41.0', { pair: ['A', 'C'] })
      .read('AB', '100.0')
    script.put({ kind: 'compare', with: { as: 'twin', tag: 'SQ-2', figures: [{ check: 'AB', value: 101, u: 1 }] } })
    const card = made(script)
    expect(card.checks.map(({ id: one }) => one)).toEqual(['AB', 'c2'])
    expect(card.relations).toEqual([])
    expect(limitsOf(card, 'c2')).toHaveLength(1)
    expect(limitsOf(card, 'AB')).toHaveLength(1)
  })
})
