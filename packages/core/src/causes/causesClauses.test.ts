import { describe, expect, test } from '@jest/globals'
import type { Relation } from '../document'
import { chargingCard, compressorCard, plainCheck, twinCard, valveCard } from '../testing'
import { causes, chain, on, pair, twice } from '../testing/causing'

const band = (min: number, max: number) => ({ kind: 'band' as const, min, max })

describe('several faults of one part', () => {
  test('each is named, in the order of the kinds, however many', () => {
    const script = on()
      .put({ kind: 'proof', of: 'same-metal' })
      .put({ kind: 'look', place: 'plug', what: ['burnt'], fault: true })
      .read('frame', '12 Ω', pair('V', 'frame'))
      .read('trigger', '40')
      .read('low', '164')
      .read('high', '24.1')
    expect(causes(script)).toEqual([
      'winding-low low <low>',
      'winding-low high <high>',
      'winding-low trigger <trigger>',
      'to-frame trigger <frame>',
      'seen plug <plug>',
    ])
  })

  test('a group that reaches the frame in two places is one; the nearer place tells its ohms', () => {
    const script = on().put({ kind: 'proof', of: 'same-metal' })
    script.read('frame', '335 Ω', pair('O', 'frame')).read('frame', '18 Ω', pair('G', 'frame'))
    expect(causes(script)).toEqual(['to-frame high,low <frame>'])
    expect(script.state().causes[0]?.ohms).toBe(18)
  })

  test('a reach and a leak of one group are the reach', () => {
    const card = twinCard()
    card.checks.push(plainCheck('volts', 'insulation', { pair: ['O', 'frame'] }, { kind: 'insulation', minOhms: 1e6 }))
    const script = on(card).put({ kind: 'proof', of: 'same-metal' })
    script.read('frame', '18 Ω', pair('O', 'frame')).read('volts', '200k')
    expect(causes(script)).toEqual(['to-frame high,low <frame,volts>'])
  })
})

describe('what follows a winding', () => {
  const draws = (coil: string, amps: string) => {
    const relation: Relation = {
      id: 'pull',
      label: 'draw',
      source: 's1',
      kind: 'draw',
      ohms: 'coil',
      amps: 'amps',
      withinPct: 10,
    }
    const card = valveCard({ relations: [relation] })
    const has = card.checks.some(({ id }) => id === 'amps')
    if (!has) card.checks.push(plainCheck('amps', 'current', { pair: ['1', '2'] }, band(0.5, 4)))
    return on(card)
      .read('coil', coil, { contact: 'clips' })
      .put({ kind: 'supply', text: '12.0', volts: 12, u: 0.05, while: 'on' })
      .read('amps', amps)
  }
  test('a draw too high beside a low coil is that coil; beside a right one it is its own', () => {
    const high = draws('8.00', '2.40').state()
    expect(high.causes.map(({ kind, of }) => `${kind} ${of.join()}`)).toEqual(['draw pull'])
    const low = draws('4.00', '2.40').state()
    expect(low.causes.map(({ kind, of }) => `${kind} ${of.join()}`)).toEqual(['winding-low coil'])
  })

  test('a failed ratio names the winding that is off, and no second beside its own reading', () => {
    const script = on().read('low', '318').read('high', '24.1')
    expect(causes(script)[0]).toMatch(/^winding-low high <.*high/)
    expect(script.state().causes).toHaveLength(1)
  })

  test('one of three legs low makes the three unequal: one fault', () => {
    const legs = twice(twice(twice(on(chargingCard()), 'uv', '0.31'), 'vw', '0.31'), 'wu', '0.62')
    expect(causes(legs)[0]).toMatch(/^winding-low v <.*uv.*vw/)
    expect(legs.state().causes).toHaveLength(1)
  })
})

describe('a winding nobody read by itself', () => {
  test('is what the whole says once the other is cleared, and its share what the other leaves it', () => {
    const script = on(chain(100, 100)).read('w0', '100').read('whole', '150')
    expect(causes(script)).toEqual(['winding-low w1 <whole>'])
    expect(script.state().causes[0]?.share).toBeCloseTo(0.5, 2)
    expect(causes(twice(on(chain(100, 100)).read('w0', '100'), 'whole', '290'))).toEqual(['winding-high w1 <whole>'])
    expect(causes(twice(on(chain(100, 100)).read('w0', '100'), 'whole', 'OL 40M'))).toEqual(['winding-open w1 <whole>'])
  })
  test('is not named while the other was not read, nor where only its henries were', () => {
    expect(causes(on(chain(100, 100)).read('whole', '150'))).toEqual(['figure whole <whole>'])
    expect(causes(on(chain(100, 100)).read('henries', '1.5').read('whole', '150'))).toEqual(['figure whole <whole>'])
  })
  test('of two unread neither is named', () => {
    expect(
      causes(
        on(chain(100, 50, 50))
          .read('w0', '100')
          .read('whole', '150'),
      ),
    ).toEqual(['figure whole <whole>'])
  })
  test('a share is never more than all of it', () => {
    const script = on(chain(100, 100)).read('w0', '100').read('whole', '95')
    expect(script.state().causes[0]?.share ?? 1).toBeLessThanOrEqual(1)
  })
})

