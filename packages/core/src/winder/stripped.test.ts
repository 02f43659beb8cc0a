import { describe, expect, test } from '@jest/globals'
import type { Coil, CoilFacts, CoilPlan, RewindBody } from '../document'
import { typedReading } from '../quantity'
import { wire } from '../rewind'
import { rewindOf, twinCard } from '../testing'
import { checkOfWinding, limitsOfPlan, rewindState, woundWindings } from '.'

const fine = { awg: 44, build: 'single' } as const
const coil: Coil = { id: 'c1', winding: 'low', label: 'low-speed coil' }
const facts = (told: CoilFacts): RewindBody => ({ kind: 'original', coil: 'c1', facts: told })
const plan = (changes: Partial<CoilPlan>): RewindBody => ({
  kind: 'plan',
  coil: 'c1',
  plan: {
    turns: 600,
    wire: fine,
    from: 'original',
    why: '',
    ...(changes.shape ? {} : { meanTurnMm: 88 }),
    ...changes,
  },
})
const gauge = (text: string): RewindBody => {
  const made = typedReading(text, 'length', false)
  if ('problem' in made) throw new Error(text)
  return { kind: 'gauge', coil: 'c1', strands: 1, reading: made.reading, build: 'single', candidates: [] }
}
const first = (...bodies: RewindBody[]) => {
  const state = rewindState(rewindOf([coil], ...bodies))
  const [one] = state.coils
  if (!one) throw new Error('no coil')
  return { one, ids: state.remarks.map(({ id }) => id), state }
}
const metre = (awg: number) => wire({ awg })

describe('what came off beside the micrometer', () => {
  const left = (awg: number): RewindBody => facts({ left: { ohms20: 10 * metre(awg).ohmsPerMetre20, metres: 10 } })

  test('the copper settles what one strand leaves open', () => {
    expect(first(gauge('0.055 mm')).ids).toContain('gauges-too-near')
    const { one, ids } = first(left(44), gauge('0.055 mm'))
    expect(ids).not.toContain('gauges-too-near')
    expect(one.gauges[0]?.others).toEqual([])
    expect(one.gauges[0]).not.toHaveProperty('unlikeLeft')
  })

  test('where they name different wires both stand, and it is said', () => {
    const { one, ids } = first(left(40), gauge('0.055 mm'))
    expect(ids).toContain('wire-disagrees')
    expect(one.gauges[0]?.fits.length).toBeGreaterThan(1)
  })

  test('a later look at it adds to an earlier one by whole facts', () => {
    expect(first(facts({ left: { grams: 10 } }), facts({ wire: fine })).one.left.metres).toBeCloseTo(
      10 / metre(44).gramsPerMetre,
      6,
    )
  })
})

describe('the window and the henries of a plan', () => {
  const room = { shape: { kind: 'round', coreMm: 10 }, traverseMm: 8, packing: 0.7, turns: 4600 } as const

  test.each([
    ['with room to spare', 4, []],
    ['only where it packs as it should', 2.7, ['just-fits']],
    ['too high', 2, ['does-not-fit']],
  ])('%s', (_what, windowMm, remarks) => {
    const { ids } = first(plan({ ...room, windowMm }))
    expect(ids.filter((id) => id === 'just-fits' || id === 'does-not-fit')).toEqual(remarks)
  })

  test('what is wound is past fitting', () => {
    const { ids } = first(plan({ ...room, windowMm: 2 }), { kind: 'wound', coil: 'c1', turns: 4600 })
    expect(ids).not.toContain('does-not-fit')
  })

  test('henries go with the square of the turns, or are as planned', () => {
    expect(first(facts({ henries: 2, turns: 500 }), plan({ turns: 600 })).one.henries).toBeCloseTo(2.88, 6)
    expect(first(facts({ henries: 2, turns: 500 }), plan({ turns: 600, henries: 3 })).one.henries).toBe(3)
    expect(first(facts({ henries: 2 }), plan({})).one).not.toHaveProperty('henries')
    expect(first(facts({ henries: 2, turns: 500 })).one).not.toHaveProperty('henries')
    expect(first(facts({ henries: 2, turns: 0 }), plan({})).one).not.toHaveProperty('henries')
  })

  test('are the unit’s limit where its card reads them between its ends, of a coil alone', () => {
    const card = twinCard()
    const read = card.checks.find(({ id }) => id === 'low')
    if (!read) throw new Error('no check')
    const withHenries = {
      ...card,
      checks: [...card.checks, { ...read, id: 'low-henries', kind: 'inductance' as const }],
    }
    expect(checkOfWinding(withHenries, 'low', 'inductance')?.id).toBe('low-henries')
    expect(checkOfWinding(card, 'low', 'inductance')).toBeUndefined()
    expect(checkOfWinding(card, 'none such', 'resistance')).toBeUndefined()
    const bodies = [facts({ henries: 2, turns: 600 }), plan({ turns: 600 })]
    const { state } = first(...bodies, { kind: 'wound', coil: 'c1', turns: 600 })
    const limits = limitsOfPlan(state, withHenries)
    expect(limits.map(({ check }) => check)).toEqual(['low', 'low-henries'])
    expect(limits[1]?.limit).toEqual({ kind: 'band', min: expect.closeTo(1.8, 9), max: expect.closeTo(2.2, 9) })
    const two = rewindState(rewindOf([coil, { ...coil, id: 'c2' }], ...bodies, ...wound(['c1', 'c2'], 600)))
    expect(limitsOfPlan(two, withHenries).map(({ check }) => check)).toEqual(['low'])
  })
})

