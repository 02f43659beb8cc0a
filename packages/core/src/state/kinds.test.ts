import { describe, expect, test } from '@jest/globals'
import { armatureCard, compressorCard, relayCard, Script } from '../testing'
import { summarise } from './summary'

const drive = { plus: '85', minus: '86' }
const back = { plus: '86', minus: '85' }
const told = (script: Script) => summarise(script.state())
const row = (script: Script, check: string) => {
  const found = told(script).verdicts.find((one) => one.check === check)
  return [found?.verdict, found?.reason]
}

describe('a relay', () => {
  const atRest = (script: Script) => {
    for (const pair of [
      ['30', '87'],
      ['87', '87a'],
    ] as [string, string][])
      script.read('rest', 'OL 20M', { pair })
    return script.read('coil', '91').read('rest', '0.2', { pair: ['30', '87a'] })
  }
  const driven = (script: Script, way: typeof drive, no: string, nc: string, between = 'OL 20M') =>
    script
      .read('driven', no, { pair: ['30', '87'], conditions: { drive: way } })
      .read('driven', nc, { pair: ['30', '87a'], conditions: { drive: way } })
      .read('driven', between, { pair: ['87', '87a'], conditions: { drive: way } })
  const relay = () => atRest(new Script(relayCard()).ready())

  test('that changes over both ways operates, and both checks say so', () => {
    const script = driven(driven(relay(), drive, '0.2', 'OL 20M'), back, '0.2', 'OL 20M')
    expect(row(script, 'rest')).toEqual(['within', undefined])
    expect(row(script, 'driven')).toEqual(['within', undefined])
    expect(told(script).finding).toBe('no-fault-found')
  })

  test('read at rest alone is undecided', () => {
    expect(row(relay(), 'driven')).toEqual(['none', 'not-read'])
    expect(row(relay(), 'rest')).toEqual(['none', 'undecided'])
    expect(told(relay()).finding).toBe('undecided')
  })

  test('whose break contact is welded has a contact fault, at once', () => {
    const script = driven(relay(), drive, '0.2', '0.2', '0.2')
    expect(row(script, 'driven')).toEqual(['outside', 'contact-fault'])
    expect(told(script).finding).toBe('fault-found')
  })

  test('whose make contact stays open wants the open reading twice', () => {
    const script = driven(relay(), drive, 'OL 20M', 'OL 20M')
    expect(row(script, 'driven')).toEqual(['outside', 'contact-fault'])
    expect(told(script).finding).toBe('undecided')
    script.read('driven', 'OL 20M', { pair: ['30', '87'], conditions: { drive } })
    expect(told(script).finding).toBe('fault-found')
  })

  test('that never moves does not operate, and its closed contact needs no second touch', () => {
    const script = driven(driven(relay(), drive, 'OL 20M', '0.2'), back, 'OL 20M', '0.2')
    expect(row(script, 'driven')).toEqual(['outside', 'does-not-operate'])
    expect(told(script).finding).toBe('fault-found')
  })

  test('with a diode is driven one way only', () => {
    const card = relayCard({
      care: { isolate: [], maxTestVolts: 100, cautions: [], electronicsBetween: [['86', '85']] },
    })
    const script = driven(atRest(new Script(card).ready()), drive, 'OL 20M', '0.2')
    expect(row(script, 'driven')).toEqual(['outside', 'does-not-operate'])
  })

  test('that operates with a poor contact is out by that contact', () => {
    const script = driven(relay(), drive, '1.9', 'OL 20M')
    expect(row(script, 'driven')[0]).toBe('outside')
    expect(row(script, 'rest')[0]).toBe('within')
  })
})

