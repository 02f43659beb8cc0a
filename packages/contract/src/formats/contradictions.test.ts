import { describe, expect, test } from '@jest/globals'
import type { Card, Limit } from '@sure-spool/core'
import { twinCard } from '@sure-spool/core/testing'
import { contradictionsIn, limitContradiction } from './contradictions'

/** What is said of the twin card once a change was made: the path, and the sentence. */
const said = (change: (card: Card) => void) => {
  const card = structuredClone(twinCard())
  change(card)
  return contradictionsIn(card).map(({ path, message }) => `${path.join('.')} ${message}`)
}
const [first] = twinCard().checks.filter(({ at }) => 'pair' in at)
const at = twinCard().checks.findIndex(({ id }) => id === first?.id)

describe('a card that names what it does not have', () => {
  const nothing = (what: string) => `names the ${what} "gone", which this card does not have`

  test('as it stands it says nothing against itself', () => {
    expect(said(() => undefined)).toEqual([])
  })

  test('terminals: of a winding, a cavity, a check, what is joined or driven, and electronics', () => {
    expect(said(({ windings: [one] }) => Object.assign(one ?? {}, { from: 'gone' }))).toEqual([
      `windings.0.from ${nothing('terminal')}`,
    ])
    expect(said(({ windings: [, one] }) => Object.assign(one ?? {}, { to: 'gone' }))).toEqual([
      `windings.1.to ${nothing('terminal')}`,
    ])
    const cavity = (terminal: string | null) => (card: Card) =>
      Object.assign(card.plugs[0]?.cavities[1] ?? {}, { terminal })
    expect(said(cavity('gone'))).toEqual([`plugs.0.cavities.1.terminal ${nothing('terminal')}`])
    expect(said(cavity(null))).toEqual([])
    const check = (made: object) => (card: Card) => Object.assign(card.checks[at] ?? {}, made)
    expect(said(check({ at: { pair: ['gone', 'frame'] } }))).toEqual([`checks.${at}.at ${nothing('terminal')}`])
    expect(said(check({ at: { each: ['O'], to: 'gone' } }))).toEqual([`checks.${at}.at ${nothing('terminal')}`])
    expect(said(check({ at: { each: ['O', 'gone'], to: 'frame' } }))).toEqual([
      `checks.${at}.at ${nothing('terminal')}`,
    ])
    expect(said(check({ at: { among: ['O', 'gone'] } }))).toEqual([`checks.${at}.at ${nothing('terminal')}`])
    expect(said(check({ at: { ring: 12 } }))).toEqual([])
    expect(said(check({ at: { place: 'gone' } }))).toEqual([])
    expect(said(check({ conditions: { drive: { plus: 'O', minus: 'gone' } } }))).toEqual([
      `checks.${at}.conditions.drive.minus ${nothing('terminal')}`,
    ])
    expect(
      said(
        check({
          conditions: {
            joined: [
              ['O', 'frame'],
              ['gone', 'O'],
            ],
          },
        }),
      ),
    ).toEqual([`checks.${at}.conditions.joined.1 ${nothing('terminal')}`])
    expect(said((card) => (card.care.electronicsBetween = [['O', 'gone']]))).toEqual([
      `care.electronicsBetween.0 ${nothing('terminal')}`,
    ])
  })

  test('sources: of a limit and of a relation', () => {
    expect(said((card) => Object.assign(card.checks[at]?.limits[0] ?? {}, { source: 'gone' }))).toEqual([
      `checks.${at}.limits.0.source ${nothing('source')}`,
    ])
    expect(said(({ relations: [one] }) => Object.assign(one ?? {}, { source: 'gone' }))).toEqual([
      `relations.0.source ${nothing('source')}`,
    ])
  })

  test('variants: of a plug and of a check that only some have', () => {
    const some = (card: Card) => card.variants.push({ id: 'early', label: 'Early' })
    expect(
      said((card) => {
        some(card)
        Object.assign(card.plugs[0] ?? {}, { only: ['early', 'gone'] })
        Object.assign(card.checks[at] ?? {}, { only: ['gone', 'early'] })
      }),
    ).toEqual([`plugs.0.only.1 ${nothing('variant')}`, `checks.${at}.only.0 ${nothing('variant')}`])
  })

  test('checks: of a hint, and of every kind of relation', () => {
    const hint = (when: Card['hints'][number]['when']) => (card: Card) =>
      (card.hints = [{ when, suspects: [], text: 'a' }])
    expect(said(hint({ check: 'gone', verdict: 'within' }))).toEqual([`hints.0.when.check ${nothing('check')}`])
    expect(said(hint('none'))).toEqual([])
    const source = twinCard().sources[0]?.id ?? ''
    const head = { id: 'r9', label: 'r', source }
    const known = first?.id ?? ''
    const relation = (one: object) => said((card) => (card.relations = [{ ...head, ...one } as never]))
    const nowhere = (key: string) => [`relations.0.${key} ${nothing('check')}`]
    expect(relation({ kind: 'sum', parts: [known, 'gone'], whole: known })).toEqual(nowhere('parts.1'))
    expect(relation({ kind: 'sum', parts: [known, known], whole: 'gone' })).toEqual(nowhere('whole'))
    expect(relation({ kind: 'equal', checks: ['gone', known], withinPct: 5 })).toEqual(nowhere('checks.0'))
    expect(relation({ kind: 'ratio', of: 'gone', to: known, ratio: 1, withinPct: 5 })).toEqual(nowhere('of'))
    expect(relation({ kind: 'ratio', of: known, to: 'gone', ratio: 1, withinPct: 5 })).toEqual(nowhere('to'))
    expect(relation({ kind: 'twin', check: 'gone', withinPct: 5 })).toEqual(nowhere('check'))
    expect(relation({ kind: 'above', check: known, than: 'gone', by: 1 })).toEqual(nowhere('than'))
    expect(relation({ kind: 'draw', amps: 'gone', ohms: known, withinPct: 5 })).toEqual(nowhere('amps'))
    expect(relation({ kind: 'draw', amps: known, ohms: 'gone', withinPct: 5 })).toEqual(nowhere('ohms'))
  })
})

