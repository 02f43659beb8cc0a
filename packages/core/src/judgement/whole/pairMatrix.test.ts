import { describe, expect, test } from '@jest/globals'
import type { Card, CardLimit } from '../../document'
import { plainCard, plainCheck, plainTerminals } from '../../testing'
import { on } from '../../testing/causing'

const winding = (id: string, from: string, to: string, ohms: number) => ({
  id,
  label: id,
  from,
  to,
  ohms,
  tolerancePct: 5,
  material: 'copper' as const,
})
const terminals = ['1', '2', '3', '4', '5']
/** A tapped winding of 100 Ω and 200 Ω on three wires, and one of 50 Ω on two. */
const card = (limit: CardLimit['limit'] | undefined = 'derived'): Card =>
  plainCard({
    family: 'other',
    terminals: plainTerminals(...terminals),
    windings: [winding('a', '1', '2', 100), winding('b', '2', '3', 200), winding('c', '4', '5', 50)],
    checks: [plainCheck('wires', 'pair-matrix', { among: terminals }, limit)],
  })
/** What all ten pairs come to: those that are not given read open. */
function judged(values: Record<string, string>, wires = terminals, of = card()) {
  const script = on(of)
  wires.forEach((a, i) =>
    wires.slice(i + 1).forEach((b) => {
      script.read('wires', values[a + b] ?? 'OL 40M', { pair: [a, b], contact: 'clips' })
    }),
  )
  const state = script.state()
  const check = state.checks[0]
  const off = [...state.evaluations.values()].flatMap((one) =>
    one.net !== undefined && one.verdict !== 'within' ? one.pair?.join('') : [],
  )
  return [check?.verdict, check?.reason, off]
}

describe('wires that have their names', () => {
  test('are within where each pair reads its winding', () => {
    expect(judged({ 12: '100', 23: '200', 13: '300', 45: '50' })).toEqual(['within', undefined, []])
  })

  test('a pair off its own limits is named, and those through it', () => {
    expect(judged({ 12: '100', 23: '150', 13: '250', 45: '50' })).toEqual(['outside', 'below-minimum', ['13', '23']])
    expect(judged({ 12: '100', 23: '200', 13: '300', 45: '60' })).toEqual(['outside', 'above-maximum', ['45']])
  })

  test('the same sizes in other wires are another build', () => {
    expect(judged({ 14: '100', 45: '200', 15: '300', 23: '50' }).slice(0, 2)).toEqual(['outside', 'unlike-the-rest'])
  })

  test('a group that is missing is open; one that is larger is a short', () => {
    expect(judged({ 12: '100', 23: '200', 13: '300' }).slice(0, 2)).toEqual(['outside', 'open-circuit'])
    expect(judged({ 12: '100', 45: '50' }).slice(0, 2)).toEqual(['outside', 'short-circuit'])
  })

  test('until every pair is read there is no verdict', () => {
    const script = on(card()).read('wires', '100', { pair: ['1', '2'] })
    expect(script.state().checks[0]).toMatchObject({ verdict: 'none', reason: 'not-read' })
  })
})

describe('wires that nobody knows', () => {
  const wires = ['p', 'q', 'r', 's', 't']

  test('are matched by how many they are, and what they read, whichever way round', () => {
    expect(judged({ ps: '200', st: '100', pt: '300', qr: '50' }, wires)).toEqual(['within', undefined, []])
    expect(judged({ pq: '50', rs: '100', st: '200', rt: '300' }, wires)).toEqual(['within', undefined, []])
  })

  test('and judged by the limits of what they match', () => {
    expect(judged({ ps: '200', st: '100', pt: '300', qr: '80' }, wires)).toEqual(['outside', 'above-maximum', ['qr']])
    expect(judged({ ps: '150', st: '100', pt: '250', qr: '50' }, wires)).toEqual([
      'outside',
      'below-minimum',
      ['ps', 'pt'],
    ])
  })

  test('of two windings on two wires each the lower reads the lower limits', () => {
    const two: Card = { ...card(), windings: [winding('a', '1', '2', 100), winding('c', '4', '5', 50)] }
    const four = { ...two, terminals: plainTerminals('1', '2', '4', '5') }
    four.checks = [plainCheck('wires', 'pair-matrix', { among: ['1', '2', '4', '5'] }, 'derived')]
    const of = (values: Record<string, string>) => judged(values, ['p', 'q', 'r', 's'], four)
    expect(of({ pq: '50', rs: '100' })).toEqual(['within', undefined, []])
    expect(of({ pq: '100', rs: '50' })).toEqual(['within', undefined, []])
    expect(of({ pq: '100', rs: '70' })).toEqual(['outside', 'above-maximum', ['rs']])
  })

  test('what one limit for all says is held to each', () => {
    const one = card({ kind: 'band', min: 40, max: 310 })
    expect(judged({ ps: '200', st: '100', pt: '300', qr: '50' }, wires, one).slice(0, 1)).toEqual(['within'])
  })
})
