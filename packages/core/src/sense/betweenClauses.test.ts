import { describe, expect, test } from '@jest/globals'
import type { Relation } from '../document'
import { plainCard, plainCheck, plainTerminals, Script } from '../testing'

const sum: Relation = { id: 'sum', label: 'sum', source: 's1', kind: 'sum', parts: ['one', 'two'], whole: 'whole' }
const ratio: Relation = {
  id: 'ratio',
  label: 'ratio',
  source: 's1',
  kind: 'ratio',
  of: 'one',
  to: 'two',
  ratio: 8.71,
  withinPct: 5,
}
/** Two windings that share a lead, and both in series. */
const card = (...relations: Relation[]) =>
  plainCard({
    family: 'ignition-stator',
    terminals: plainTerminals('A', 'B', 'C', 'frame'),
    windings: [
      { id: 'one', label: 'one', from: 'A', to: 'B', ohms: 318, tolerancePct: 10, material: 'copper' },
      { id: 'two', label: 'two', from: 'B', to: 'C', ohms: 36.5, tolerancePct: 10, material: 'copper' },
    ],
    checks: [
      plainCheck('one', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 286.2, max: 349.8 }),
      plainCheck('two', 'resistance', { pair: ['B', 'C'] }, { kind: 'band', min: 32.85, max: 40.15 }),
      plainCheck('whole', 'resistance', { pair: ['A', 'C'] }, 'derived'),
    ],
    relations,
  })
/** The remarks on a run of these readings, in the order they are read. */
function remarks(readings: string, relations = [sum], begun = (script: Script) => script.ready()) {
  const script = begun(new Script(card(...relations)))
  for (const reading of readings.split('; ')) {
    const [check = '', ...text] = reading.split(' ')
    script.read(check, text.join(' '))
  }
  return new Map(script.state().remarks.map((one) => [one.id, one]))
}

describe('a part above its whole', () => {
  test('whichever of them was read last, is a stop that names both', () => {
    const orders = ['one 320.0; whole 200.0', 'whole 200.0; one 320.0']
    for (const readings of orders)
      expect(remarks(readings).get('beyond-physics')).toMatchObject({
        severity: 'stop',
        params: { part: 'one', whole: 'whole', value: 320, of: 200 },
      })
  })

  test('the second part too', () => {
    expect(remarks('two 36.50; whole 20.00').get('beyond-physics')?.params).toMatchObject({ part: 'two' })
  })

  test.each([
    ['by no more than both doubts', 'one 320.0; whole 319.5'],
    ['where the whole is open', 'one 320.0; whole OL 40M'],
    ['where the part is open', 'whole 200.0; one OL 40M'],
    ['where it is below it', 'one 320.0; whole 356.0'],
  ] as [string, string][])('is silent %s', (_what, readings) =>
    expect(remarks(readings).has('beyond-physics')).toBe(false),
  )

  test('is silent of two parts and no whole, and without a sum', () => {
    expect(remarks('one 320.0; two 36.50').has('beyond-physics')).toBe(false)
    expect(remarks('one 320.0; whole 200.0', [ratio]).has('beyond-physics')).toBe(false)
  })
})