test.each(['terminals', 'plugs', 'windings', 'checks', 'relations', 'sources', 'variants'] as const)(
  'an id of %s stands once',
  (list) => {
    const { length, [0]: one } = twinCard()[list]
    const found = said((card) => card[list].push(structuredClone(one) as never))
    expect(found).toEqual([`${list}.${length}.id "${one?.id}" stands twice; every id may stand once`])
  },
)

describe('one limit', () => {
  const of = (limit: Limit, family: Card['family'] = 'sender') => limitContradiction(limit, { family })
  const curve = (...points: [number, number][]): Limit => ({
    kind: 'curve',
    points: points.map(([x, ohms]) => ({ x, ohms })),
    tolerancePct: 10,
  })

  test('a band may be a point, and not stand upside down', () => {
    expect(of({ kind: 'band', min: 9, max: 8 })).toBe('stands upside down: 9 is above 8')
    expect(of({ kind: 'band', min: 9, max: 9 })).toBeUndefined()
    expect(
      said((card) => Object.assign(card.checks[at]?.limits[0] ?? {}, { limit: { kind: 'band', min: 9, max: 8 } })),
    ).toEqual([`checks.${at}.limits.0.limit stands upside down: 9 is above 8`])
    expect(said((card) => Object.assign(card.checks[at]?.limits[0] ?? {}, { limit: 'derived' }))).toEqual([])
  })

  test('an answer that is right is one of those offered', () => {
    const wrong = 'calls an answer right that is not among those offered'
    expect(of({ kind: 'answer', of: ['dark', 'full'], right: ['full', 'dim'] })).toBe(wrong)
    expect(of({ kind: 'answer', of: ['dark', 'full'], right: ['full'] })).toBeUndefined()
    expect(of({ kind: 'answer', of: ['dark'], right: [] })).toBeUndefined()
  })

  test('a curve goes up in its places', () => {
    expect(of(curve([0, 3], [2, 50], [1, 110]))).toBe('has its points out of order: 1 stands behind 2')
    expect(of(curve([0, 3], [0, 50]))).toBe('has its points out of order: 0 stands behind 0')
    expect(of(curve([0, 3], [1, 50], [2, 110]))).toBeUndefined()
  })

  test('a figure of a sender or a thermistor tells its place back: ohms go one way', () => {
    const bent = 'goes up and down again: one figure would stand for two places'
    for (const family of ['sender', 'thermistor'] as const) {
      expect(of(curve([0, 3], [1, 50], [2, 40]), family)).toBe(bent)
      expect(of(curve([0, 3], [1, 3], [2, 40]), family)).toBe(bent)
      expect(of(curve([0, 110], [1, 50], [2, 50]), family)).toBe(bent)
      expect(of(curve([0, 110], [1, 50], [2, 3]), family)).toBeUndefined()
    }
    expect(of(curve([0, 3], [1, 50], [2, 40]), 'valve-solenoid')).toBeUndefined()
  })
})
