import { describe, expect, test } from '@jest/globals'
import type { Check, EntryBody } from '../document'
import { refusalOf, runState } from '../state'
import { plainCard, Script, twinCard } from '../testing'
import { typedPoints, typedTerminals } from './typedPoints'
import { askedOf } from './askedOf'
import { pointMade, pointsMade, withAsked } from './withAsked'

const card = twinCard()
const ask = (a: string, b: string, quantity: Parameters<typeof askedOf>[3] = 'resistance', id = '1'): EntryBody => ({
  kind: 'ask',
  check: askedOf(card, id, [a, b], quantity),
})
const twin = () => new Script(card).ready()

describe('two points as typed', () => {
  test.each([
    ['grey tan', ['G', 'T']],
    ['Tan and Grey', ['T', 'G']],
    ['between orange, tan', ['O', 'T']],
    ['violet violet/white', ['V', 'VW']],
    ['violet/white–violet', ['VW', 'V']],
    ['orange to frame', ['O', 'frame']],
  ])('%s', (text, pair) => expect(typedPoints(text, card)).toEqual({ pair }))

  test.each([
    ['grey tan henries', 'inductance'],
    ['grey tan F', 'capacitance'],
    ['grey tan amps', 'current'],
    ['insulation grey tan', 'insulation'],
    ['grey tan volts', 'dc-output'],
    ['grey tan vac', 'ac-output'],
    ['ohms grey tan', 'resistance'],
  ])('%s: %s', (text, kind) => expect(typedPoints(text, card)).toEqual({ pair: ['G', 'T'], kind }))

  test.each([
    ['new tan tail on tan', { point: 'tan tail', on: 'T' }],
    ['New  lug of the coil on violet/white', { point: 'lug of the coil', on: 'VW' }],
  ])('%s is a point of one’s own', (text, point) => expect(typedPoints(text, card)).toEqual(point))

  test.each([
    ['new tan tail on pink', '“pink” is no point'],
    ['new grey on tan', '“grey” is a point of this part already'],
    ['new tan tail', '“new” is no point'],
  ])('%s makes none', (text, words) => {
    const typed = typedPoints(text, card)
    expect('problem' in typed && typed.problem).toContain(words)
  })

  test('names of several words, and the longest that fits', () => {
    const yellow = plainCard({
      family: 'other',
      terminals: ['yellow', 'yellow 1', 'yellow 1 b'].map((label, i) => ({ id: `t${i}`, label, aliases: [] })),
    })
    expect(typedPoints('yellow yellow 1', yellow)).toMatchObject({ pair: ['t0', 't1'] })
    expect(typedPoints('yellow 1 b and yellow 1', yellow)).toMatchObject({ pair: ['t2', 't1'] })
  })

  test.each([
    ['grey', '1 is named'],
    ['', '0 are named'],
    ['grey tan orange', '3 are named'],
    ['grey grey', 'the same point'],
    ['grey pink', '“pink” is no point'],
  ])('%s is told what is wrong', (text, words) => {
    const typed = typedPoints(text, card)
    expect('problem' in typed && typed.problem).toContain(words)
  })
})

describe('several points as typed', () => {
  test.each([
    ['grey', ['G']],
    ['Grey, tan and violet/white', ['G', 'T', 'VW']],
    ['tan, tan', ['T']],
  ])('%s', (text, terminals) => expect(typedTerminals(text, card)).toEqual({ terminals }))

  test('a strange one is told, and none is none', () => {
    expect(typedTerminals('grey, pink', card)).toEqual({ problem: '“pink” is no point of this part.' })
    expect(typedTerminals(' , ', card)).toEqual({ problem: 'No point is named.' })
  })
})

