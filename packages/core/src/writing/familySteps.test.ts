import { describe, expect, test } from '@jest/globals'
import { families, type Family } from '../document'
import { threeTerminal } from '../relations'
import { Script } from '../testing'
import { cardFromRun, familySteps, sketchCard } from '.'

const named = (...labels: string[]) => labels.map((label, i) => ({ id: `t${i}`, label }))
const steps = (family: Family, ends: number, framed = true) =>
  familySteps(family, named(...'abcdef'.slice(0, ends)), framed, 's2').map(({ id }) => id)

describe('what hands do with a family besides ohms', () => {
  test.each<[Family, number, string[]]>([
    ['solenoid', 2, ['draw', 'acts']],
    ['solenoid', 3, ['acts']],
    ['relay', 2, ['draw', 'acts']],
    ['relay', 5, ['acts']],
    ['charging-stator', 3, ['volts-t0-t1', 'volts-t0-t2', 'volts-t1-t2']],
    ['charging-stator', 4, []],
    ['speed-sensor', 2, ['volts-t0-t1']],
    ['motor', 3, ['insulation']],
    ['pickup', 2, []],
    ['solenoid', 1, []],
  ])('%s with %i ends', (family, ends, ids) => expect(steps(family, ends)).toEqual(ids))

  test('no insulation without a frame', () => expect(steps('motor', 3, false)).toEqual([]))

  test.each(families)('%s: none is required, and each is the card’s own', (family) => {
    const card = sketchCard('id', family, 'thing', named('a', 'b', 'c'), true)
    const own = new Set(card.checks.map(({ id }) => id))
    expect(own.size).toBe(card.checks.length)
    const sources = new Set(card.sources.map(({ id }) => id))
    for (const { limits } of card.checks) for (const { source } of limits) expect(sources).toContain(source)
    for (const one of familySteps(family, named('a', 'b', 'c'), true, 's2')) expect(one.required).toBe(false)
  })
})

describe('a part without figures, by its family', () => {
  test('three pins of a compressor are read together, and say which is common', () => {
    const card = sketchCard('id', 'compressor', 'cooler', named('1', '2', '3'), true)
    expect(card.checks.map(({ id }) => id)).toEqual(['look', 'pins', 'frame', 'insulation'])
    const read = (a: string, b: string, text: string) => [a, b, text] as const
    const script = [read('t0', 't1', '4.9'), read('t0', 't2', '11.7'), read('t1', 't2', '16.6')].reduce(
      (one, [a, b, text]) => one.read('pins', text, { pair: [a, b] }),
      new Script(card).ready(),
    )
    // nobody can choose its construction beforehand: nothing is held for that
    expect(script.state().remarks.map(({ id: one }) => one)).not.toContain('kind-unset')
    const [roles] = script.state().roles
    const split = roles?.kind === 'pins' ? roles.constructions.find(({ fits }) => fits) : undefined
    expect(split).toMatchObject({ kind: 'split-phase', common: 'a' })
    expect(threeTerminal({ ab: 4.9, bc: 16.6, ca: 11.7, u: 0.05 }).common).toBe('a')
  })

  test('a coil that does not move is told although nobody has figures of it; nothing of it is left open', () => {
    const card = sketchCard('id', 'solenoid', 'clicker', named('red', 'black'), true)
    const base = () => new Script(card).ready().read('t0-t1', '40.2').framed('t0', 't1')
    const { untested } = base().state()
    expect(untested).toEqual(expect.arrayContaining(['draw', 'acts']))
    const answer = 'does not move'
    const reading = { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer } as const
    const still = base().put({ kind: 'reading', check: 'acts', reading })
    expect(still.state().checks.find(({ check }) => check.id === 'acts')?.verdict).toBe('outside')
  })

  test('henries read besides make no winding of the card', () => {
    const card = sketchCard('id', 'other', 'thing', named('red', 'black'), false)
    const henries = { id: 'h', label: 'h', kind: 'inductance' as const, at: { pair: ['t0', 't1'] as [string, string] } }
    const with_ = { ...card, checks: [{ ...henries, required: false, limits: [] }] }
    const made = cardFromRun(new Script(with_).ready().read('h', '120m').state(), 'new')
    expect(made.windings).toEqual([])
  })
})
