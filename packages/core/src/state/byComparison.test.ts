import { describe, expect, test } from '@jest/globals'
import { askedOf } from '../asked'
import type { Card, Comparison, EntryBody } from '../document'
import { plainCard, plainCheck, Script, twinCard } from '../testing'
import { besideFigures } from './besideFigures'
import { byComparison } from './byComparison'

const bare = plainCard({
  family: 'solenoid',
  terminals: ['p1', 'p2'].map((id) => ({ id, label: id, aliases: [] })),
  windings: [{ id: 'coil', label: 'coil', from: 'p1', to: 'p2', material: 'copper' }],
  checks: [plainCheck('coil', 'resistance', { pair: ['p1', 'p2'] }, { kind: 'band', min: 1, max: 2 }, { limits: [] })],
})
const beside = (tag: string, value: number, check = 'coil', as: Comparison['as'] = 'twin'): EntryBody => ({
  kind: 'compare',
  with: { as, tag, figures: [{ check, pair: ['p1', 'p2'], value, u: 20 }] },
})
const of = (card: Card, ...entries: EntryBody[]) => {
  const script = new Script(card).ready()
  for (const entry of entries) script.put(entry)
  return script
}

describe('a pass that rests on another part alone', () => {
  test('names the parts, each once', () => {
    const state = of(bare, beside('SQ-1', 7500), beside('SQ-1', 7510), beside('neighbour', 7490, 'coil', 'neighbour'))
      .read('coil', '7.62k')
      .state()
    expect(state.finding.word).toBe('no-fault-found')
    expect(byComparison(state)).toEqual(['SQ-1', 'neighbour'])
  })

  test('is none where something was found, or nothing stands beside it', () => {
    expect(byComparison(of(bare, beside('SQ-1', 5200)).read('coil', '7.62k').state())).toEqual([])
    expect(byComparison(of(bare).read('coil', '7.62k').state())).toEqual([])
    expect(
      byComparison(
        of(bare, beside('SQ-1', 7500, 'coil', 'earlier'))
          .read('coil', '7.62k')
          .state(),
      ),
    ).toEqual([])
  })

  test('is none where a figure of the model judged as well', () => {
    const card = {
      ...bare,
      checks: [
        ...bare.checks,
        plainCheck('own', 'resistance', { pair: ['p1', 'p2'] }, { kind: 'band', min: 7000, max: 8000 }),
      ],
    }
    expect(byComparison(of(card, beside('SQ-1', 7500)).read('coil', '7.62k').read('own', '7.62k').state())).toEqual([])
    const guess = {
      ...card,
      checks: card.checks.map((one) => ({
        ...one,
        limits: one.limits.map((limit) => ({ ...limit, assumed: true as const })),
      })),
    }
    const both = of(guess, beside('SQ-1', 7500), beside('SQ-1', 7500, 'own'))
      .read('coil', '7.62k')
      .read('own', '7.62k')
    expect(byComparison(both.state())).toEqual(['SQ-1'])
  })

  test('what was asked of two points off the card is judged by it too', () => {
    const asked = askedOf(bare, '1', ['p1', 'p2'], 'inductance')
    const script = of(bare, { kind: 'ask', check: asked }, beside('SQ-1', 0.12, asked.id))
    const check = (text: string) =>
      script
        .read(asked.id, text, { pair: ['p1', 'p2'] })
        .state()
        .checks.find((one) => one.check.id === asked.id)
    expect(check('120m')).toBeDefined()
    expect(script.state().relations.map(({ relation }) => relation.id)).toEqual([`twin:${asked.id}`])
  })
})

describe('what stands beside a reading', () => {
  const figures = (text: string, ...entries: EntryBody[]) => {
    const state = of(bare, ...entries)
      .read('coil', text)
      .state()
    const [one] = state.evaluations.values()
    return one ? besideFigures(state.run, one) : undefined
  }

  test('how far it is from each, with its doubt; of one part what it read last', () => {
    const found = figures('7.62k', beside('SQ-1', 7000), beside('SQ-1', 7500), beside('SQ-2', 8000))
    expect(found?.map(({ tag, value }) => [tag, value])).toEqual([
      ['SQ-1', 7500],
      ['SQ-2', 8000],
    ])
    expect(found?.[0]?.differencePct).toBeCloseTo((200 * 120) / (7620 + 7500), 1)
    expect(found?.[1]?.differencePct).toBeLessThan(0)
    expect(found?.[0]?.u).toBeGreaterThan(0)
  })

  test('none of another point or check, and none beside an open reading', () => {
    expect(figures('7.62k', beside('SQ-1', 7500, 'other'))).toEqual([])
    expect(figures('OL 20M', beside('SQ-1', 7500))).toEqual([])
    const frame = {
      ...beside('SQ-1', 7500),
      with: { as: 'twin', tag: 'SQ-1', figures: [{ check: 'coil', pair: ['p1', 'frame'], value: 7500, u: 20 }] },
    } as EntryBody
    expect(figures('7.62k', frame)).toEqual([])
    expect(
      figures('7.62k', {
        kind: 'compare',
        with: { as: 'twin', tag: 'SQ-1', figures: [{ check: 'coil', index: 2, value: 7500, u: 20 }] },
      }),
    ).toEqual([])
  })

  test('nothing of a part that reads nothing', () => {
    const [one] = new Script(twinCard()).ready().read('low', '322').state().evaluations.values()
    if (!one) throw new Error('not read')
    const none = { as: 'twin', tag: 'a', figures: [{ check: 'low', value: -322, u: 0 }] } as const
    expect(besideFigures({ compare: [{ ...none, figures: [...none.figures] }] }, { ...one, net: 322 })).toEqual([])
  })
})
