import { describe, expect, test } from '@jest/globals'
import type { CheckState, Evaluation, PointState, RelationState } from '../judgement'
import { plainCard, plainCheck, plainTerminals, fourWireMeter, knobMeter, scenes, sceneOf, Script } from '../testing'
import { findingOf, sumStands, type FindingInput } from './finding'

const scene = scenes.sound()
const low = scene.of('low')
const nothing: FindingInput = {
  bench: scene.bench,
  checks: [],
  relations: [],
  evaluations: scene.all,
  explained: new Set(),
  heldBack: new Set(),
}
const given = (input: Partial<FindingInput>) => findingOf({ ...nothing, ...input })
/** One check with one reading, judged as it is said. */
const judged = (
  evaluation: Partial<Evaluation>,
  { verdict = evaluation.verdict ?? 'borderline', of = low, required = true, reason }: Judged = {},
): CheckState => {
  const { conformance: _conformance, leaning: _leaning, ...bare } = of
  const changed = { ...bare, verdict, ...evaluation } as Evaluation
  const point: PointState = { verdict, evaluation: changed, ...(reason ? { reason } : {}) }
  return { check: { ...of.check, required }, verdict, points: [point] }
}
interface Judged {
  verdict?: PointState['verdict']
  of?: Evaluation
  required?: boolean
  reason?: PointState['reason']
}
const openOf = (...checks: CheckState[]) => given({ checks }).open.map(({ why }) => why)
const twin = (verdict: RelationState['verdict'], check = 'low'): RelationState => ({
  relation: { id: 't', label: 'twin', source: 's1', kind: 'twin', check, withinPct: 5 },
  verdict,
  members: [],
})

describe('a borderline reading', () => {
  test('holds the finding under 95 % of conformance, and no longer at it', () => {
    expect(openOf(judged({ conformance: 0.9499 }))).toEqual(['borderline'])
    expect(openOf(judged({ conformance: 0.95 }))).toEqual([])
    expect(openOf(judged({ conformance: 0.99 }))).toEqual([])
    expect(openOf(judged({}))).toEqual(['borderline'])
  })

  test('says which way it leans and how likely it is', () => {
    const [one] = given({ checks: [judged({ leaning: 'outside', conformance: 0.3 })] }).open
    expect(one).toEqual({
      why: 'borderline',
      check: 'low',
      entry: low.entry.id,
      leaning: 'outside',
      conformance: 0.3,
    })
    expect(given({ checks: [judged({})] }).open[0]).toEqual({ why: 'borderline', check: 'low', entry: low.entry.id })
  })

  test.each(['guess', 'zero-leads-first', 'low-voltage-test'] as const)('for %s holds it however likely', (reason) => {
    expect(openOf(judged({ reason, conformance: 0.99 }))).toEqual(['borderline'])
  })

  test('of a guess is released by a twin that lies within, where it leans within itself', () => {
    const guess = judged({ reason: 'guess', leaning: 'within', conformance: 0.5 })
    const open = (check: CheckState, ...relations: RelationState[]) => given({ checks: [check], relations }).open
    expect(open(guess, twin('within'))).toEqual([])
    expect(open(guess, twin('borderline'))).toHaveLength(2)
    expect(open(guess, twin('within', 'high'))).toHaveLength(1)
    const sum = { id: 's', label: '', source: 's1', kind: 'sum' as const, parts: ['low', 'high'], whole: 'series' }
    expect(open(guess, { ...twin('within'), relation: sum })).toHaveLength(1)
    expect(open(judged({ reason: 'guess', leaning: 'outside', conformance: 0.5 }), twin('within'))).toHaveLength(1)
    expect(open(judged({ reason: 'near-limit', leaning: 'within', conformance: 0.5 }), twin('within'))).toHaveLength(1)
  })
})

describe('a meter that could never settle it', () => {
  const card = plainCard({
    family: 'other',
    terminals: plainTerminals('A', 'B'),
    checks: [plainCheck('it', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 0.55, max: 0.6 })],
  })
  const by = (meter: typeof knobMeter) =>
    sceneOf(new Script(card, { instruments: [meter] }).ready().read('it', '0.6', { contact: 'clips' })).of('it')
  const coarse = by(knobMeter)
  const near = { reason: 'near-limit', leaning: 'within', conformance: 0.5 } as const
  const continuity = (...args: Parameters<typeof judged>) => given({ checks: [judged(...args)] })

  test('leaves a continuity test: the limit is not held open for it', () => {
    expect(continuity(near, { of: coarse })).toMatchObject({ open: [], continuityOnly: ['it'] })
  })

  test.each([
    ['a meter that can', near, by(fourWireMeter)],
    ['a doubt that is not near a limit', { ...near, reason: 'unsteady' as const }, coarse],
    ['a reading that leans outside', { ...near, leaning: 'outside' as const }, coarse],
  ])('%s holds it', (_, evaluation, of) => {
    expect(continuity(evaluation, { of })).toMatchObject({ open: [{ why: 'borderline' }], continuityOnly: [] })
  })

  test('is said once a check', () => {
    const two = [near, near].map((one) => judged(one, { of: coarse }))
    expect(given({ checks: two }).continuityOnly).toEqual(['it'])
  })
})