describe('a check of one run alone', () => {
  test('between points that windings join it is judged by what they add up to; elsewhere it has no limit', () => {
    const limitOf = (a: string, b: string, quantity: Parameters<typeof askedOf>[3]) =>
      askedOf(card, '1', [a, b], quantity).limits.map(({ limit }) => limit)
    expect(limitOf('G', 'T', 'resistance')).toEqual(['derived'])
    expect(limitOf('G', 'V', 'resistance')).toEqual([])
    expect(limitOf('G', 'T', 'inductance')).toEqual([])
    expect(limitOf('T', 'frame', 'resistance')).toEqual(['derived'])
    expect(limitOf('frame', 'VW', 'resistance')).toEqual(['derived'])
    expect(limitOf('T', 'frame', 'insulation')).toEqual([])
    const bare = plainCard({ ...card, family: card.family, sources: [] })
    expect(askedOf(bare, '1', ['G', 'T'], 'resistance').limits).toEqual([])
  })

  test('it is read, judged and kept with the run, holds no finding, and is not part of the card', () => {
    const script = twin().put(ask('T', 'G'))
    const state = script.read('ask-1', '358.5', { pair: ['T', 'G'] }).state()
    expect(state.checks.find(({ check }) => check.id === 'ask-1')?.verdict).toBe('within')
    expect(state.finding.open.some(({ check }) => check === 'ask-1')).toBe(false)
    expect(script.run.card.checks.some(({ id }) => id === 'ask-1')).toBe(false)
    expect(state.run.card.checks.at(-1)?.id).toBe('ask-1')
  })

  test('to a frame that the card expects it open to, a path is outside and none is within', () => {
    const read = (text: string) => {
      const script = twin()
        .put(ask('T', 'frame'))
        .read('ask-1', text, { pair: ['T', 'frame'] })
      return script.state().checks.find(({ check }) => check.id === 'ask-1')?.verdict
    }
    expect(read('OL 40M')).toBe('within')
    expect(read('2.1')).toBe('outside')
    const apart = { ...card, checks: card.checks.filter(({ at }) => !JSON.stringify(at).includes('frame')) }
    expect(askedOf(apart, '1', ['T', 'frame'], 'resistance').limits).toEqual([])
  })

  test('its step stands behind all that the card asks, and reading it leaves the hand where it was', () => {
    const script = twin().read('low', '322').put(ask('G', 'V'))
    expect(
      script
        .state()
        .steps.slice(-2)
        .map(({ step }) => [step.id, step.group]),
    ).toEqual([
      ['ask-1', 'asked'],
      ['finding', 'finding'],
    ])
    expect(script.state().step).toBe('high')
  })

  test('taken back it is gone; the same asks give the same card, so nothing is judged anew for nothing', () => {
    const script = twin().put(ask('G', 'V'))
    const once = withAsked(script.run)
    expect(withAsked({ ...script.run, entries: [...script.run.entries] }).card).toBe(once.card)
    script.put({ kind: 'take-back', entry: script.run.entries.at(-1)?.id ?? '', reason: 'typed by mistake' })
    expect(withAsked(script.run)).toBe(script.run)
    expect(runState(script.run).steps.some(({ step }) => step.id === 'ask-1')).toBe(false)
  })

  test('a point off the card is asked of as any other, and what was asked of it goes with it', () => {
    const script = twin().put(pointMade('1', 'tan tail', 'T'))
    const made = script.run.entries.at(-1)?.id ?? ''
    expect(typedPoints('tan tail tan', withAsked(script.run).card)).toEqual({ pair: ['point-1', 'T'] })
    script.put({ kind: 'ask', check: askedOf(withAsked(script.run).card, '1', ['T', 'point-1'], 'resistance') })
    expect(script.state().steps.some(({ step }) => step.id === 'ask-1')).toBe(true)
    expect(pointsMade(script.run.entries)).toEqual(new Map([['point-1', 'T']]))
    script.put({ kind: 'take-back', entry: made, reason: 'no such tail' })
    expect(withAsked(script.run)).toBe(script.run)
    expect(pointsMade(script.run.entries).size).toBe(0)
  })

  test('a point that is none is refused by its field', () => {
    const script = twin().put(pointMade('1', 'tan tail', 'T'))
    const refusal = (point: ReturnType<typeof pointMade>) => {
      const stamp = { id: 'e', run: script.run.id, n: 99, at: '2026-11-24T15:00:00.000Z', by: 'someone' }
      return refusalOf(script.run, false, { ...stamp, ...point })?.field
    }
    expect(refusal(pointMade('2', 'orange tail', 'O'))).toBeUndefined()
    expect(refusal(pointMade('2', 'a tail of that tail', 'point-1'))).toBeUndefined()
    expect(refusal(pointMade('1', 'again', 'T'))).toBe('terminal.id')
    expect(refusal(pointMade('2', 'tail', 'pink'))).toBe('on')
    const strange = pointMade('2', 'tail', 'T')
    expect(refusal({ ...strange, terminal: { ...strange.terminal, id: 'X' } })).toBe('terminal.id')
  })

  test('what it cannot be is refused by its field', () => {
    const script = twin().put(ask('G', 'V'))
    const refusal = (check: Partial<Check>) => {
      const entry = {
        ...ask('G', 'V', 'resistance', '2'),
        id: 'e',
        run: script.run.id,
        n: 99,
        at: '2026-11-24T15:00:00.000Z',
        by: 'someone',
      }
      const body = entry as Extract<EntryBody, { kind: 'ask' }>
      return refusalOf(script.run, false, { ...entry, check: { ...body.check, ...check } } as never)?.field
    }
    expect(refusal({})).toBeUndefined()
    expect(refusal({ id: 'low' })).toBe('check.id')
    expect(refusal({ id: 'ask-1' })).toBe('check.id')
    expect(refusal({ at: { ring: 3 } })).toBe('check.at')
    expect(refusal({ at: { pair: ['G', 'pink'] } })).toBe('check.at.pair')
    expect(refusal({ kind: 'contacts' })).toBe('check.kind')
    const limit = { id: 'x', for: 'any', limit: 'derived', source: card.sources[0]?.id ?? '' } as const
    expect(refusal({ limits: [limit] })).toBeUndefined()
    expect(refusal({ limits: [{ ...limit, source: 'nowhere' }] })).toBe('check.limits')
    expect(refusal({ limits: [{ ...limit, limit: { kind: 'band', min: 1, max: 2 } }] })).toBe('check.limits')
  })
})