const wound = (ids: string[], turns: number): RewindBody[] =>
  ids.map((id) => ({ kind: 'wound', coil: id, turns, lay: 'cw' }))

describe('how a winding was wound', () => {
  test('once its last coil is: turns of one coil, wire, lay, plan', () => {
    const two = [coil, { ...coil, id: 'c2', label: 'another' }]
    const half = rewindState(rewindOf(two, plan({}), ...wound(['c1'], 600)))
    expect(woundWindings(half)).toEqual([])
    const [one] = woundWindings(rewindState(rewindOf(two, plan({}), ...wound(['c1'], 600), ...wound(['c2'], 603))))
    expect(one).toMatchObject({ winding: 'low', label: 'low-speed coil', coils: 2, turns: 602, wire: fine, lay: 'cw' })
    expect(one?.plan?.meanTurnMm).toBe(88)
  })

  test('a coil alone goes by its own name; without a plan by what came off', () => {
    const [one] = woundWindings(first(facts({ wire: fine }), ...wound(['c1'], 600)).state)
    expect(one).toMatchObject({ label: 'low-speed coil', coils: 1, wire: fine })
    expect(one).not.toHaveProperty('plan')
  })
})

describe('two coils of a pickup', () => {
  const pair: Coil = { ...coil, sister: 'second coil' }
  const tried = (swing: 'same' | 'opposite', magnets: 'alike' | 'opposite' | 'unknown'): RewindBody => ({
    kind: 'phase',
    coil: 'c1',
    swing,
    magnets,
  })
  const of = (...bodies: RewindBody[]) => {
    const { remarks, steps } = rewindState(rewindOf([pair], ...bodies))
    return { ids: remarks.map(({ id }) => id), step: steps.find(({ id }) => id === 'phase:c1') }
  }
  test('are touched before they are proved, and only where there are two', () => {
    expect(of().step?.status).toBe('to-do')
    expect(first().state.steps.some(({ id }) => id.startsWith('phase'))).toBe(false)
  })
  test('are touched once where both were wound, behind the later one', () => {
    const other: Coil = { id: 'c2', winding: 'high', label: 'second coil', sister: coil.label }
    const { steps } = rewindState(rewindOf([pair, other]))
    expect(steps.flatMap(({ id }) => (id.startsWith('phase') ? [id] : []))).toEqual(['phase:c2'])
  })
  test('against each other is a stop until they add', () => {
    const against = of(tried('opposite', 'unknown'))
    expect(against.ids).toContain('out-of-phase')
    expect(against.step?.status).toBe('again')
    const mended = of(tried('opposite', 'unknown'), tried('same', 'opposite'))
    expect(mended.ids).not.toContain('out-of-phase')
    expect(mended.step?.status).toBe('done')
  })
  test('alike in both add the hum as well', () => {
    expect(of(tried('same', 'alike')).ids).toContain('hum-adds')
    expect(of(tried('same', 'opposite')).ids).not.toContain('hum-adds')
    expect(of(tried('same', 'unknown')).ids).not.toContain('hum-adds')
  })
  test('what was touched before it was wound anew says nothing of it', () =>
    expect(of(tried('same', 'opposite'), { kind: 'wound', coil: 'c1', turns: 600 }).step?.status).toBe('to-do'))
})