describe('what is not judged', () => {
  test('is open where it is required, and not where it is optional', () => {
    expect(openOf(judged({}, { verdict: 'none' }))).toEqual(['none'])
    expect(openOf(judged({}, { verdict: 'none', required: false }))).toEqual([])
  })

  test('off its curve it is left out', () => {
    expect(openOf(judged({}, { verdict: 'none', reason: 'off-curve' }))).toEqual([])
    expect(openOf(judged({}, { verdict: 'none', reason: 'place-missing' }))).toEqual(['none'])
  })

  test('not read at all it is open where it is required', () => {
    const unread = (required: boolean, points: PointState[] = [{ verdict: 'none' }]): CheckState => ({
      check: { ...low.check, required },
      verdict: 'none',
      points,
    })
    expect([openOf(unread(true)), openOf(unread(false))]).toEqual([['not-read'], []])
    expect([openOf(unread(true, [])), openOf(unread(false, []))]).toEqual([['not-read'], []])
  })

  test('a look that is wanted is open until something is seen', () => {
    const look = (required: boolean, reason?: 'not-read' | 'seen'): CheckState => ({
      check: { ...low.check, kind: 'look', required },
      verdict: 'none',
      points: [],
      ...(reason ? { reason } : {}),
    })
    expect([openOf(look(true, 'not-read')), openOf(look(false, 'not-read')), openOf(look(true, 'seen'))]).toEqual([
      ['not-read'],
      [],
      [],
    ])
  })

  test('a reading that a stop holds is open; an optional one only where it read outside', () => {
    const heldBack = new Set([low.entry.id])
    const held = (check: CheckState) => given({ checks: [check], heldBack }).open.map(({ why }) => why)
    expect(held(judged({}, { verdict: 'within' }))).toEqual(['held'])
    expect(held(judged({}, { verdict: 'within', required: false }))).toEqual([])
    expect(held(judged({ verdict: 'outside' }, { required: false }))).toEqual(['held'])
  })

  test('what its parts explain is no finding of its own', () => {
    expect(given({ checks: [judged({ conformance: 0.1 })], explained: new Set(['low']) })).toMatchObject({
      word: 'no-fault-found',
      open: [],
    })
  })
})

describe('a reading outside', () => {
  const outside = (evaluation: Partial<Evaluation>) =>
    given({ checks: [judged({ verdict: 'outside', ...evaluation })] })

  test('low stands at once, high is wanted again', () => {
    expect(outside({ reason: 'below-minimum' })).toMatchObject({ word: 'fault-found', faults: [{ side: 'low' }] })
    expect(outside({ reason: 'above-maximum' })).toMatchObject({ word: 'undecided', open: [{ why: 'take-again' }] })
  })

  test('a fault goes before what is still open', () => {
    const found = given({
      checks: [judged({ verdict: 'outside', reason: 'below-minimum' }), judged({ conformance: 0.1 })],
    })
    expect(found).toMatchObject({ word: 'fault-found', faults: [{}], open: [{}] })
  })

  test('of a set that is judged whole is told once, by the one that stands out', () => {
    const of = (stands: boolean, again = false) =>
      judged({ verdict: 'outside', reason: 'below-minimum', whole: { stands, again } as never })
    expect(given({ checks: [of(true), of(true)] }).faults).toHaveLength(1)
    expect(given({ checks: [of(false)] })).toMatchObject({ faults: [], open: [] })
    expect(given({ checks: [of(false, true)] })).toMatchObject({ faults: [], open: [{ why: 'take-again' }] })
  })
})