describe('three pins of a compressor', () => {
  const read = (ab: string, bc: string, ca: string, card = compressorCard()) =>
    new Script(card)
      .ready()
      .read('pins', ab, { pair: ['C', 'R'], contact: 'clips' })
      .read('pins', bc, { pair: ['R', 'S'], contact: 'clips' })
      .read('pins', ca, { pair: ['S', 'C'], contact: 'clips' })

  test('run, start and both across them are what the card says, whichever pin is which', () => {
    expect(row(read('4.9', '16.6', '11.7'), 'pins')).toEqual(['within', undefined])
    expect(row(read('16.6', '11.7', '4.9'), 'pins')).toEqual(['within', undefined])
    expect(told(read('4.9', '16.6', '11.7')).relations).toEqual([{ id: 'kind', verdict: 'within' }])
  })

  test('two read only are not judged', () => {
    const script = new Script(compressorCard()).ready().read('pins', '4.9', { pair: ['C', 'R'] })
    expect(row(script, 'pins')).toEqual(['none', 'not-read'])
  })

  test('an open run winding leaves one pair: another kind, once its open pairs are read twice', () => {
    const script = read('OL 20M', 'OL 20M', '11.7')
    expect(row(script, 'pins')).toEqual(['outside', 'wrong-kind'])
    expect(told(script).finding).toBe('undecided')
    script.read('pins', 'OL 20M', { pair: ['C', 'R'] }).read('pins', 'OL 20M', { pair: ['R', 'S'] })
    expect(told(script).finding).toBe('fault-found')
    expect(told(script).relations).toEqual([{ id: 'kind', verdict: 'outside' }])
  })

  test('all three open is open', () => {
    expect(row(read('OL 20M', 'OL 20M', 'OL 20M'), 'pins')).toEqual(['outside', 'open-circuit'])
  })

  test('three alike on a split-phase card are another construction, and no fault', () => {
    const script = read('9.1', '9.1', '9.15')
    expect(row(script, 'pins')).toEqual(['none', 'another-card'])
    expect(told(script)).toMatchObject({ finding: 'undecided', relations: [{ id: 'kind', verdict: 'none' }] })
  })

  test('the right kind with a low winding is out by its value', () => {
    expect(row(read('3.1', '14.8', '11.7'), 'pins')).toEqual(['outside', 'below-minimum'])
  })

  test('without construction or relation nothing is said', () => {
    const { construction: _unset, ...card } = compressorCard({ relations: [] })
    expect(row(read('4.9', '16.6', '11.7', card), 'pins')).toEqual(['none', 'kind-unset'])
  })
})

describe('bars that should be alike', () => {
  const bars = (...values: string[]) => {
    const script = new Script(armatureCard()).ready()
    values.forEach((value, i) => script.read('bars', value, { index: i + 1, contact: 'clips' }))
    return script
  }
  const alike = ['0.91', '0.92', '0.91', '0.90', '0.91', '0.92', '0.91']

  test('all alike are within', () => {
    expect(row(bars(...alike, '0.91'), 'bars')).toEqual(['within', undefined])
  })

  test('a bar not read yet keeps the check open, and names itself', () => {
    const points = told(bars(...alike)).verdicts[0]?.points
    expect(row(bars(...alike), 'bars')).toEqual(['none', 'not-read'])
    expect(points?.at(-1)).toEqual({ index: 8, verdict: 'none', reason: 'not-read' })
  })

  test('one low bar is out and is named by its number', () => {
    const points = told(bars('0.55', ...alike)).verdicts[0]?.points
    expect(points?.filter((one) => one.verdict === 'outside').map((one) => [one.index, one.reason])).toEqual([
      [1, 'unlike-the-rest'],
    ])
    expect(told(bars('0.55', ...alike)).finding).toBe('fault-found')
  })

  test('one high bar wants a second touch', () => {
    const script = bars('1.4', ...alike)
    expect(told(script).finding).toBe('undecided')
    script.read('bars', '1.4', { index: 1, contact: 'clips' })
    expect(told(script).finding).toBe('fault-found')
  })

  test('a scattered set is called neither way', () => {
    expect(row(bars('0.5', '0.9', '1.3', '0.7', '1.1', '0.6', '1.2', '0.8'), 'bars')).toEqual(['none', 'scattered'])
  })
})
