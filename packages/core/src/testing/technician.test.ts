import { readdirSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Card } from '../document'
import { chanceFrom, meterOf, partOf, type Fault } from '../simulate'
import { demoCard } from './cards'
import { fourWireMeter, pocketMeter } from './kit'
import { Script } from './script'
import { readPath, workThrough, type Bench } from './technician'

const byOhms = (card: Card) =>
  card.checks.every(({ kind, required }) => !required || ['look', 'resistance', 'continuity'].includes(kind)) &&
  card.windings.every(({ ohms }) => ohms !== undefined) &&
  card.checks.every((check) => check.limits.every((limit) => limit.for !== 'rewound'))
const cards = readdirSync('demo/cards')
  .map((name) => demoCard(name.replace('.json', '')))
  .filter(byOhms)
const seeds = [1, 2, 3, 4, 5]

function bench(card: Card, seed: number, faults: Fault[] = []): Bench & { script: Script } {
  const chance = chanceFrom(seed)
  const small = card.windings.some(({ ohms = 100 }) => ohms < 3)
  const meter = meterOf(small ? fourWireMeter : pocketMeter, chance)
  const script = new Script(card, { instruments: [meter.instrument] })
  return { script, part: partOf(card, faults), meter, chance, celsius: 19 }
}
const worked = (card: Card, seed: number, faults: Fault[] = []) => {
  const { script, ...rest } = bench(card, seed, faults)
  return workThrough(script, rest).state()
}

test('there are cards that ohms decide', () => expect(cards.length).toBeGreaterThan(5))

describe.each(cards.map((card) => [card.name.model, card] as const))('a simulated %s', (_model, card) => {
  test('that is sound has no fault found and meets no stop, from any seed', () => {
    for (const seed of seeds) {
      const { finding, remarks } = worked(card, seed)
      expect(finding.word).toBe('no-fault-found')
      expect(remarks.filter((one) => one.severity === 'stop').map((one) => one.id)).toEqual([])
    }
  })

  test('with a winding open is faulty, and the fault is that winding’s', () => {
    const [winding] = card.windings
    if (!winding) throw new Error('every card here has a winding')
    for (const seed of seeds) {
      const { finding } = worked(card, seed, [{ kind: 'open-winding', winding: winding.id }])
      expect(finding.word).toBe('fault-found')
      expect(finding.faults.every((fault) => fault.side === 'high')).toBe(true)
    }
  })

  test('with a quarter of a winding’s turns shorted reads low, and needs no second touch', () => {
    const [winding] = card.windings
    if (!winding) throw new Error('every card here has a winding')
    const { finding } = worked(card, 3, [{ kind: 'shorted-turns', winding: winding.id, fraction: 0.3 }])
    expect(finding.word).toBe('fault-found')
    expect(finding.faults.some((fault) => fault.side === 'low' || fault.relation !== undefined)).toBe(true)
  })
})

const framed = cards.filter(({ checks }) =>
  checks.some(({ at, required }) => required && 'each' in at && at.to === 'frame'),
)
test.each(framed.map((card) => [card.name.model, card] as const))(
  'a simulated %s with a leak to frame is found by its ground test',
  (_model, card) => {
    const [winding] = card.windings
    if (!winding) throw new Error('every card here has a winding')
    const { finding } = worked(card, 2, [{ kind: 'ground-leak', winding: winding.id, position: 0.5, ohms: 900 }])
    expect(finding.word).toBe('fault-found')
  },
)

test('poor contacts are taken again with clips, and no fault is made of them', () => {
  const card = demoCard('orrinvale-18-twin')
  for (const seed of seeds) {
    const { script, ...rest } = bench(card, seed)
    const state = workThrough(script, { ...rest, poor: 0.5 }).state()
    expect(state.finding.word).toBe('no-fault-found')
  }
})

test('after a rewind only what it touched is read again', () => {
  const card = demoCard('orrinvale-18-twin')
  const { script, ...rest } = bench(card, 4, [{ kind: 'shorted-turns', winding: 'low', fraction: 0.3 }])
  workThrough(script, rest).put({ kind: 'work', what: 'rewind', place: 'low' })
  const before = script.run.entries.length
  readPath(script, { ...rest, part: partOf(card) })
  const again = script.run.entries.slice(before).flatMap((entry) => (entry.kind === 'reading' ? [entry.check] : []))
  expect(again).toEqual(expect.arrayContaining(['low', 'series', 'frame']))
  expect(again).not.toContain('trigger')
  expect(script.state().finding.word).toBe('no-fault-found')
})