describe('a relation', () => {
  const ratio = (changes: Partial<RelationState>): RelationState => ({
    relation: {
      id: 'r',
      label: 'ratio',
      source: 's1',
      kind: 'ratio',
      of: 'low',
      to: 'high',
      ratio: 9,
      withinPct: 5,
    } as never,
    verdict: 'outside',
    members: [low],
    ...changes,
  })
  const told = (changes: Partial<RelationState>, input: Partial<FindingInput> = {}) =>
    given({ relations: [ratio(changes)], ...input })

  test('that fails is a fault, on the side its odd one reads', () => {
    expect(told({}).faults).toEqual([{ relation: 'r', side: 'low' }])
    expect(told({ odd: low }).faults).toEqual([{ relation: 'r', check: 'low', entry: low.entry.id, side: 'low' }])
  })

  test('whose odd one reads high, or could be a contact, wants it again first', () => {
    expect(told({ odd: low, oddReadsHigh: true })).toMatchObject({ faults: [], open: [{ why: 'take-again' }] })
    expect(told({ odd: low, contactGives: true })).toMatchObject({ faults: [], open: [{ why: 'take-again' }] })
    expect(told({ oddReadsHigh: true }).faults).toEqual([{ relation: 'r', side: 'high' }])
  })

  test('under ten ohms it is wanted again by clips; read twice it stands', () => {
    const small = { ...low, limit: { ...low.limit, band: { max: 9 } } } as Evaluation
    expect(told({ odd: small, oddReadsHigh: true }).open[0]?.why).toBe('clip-on')
    const earlier = { ...low, entry: { ...low.entry, n: 0 } } as Evaluation
    expect(told({ odd: low, oddReadsHigh: true }, { evaluations: [earlier, low] }).faults[0]?.side).toBe('high')
    const byClips = {
      ...small,
      entry: { ...small.entry, reading: { ...small.entry.reading, contact: 'clips' } },
    } as Evaluation
    expect(told({ odd: small, oddReadsHigh: true }, { evaluations: [earlier] }).open[0]?.why).toBe('clip-on')
    expect(told({ odd: byClips, oddReadsHigh: true }, { evaluations: [earlier] }).faults).toHaveLength(1)
  })

  test('is told by its member’s own fault where that has one', () => {
    const fault = judged({ verdict: 'outside', reason: 'below-minimum' })
    expect(told({}, { checks: [fault] }).faults).toHaveLength(1)
  })

  test('borderline holds the finding under 95 %, a guess always, a meter that cannot never', () => {
    const doubt = (changes: Partial<RelationState>) => told({ verdict: 'borderline', ...changes }).open
    expect(doubt({ conformance: 0.94, leaning: 'within' })).toEqual([
      { why: 'relation', relation: 'r', leaning: 'within' },
    ])
    expect(doubt({})).toHaveLength(1)
    expect(doubt({ conformance: 0.95 })).toEqual([])
    expect(doubt({ conformance: 0.99, reason: 'guess' })).toHaveLength(1)
    expect(doubt({ conformance: 0.5, meterCannot: true })).toEqual([])
    expect(told({ verdict: 'within' })).toMatchObject({ faults: [], open: [] })
    expect(told({ verdict: 'none' })).toMatchObject({ faults: [], open: [] })
  })

  test('a sum that fails holds the finding until every part was taken again by clips: then it is a joint, or another wiring', () => {
    const sum = scene.state.relations[0] as RelationState
    const clips = (one: Evaluation, n = one.entry.n) =>
      ({ ...one, entry: { ...one.entry, n, reading: { ...one.entry.reading, contact: 'clips' } } }) as Evaluation
    const failed = (residual: number, members: Evaluation[]): RelationState =>
      ({ ...sum, verdict: 'outside', members, sum: { ...sum.sum, residual } }) as RelationState
    const once = sum.members
    const [first] = once
    const again = once.map((one) => clips(one, one.entry.n + 10))
    const before = { evaluations: once }
    expect(given({ relations: [failed(15, once)], ...before }).open[0]?.why).toBe('sum-off')
    expect(given({ relations: [failed(15, again)], ...before }).faults[0]).toMatchObject({
      relation: sum.relation.id,
      side: 'high',
    })
    expect(given({ relations: [failed(-15, again)], ...before }).open[0]?.why).toBe('not-as-drawn')
    const wholeOnce = [...again.slice(0, -1), once.at(-1) as Evaluation]
    expect(sumStands(scene.bench, failed(15, wholeOnce), once)).toBe('joint')
    expect(sumStands(scene.bench, failed(-15, wholeOnce), once)).toBeNull()
    expect(sumStands(scene.bench, failed(15, [first as Evaluation, ...again.slice(1)]), once)).toBeNull()
    expect(sumStands(scene.bench, failed(15, again), again)).toBeNull()
    expect(given({ relations: [{ ...sum, verdict: 'borderline' }] })).toMatchObject({ faults: [], open: [] })
  })
})
