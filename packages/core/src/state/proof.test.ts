import { describe, expect, test } from '@jest/globals'
import type { Card, Family } from '../document'
import {
  compressorCard,
  leadsCard,
  plainCard,
  plainCheck,
  plainTerminals,
  relayCard,
  Script,
  twinCard,
} from '../testing'
import { notProved, notTested, wasHot } from '.'

const fresh = (card: Card, complaint: Card['hints'][number]['when'][] = []) =>
  new Script(card, { unit: { complaint: complaint as never } }).ready()
const unproved = (card: Card) => notProved(fresh(card).state())

describe('what a pass does not prove is the part’s own', () => {
  test.each([
    ['a part with no speed has none to prove', compressorCard(), 'output-at-speed'],
    ['leads have no frame and no shorted turns', leadsCard(), 'insulation-at-volts'],
    ['a relay moves contacts, and is no winding at spark volts', relayCard(), 'spark-under-load'],
  ] as const)('%s', (_, card, never) => {
    expect(unproved(card)).not.toContain(never)
    expect(unproved(card).length).toBeGreaterThan(0)
  })

  test('insulation at working volts only where there is a frame', () => {
    const motor = (...ids: string[]) => plainCard({ family: 'motor', terminals: plainTerminals(...ids) })
    expect(unproved(motor('a', 'b'))).not.toContain('insulation-at-volts')
    expect(unproved(motor('a', 'b', 'frame'))).toContain('insulation-at-volts')
  })

  test('nothing that was done: output that was within proves it, a failed one does not', () => {
    const card = plainCard({
      family: 'speed-sensor',
      terminals: plainTerminals('a', 'b'),
      checks: [plainCheck('volts', 'ac-output', { pair: ['a', 'b'] }, { kind: 'atLeast', value: 0.3 })],
    })
    expect(notProved(fresh(card).read('volts', '0.5').state())).not.toContain('output-at-speed')
    expect(notProved(fresh(card).read('volts', '0.2').state())).toContain('output-at-speed')
  })
  test('short turns, unless nothing but breaks was read', () => {
    const turns = (...coils: [string, string][]) =>
      notProved(coils.reduce((script, [check, text]) => script.read(check, text), fresh(twinCard())).state())[0]
    expect([turns(), turns(['low', '318']), turns(['low', 'OL 40M'], ['high', '36.5'])]).toEqual(
      Array(3).fill('shorted-turns'),
    )
    expect(turns(['low', 'OL 40M'], ['frame', '> 20M'])).toBe('output-at-speed')
  })

  test('heat is proved by a part that was read hot, from 50 °C', () => {
    const warmed = (partC: number) => fresh(twinCard()).put({ kind: 'temperature', part: 'measured', partC })
    const at = (partC: number) => warmed(partC).read('low', '372').state()
    expect([wasHot(at(49.9)), wasHot(at(50)), wasHot(warmed(65).state())]).toEqual([false, true, false])
    const inAHotRoom = new Script(twinCard()).put({ kind: 'temperature', part: 'room', roomC: 55 }).read('low', '372')
    expect(wasHot(inAHotRoom.state())).toBe(false)
    expect(notProved(at(49.9))).toContain('when-hot')
    expect(notProved(at(50))).not.toContain('when-hot')
  })

  test('every family has something it leaves unproved', () => {
    const families: Family[] = ['thermistor', 'sender', 'pickup', 'solenoid-set', 'armature', 'other', 'coil-pack']
    for (const family of families)
      expect(unproved(plainCard({ family, terminals: plainTerminals('a', 'frame') })).length).toBeGreaterThan(0)
  })
})

describe('what was not tested', () => {
  const whats = (script: Script) => notTested(script.state()).map((one) => ('check' in one ? one.check : one.what))

  test('is never what was read, and says why a skipped one was', () => {
    expect(whats(fresh(twinCard()))).toContain('low')
    expect(whats(fresh(twinCard()).read('low', '322'))).not.toContain('low')
    const skipped = fresh(twinCard()).put({ kind: 'skip', check: 'low', reason: 'glued in' })
    expect(notTested(skipped.state())).toContainEqual({ what: 'check', check: 'low', skipped: 'glued in' })
  })

  test('heat only where the complaint is of it, and nobody read it hot', () => {
    expect(whats(fresh(twinCard()))).not.toContain('hot')
    expect(whats(fresh(twinCard(), ['trips-when-hot']))).toContain('hot')
    const hot = fresh(twinCard(), ['trips-when-hot']).put({ kind: 'temperature', part: 'measured', partC: 65 })
    expect(whats(hot)).toContain('hot')
    expect(whats(hot.read('low', '372'))).not.toContain('hot')
  })

  test('flexing only where it comes and goes, the part has leads, and no check of the card lists it', () => {
    const wired = (wire: boolean) =>
      plainCard({
        family: 'solenoid',
        terminals: plainTerminals('a', 'b').map(
          (one) => ({ ...one, ...(wire ? { wire: { base: 'red' } } : {}) }) as never,
        ),
        checks: [plainCheck('coil', 'resistance', { pair: ['a', 'b'] }, { kind: 'band', min: 1, max: 2 })],
      })
    expect(whats(fresh(wired(true), ['intermittent']))).toContain('leads-flexed')
    expect(whats(fresh(wired(false), ['intermittent']))).not.toContain('leads-flexed')
    expect(whats(fresh(wired(true), ['weak']))).not.toContain('leads-flexed')
    expect(whats(fresh(twinCard(), ['intermittent']))).not.toContain('leads-flexed')
    const flexed = fresh(wired(true), ['intermittent']).read('coil', '1.5', { conditions: { state: ['flexed'] } })
    expect(whats(flexed)).not.toContain('leads-flexed')
  })
})