describe('parts that do not add up to their whole', () => {
  test('are a stop with both figures, and what the likely one would have to read', () => {
    const off = remarks('one 318.0; two 36.50; whole 400.0').get('sum-off')
    expect(off).toMatchObject({ severity: 'stop', params: { relation: 'sum', whole: 400, wholeCheck: 'whole' } })
    expect(off?.params['parts']).toBeCloseTo(354.5, 6)
    expect(off?.params['likely']).toBe('whole')
    expect(off?.params['implied']).toBeCloseTo(354.5, 6)
    expect(off?.params['likelyEntry']).not.toBe('')
  })

  test.each([
    ['the first', 'one 352.0; two 36.50; whole 354.5', { likely: 'one', implied: 318 }],
    ['the second', 'one 318.0; two 48.00; whole 354.5', { likely: 'two', implied: 36.5 }],
  ])(
    'name %s part where it is the one that could be high, and what it would have to read',
    (_what, readings, { likely, implied }) => {
      const script = new Script(card(sum)).ready()
      const { entries } = script.run
      for (const [check = '', text = ''] of readings.split('; ').map((one) => one.split(' '))) script.read(check, text)
      const off = script.state().remarks.find(({ id }) => id === 'sum-off')
      const touched = entries.find((one) => one.kind === 'reading' && one.check === likely)
      expect(off?.params).toMatchObject({ likely, likelyEntry: touched?.id, wholeCheck: 'whole', whole: 354.5 })
      expect(off?.params['implied']).toBeCloseTo(implied, 6)
    },
  )

  test('that share ohms in the lead between them are a note with as much, and no stop', () => {
    const shared = remarks('one 322.0; two 40.00; whole 351.0')
    expect(shared.has('sum-off')).toBe(false)
    expect(shared.get('shared-resistance')).toMatchObject({ severity: 'note', params: { relation: 'sum' } })
    expect(shared.get('shared-resistance')?.params['ohms']).toBeCloseTo(5.5, 6)
  })

  test.each([
    ['the first would be under its least without them', 'one 290.0; two 40.00; whole 316.0'],
    ['the second would', 'one 322.0; two 34.00; whole 342.0'],
    ['the whole reads more than its parts', 'one 318.0; two 36.50; whole 400.0'],
  ] as [string, string][])('are a stop where %s', (_what, readings) => {
    const found = remarks(readings)
    expect(found.has('shared-resistance')).toBe(false)
    expect(found.has('sum-off')).toBe(true)
  })

  test('that add up say nothing', () => {
    const found = remarks('one 318.0; two 36.50; whole 354.5')
    for (const id of ['sum-off', 'shared-resistance', 'beyond-physics'] as const) expect(found.has(id)).toBe(false)
  })
})

describe('three pairs of three joined terminals', () => {
  test('one open and two finite is a contact', () => {
    const found = remarks('one 318.0; two 36.50; whole OL 40M')
    expect(found.get('one-open-of-three')).toMatchObject({ severity: 'stop', params: { open: 'whole' } })
    expect(found.get('one-open-of-three')?.params['entry']).not.toBe('')
  })

  test('two open is one break, and the whole adds no second', () => {
    const found = remarks('one 318.0; two OL 40M; whole OL 40M')
    expect(found.has('one-open-of-three')).toBe(false)
    expect(found.get('open-adds-nothing')).toMatchObject({ severity: 'note', params: { open: 'two', whole: 'whole' } })
  })

  test('the whole read first, and open, adds nothing once its part is', () => {
    const found = remarks('whole OL 40M; one 318.0; two OL 40M')
    expect(found.get('open-adds-nothing')?.params).toEqual({ open: 'two', whole: 'whole' })
  })

  test.each([
    ['all finite', 'one 318.0; two 36.50; whole 354.5'],
    ['only two read', 'one 318.0; whole OL 40M'],
  ] as [string, string][])('%s says neither', (_what, readings) => {
    const found = remarks(readings)
    expect(found.has('one-open-of-three')).toBe(false)
    expect(found.has('open-adds-nothing')).toBe(false)
  })
})

describe('sisters whose ratio is off', () => {
  const unknown = (script: Script) =>
    script
      .put({ kind: 'isolation', state: 'loose' })
      .put({ kind: 'lead-check', instrument: 'm2', text: '0.1', ohms: 0, u: 0.01, how: 'hardware' })
  const apart = 'one 345.0; two 34.00'

  test('are told where warmth could have moved both, with both ratios', () => {
    const found = remarks(apart, [ratio], unknown).get('sister-ratio')
    expect(found).toMatchObject({ severity: 'warn', params: { relation: 'ratio', stated: 8.71 } })
    expect(found?.params['ratio']).toBeCloseTo(345 / 34, 3)
    expect(['one', 'two']).toContain(found?.params['odd'])
  })

  test.each([
    ['they keep it', 'one 318.0; two 36.50', unknown],
    ['the part’s temperature was measured', apart, undefined],
    ['no warmth explains one of them', 'one 345.0; two 12.00', unknown],
  ] as [string, string, typeof unknown | undefined][])('are not where %s', (_what, readings, begun) =>
    expect(remarks(readings, [ratio], begun).has('sister-ratio')).toBe(false),
  )
})