describe('three pins', () => {
  const pins = (cr: string, cs: string, rs: string) => {
    const script = on(compressorCard())
    for (const [at, text] of [
      [pair('C', 'R'), cr],
      [pair('C', 'S'), cs],
      [pair('R', 'S'), rs],
    ] as const)
      twice(script, 'pins', text, at)
    return script
  }
  test('the run winding open, the start winding open, and both', () => {
    expect(causes(pins('OL 40M', '11.7', 'OL 40M'))).toEqual(['winding-open run <pins>'])
    expect(causes(pins('4.90', 'OL 40M', 'OL 40M'))).toEqual(['winding-open start <pins>'])
    expect(causes(pins('OL 40M', 'OL 40M', 'OL 40M'))).toEqual(['winding-open run,start <pins>'])
  })
  test('a low winding by its own pair, with the pair of both', () => {
    expect(causes(pins('2.45', '11.7', '14.15'))).toEqual(['winding-low run <pins>'])
  })
  test('a high one stands when it was touched twice, by clips where its ohms are few; a low one at once', () => {
    const once = (cr: string, cs: string, rs: string) => {
      const script = on(compressorCard()).read('pins', cr, pair('C', 'R'))
      return script.read('pins', cs, pair('C', 'S')).read('pins', rs, pair('R', 'S'))
    }
    expect(once('8.45', '11.7', '20.15').state().finding).toMatchObject({
      word: 'undecided',
      open: [{ why: 'clip-on' }],
    })
    const tips = once('8.45', '11.7', '20.15').read('pins', '8.45', pair('C', 'R'))
    expect(tips.state().finding.word).toBe('undecided')
    expect(causes(tips.read('pins', '8.45', { ...pair('C', 'R'), contact: 'clips' }))).toEqual([
      'winding-high run <pins>',
    ])
    expect(once('4.9', '15.5', '20.4').state().finding).toMatchObject({ open: [{ why: 'take-again' }] })
    expect(causes(once('4.9', '15.5', '20.4').read('pins', '15.5', pair('C', 'S')))).toEqual([
      'winding-high start <pins>',
    ])
    expect(causes(once('2.45', '15.5', '17.95'))).toEqual(['winding-low run <pins>'])
  })
  test('two windings that are off are two causes, though one of them alone would account for the pair of both', () => {
    expect(causes(pins('2.45', '15.5', '17.95'))).toEqual(['winding-low run <pins>', 'winding-high start <pins>'])
    expect(causes(pins('8.45', '15.5', '23.95'))).toEqual(['winding-high run <pins>', 'winding-high start <pins>'])
    expect(causes(pins('2.45', '5.5', '7.95'))).toEqual(['winding-low run <pins>', 'winding-low start <pins>'])
  })
})

describe('a joint', () => {
  test('is named by the terminal that the two windings share', () => {
    const script = on()
      .read('low', '322')
      .read('high', '52.1')
      .read('series', '358.4')
      .again('high', '52.0', { contact: 'clips' })
      .again('low', '322', { contact: 'clips' })
    expect(script.state().causes.find(({ kind }) => kind === 'joint')).toMatchObject({ of: ['O'] })
  })
})

describe('three pins without a figure of their own', () => {
  const pins = (construction: string, ...figures: string[]) => {
    const check = plainCheck('pins', 'three-pins', { among: ['C', 'R', 'S'] }, undefined, { limits: [] })
    const script = on({ ...compressorCard({ checks: [check], relations: [] }), construction })
    const pairs = [
      ['C', 'R'],
      ['C', 'S'],
      ['R', 'S'],
    ] as [string, string][]
    for (let i = 0; i < 2; i++)
      pairs.forEach((pair, j) => script.read('pins', figures[j] ?? '', { pair, contact: 'clips' }))
    return causes(script)
  }

  test('an end that reads nothing to the others is its winding, open', () => {
    expect(pins('split-phase', '4.90', 'OL 40M', 'OL 40M')).toEqual(['winding-open start <pins>'])
    expect(pins('split-phase', 'OL 40M', '11.70', 'OL 40M')).toEqual(['winding-open run <pins>'])
  })

  test('all three open are both windings', () => {
    expect(pins('split-phase', 'OL 40M', 'OL 40M', 'OL 40M')).toEqual(['winding-open run,start <pins>'])
  })
})

describe('two coils that both read open', () => {
  test('are two causes, and what both read in series follows from either', () => {
    const script = on()
    for (let i = 0; i < 2; i++) for (const check of ['low', 'high', 'series']) script.read(check, 'OL 40M')
    expect(causes(script)).toEqual(['winding-open low <low,series>', 'winding-open high <high,series>'])
  })
})
