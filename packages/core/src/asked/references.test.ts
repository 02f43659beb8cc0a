import { describe, expect, test } from '@jest/globals'
import type { Card, EntryBody } from '../document'
import { plainCard, plainCheck, Script } from '../testing'
import { withAsked } from './withAsked'

describe('a neighbour read at the bench', () => {
  const guessed = plainCard({
    family: 'coil-pack',
    terminals: ['p1', 'p2'].map((id) => ({ id, label: id, aliases: [] })),
    windings: [{ id: 'coil', label: 'coil', from: 'p1', to: 'p2', material: 'copper' }],
    checks: [
      plainCheck('coil', 'resistance', { pair: ['p1', 'p2'] }, { kind: 'band', min: 6500, max: 8300 }, { limits: [] }),
    ],
  })
  const limited = (assumed: boolean): Card => ({
    ...guessed,
    checks: guessed.checks.map((check) => ({
      ...check,
      limits: [
        {
          id: 'l',
          for: 'any',
          limit: { kind: 'band', min: 6500, max: 8300 },
          source: guessed.sources[0]?.id ?? '',
          ...(assumed ? { assumed: true as const } : {}),
        },
      ],
    })),
  })
  const beside = (value: number, as: 'neighbour' | 'earlier' = 'neighbour'): EntryBody => ({
    kind: 'compare',
    with: { as, tag: 'neighbour', figures: [{ check: 'coil', pair: ['p1', 'p2'], value, u: 20 }] },
  })
  const read = (of: Card, text: string, ...references: EntryBody[]) => {
    const script = new Script(of).ready()
    for (const reference of references) script.put(reference)
    return script.read('coil', text).state()
  }

  test('judges what has no limit, or only a guess: alike it releases the guess, apart it is a fault', () => {
    for (const card of [guessed, limited(true)]) {
      const alike = read(card, '7.62k', beside(7510))
      expect(alike.relations).toMatchObject([{ relation: { id: 'twin:coil' }, verdict: 'within' }])
      expect(alike.finding.word).toBe('no-fault-found')
      expect(read(card, '5.2k', beside(7510)).finding.word).toBe('fault-found')
    }
    expect(read(limited(true), '7.62k').finding.word).toBe('undecided')
  })

  test('too near to tell on this meter it holds nothing', () => {
    const coarse = { ...limited(true), checks: limited(true).checks.map((check) => ({ ...check, limits: [] })) }
    const rough: EntryBody = {
      kind: 'compare',
      with: { as: 'neighbour', tag: 'neighbour', figures: [{ check: 'coil', value: 7510, u: 300 }] },
    }
    const state = read(coarse, '7.9k', rough)
    expect(state.relations).toMatchObject([{ verdict: 'borderline', meterCannot: true }])
    expect(state.finding.word).toBe('no-fault-found')
  })

  test('a figure of the card’s own goes before it; an earlier run is no neighbour', () => {
    expect(read(limited(false), '7.62k', beside(5200)).relations).toEqual([])
    expect(read(guessed, '7.62k', beside(7510, 'earlier')).relations).toEqual([])
  })

  test('the last figure counts, each check of its own reference', () => {
    expect(read(guessed, '7.62k', beside(5200), beside(7510)).relations[0]?.verdict).toBe('within')
  })

  test('a check that should be alike takes it from the reference that has it', () => {
    const alike = plainCard({
      ...guessed,
      checks: ['coil', 'other'].map((id) =>
        plainCheck(id, 'resistance', { pair: ['p1', 'p2'] }, { kind: 'alike', allowedPct: 5 }),
      ),
    })
    const of = (check: string): EntryBody => ({
      kind: 'compare',
      with: { as: 'neighbour', tag: 'neighbour', figures: [{ check, value: 7510, u: 20 }] },
    })
    const state = new Script(alike).ready().put(of('coil')).put(of('other')).read('other', '7.6k').state()
    expect(state.checks.find(({ check }) => check.id === 'other')?.verdict).toBe('within')
  })

  test('taken back it is gone', () => {
    const script = new Script(guessed).ready().put(beside(7510))
    const id = script.run.entries.at(-1)?.id ?? ''
    script.put({ kind: 'take-back', entry: id, reason: 'another part' }).read('coil', '7.62k')
    expect(script.state().relations).toEqual([])
    expect(withAsked(script.run)).toBe(script.run)
  })
})
