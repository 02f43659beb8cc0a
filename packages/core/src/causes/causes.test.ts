import { describe, expect, test } from '@jest/globals'
import { beepReading } from '../quantity'
import type { Script } from '../testing'
import {
  armatureCard,
  chargingCard,
  compressorCard,
  leadsCard,
  plainCard,
  plainCheck,
  plainTerminals,
  pocketMeter,
  relayCard,
  twinCard,
} from '../testing'
import { causes, on, pair, twice } from '../testing/causing'

describe('the finding names the fault (METHODS 11.21)', () => {
  test('a sound part has none, and an undecided one neither', () => {
    expect(causes(on().read('low', '318'))).toEqual([])
    expect(causes(on().read('low', 'OL 40M'))).toEqual([])
  })

  test('a low coil carries the share of its ohms that is missing, and its low series is no second fault', () => {
    const script = on().read('low', '164.3').read('high', '36.7').read('series', '200.5')
    expect(causes(script)).toEqual(['winding-low low <low,series>'])
    expect(script.state().causes[0]?.share).toBeCloseTo(1 - 164.3 / 318, 2)
  })

  test('an open coil opens its series: one fault', () => {
    const script = twice(twice(on().read('low', '318'), 'high', 'OL 40M'), 'series', 'OL 40M')
    expect(causes(script)).toEqual(['winding-open high <high,series>'])
  })

  test('a high coil, and two coils at once', () => {
    expect(causes(twice(on().read('low', '318'), 'high', '52.0'))).toEqual(['winding-high high <high>'])
    expect(causes(on().read('low', '164').read('high', '24.1'))).toEqual([
      'winding-low low <low>',
      'winding-low high <high>',
    ])
  })

  test('a part to frame: a hard path, and leakage apart from it', () => {
    const to = (text: string) => on().put({ kind: 'proof', of: 'same-metal' }).read('frame', text, pair('O', 'frame'))
    expect(causes(to('18 Ω'))).toEqual(['to-frame high,low <frame>'])
    expect(to('18 Ω').state().causes[0]?.ohms).toBe(18)
    expect(causes(to('270 kΩ'))).toEqual(['insulation-low high,low <frame>'])
  })

  test('two windings that reach the frame explain the bridge between them; a bridge alone is its own', () => {
    const card = twinCard()
    card.checks.push(plainCheck('between', 'resistance', { pair: ['O', 'V'] }, { kind: 'open', atLeast: 1e6 }))
    const script = on(card).put({ kind: 'proof', of: 'same-metal' }).read('between', '21 Ω')
    expect(causes(script)).toEqual(['bridged high,low,trigger <between>'])
    script.read('frame', '9 Ω', pair('O', 'frame'))
    expect(causes(script)).toEqual(['to-frame high,low <frame>', 'bridged high,low,trigger <between>'])
    script.read('frame', '12 Ω', pair('V', 'frame'))
    expect(causes(script)).toEqual(['to-frame high,low <between,frame>', 'to-frame trigger <between,frame>'])
  })

  test('a beep to frame is under its threshold', () => {
    const script = on().put({
      kind: 'reading',
      check: 'frame',
      reading: beepReading(true, 35, { instrument: pocketMeter.id, contact: 'tips', ...pair('O', 'frame') }),
    })
    expect(script.state().causes[0]).toMatchObject({ kind: 'to-frame', ohms: 35 })
  })

  test('of three legs in star the one that both failing pairs share, where the third is within', () => {
    const legs = (uv: string, vw: string, wu: string) =>
      twice(twice(twice(on(chargingCard()), 'uv', uv), 'vw', vw), 'wu', wu)
    expect(causes(legs('0.95', '0.63', '0.95'))).toEqual(['winding-high u <uv,wu>'])
  })

  test('a whole that two parts could explain as well names neither', () => {
    expect(causes(on().read('series', '200'))).toEqual(['figure series <series>'])
    expect(causes(on().read('low', '290').read('series', '300'))).toEqual(['winding-low high <series>'])
  })

  test('three pins whose winding is open', () => {
    const script = on(compressorCard())
    for (const [text, at] of [
      ['OL 40M', pair('C', 'S')],
      ['OL 40M', pair('R', 'S')],
    ] as const)
      twice(script, 'pins', text, at)
    expect(causes(script.read('pins', '5.08', pair('C', 'R')))).toEqual(['winding-open start <pins>'])
  })

  test('pins of another construction are no fault, and are asked about', () => {
    const script = on(compressorCard())
      .read('pins', '1.84', pair('C', 'R'))
      .read('pins', '1.85', pair('C', 'S'))
      .read('pins', '1.86', pair('R', 'S'))
    expect(script.state().finding.word).toBe('undecided')
    expect(script.state().causes).toEqual([{ kind: 'other-kind', of: ['balanced'], explains: [] }])
  })

  test('a joint that stands after clipping explains the part that reads high', () => {
    const script = on()
      .read('low', '322')
      .read('high', '52.1')
      .read('series', '358.4')
      .again('high', '52.0', { contact: 'clips' })
      .again('low', '322', { contact: 'clips' })
    expect(script.state().causes.map(({ kind }) => kind)).toContain('joint')
  })

  test('bars, and leads of a set, by their numbers in one', () => {
    const bars = on(armatureCard())
    for (const [i, text] of ['.41', '.42', '.30', '.41', '.42', '.41', '.31', '.42'].entries())
      bars.read('bars', text, { index: i + 1 })
    expect(causes(bars)).toEqual(['bars 3,7 <bars>'])
    const backwards = on(armatureCard())
    for (const [i, text] of ['.42', '.31', '.41', '.42', '.41', '.30', '.42', '.41'].entries())
      backwards.read('bars', text, { index: 8 - i })
    backwards.put({ kind: 'look', check: 'look', place: 'bars', what: ['burnt'], fault: true })
    expect(causes(backwards)).toEqual(expect.arrayContaining(['bars 3,7 <bars>']))
    const leads = on(leadsCard())
    for (let index = 1; index <= 3; index++) leads.read('still', index === 2 ? '40k' : '6.1k', { index, x: 0.4 })
    leads.again('still', '40k', { index: 2, x: 0.4 })
    expect(causes(leads)).toEqual(['items 2 <still>'])
  })

  test('a contact stuck closed, by its blades', () => {
    const script = on(relayCard()).read('coil', '90', pair('85', '86'))
    const rest = { conditions: { drive: null } }
    const driven = { conditions: { drive: { plus: '85', minus: '86' } } }
    for (const [check, text, at, how] of [
      ['rest', '0.1', pair('30', '87a'), rest],
      ['rest', 'OL 40M', pair('30', '87'), rest],
      ['rest', 'OL 40M', pair('87', '87a'), rest],
      ['driven', '0.1', pair('30', '87a'), driven],
      ['driven', '0.1', pair('30', '87'), driven],
      ['driven', '0.1', pair('87', '87a'), driven],
    ] as const)
      script.read(check, text, { ...at, ...how })
    expect(script.state().causes).toMatchObject([{ kind: 'contact-closed', of: ['30', '87a'] }])
  })

  test('what was seen is a cause where it is a fault by itself, and a later look at the place takes its place', () => {
    const look = (what: 'chafed' | 'sound', fault?: true) => ({
      kind: 'look' as const,
      place: 'lead at the clamp',
      what: [what],
      ...(fault ? { fault } : {}),
    })
    const damaged = on().put(look('chafed', true))
    expect(damaged.state().finding.word).toBe('fault-found')
    expect(causes(damaged)).toEqual(['seen lead at the clamp <lead at the clamp>'])
    expect(on().put(look('chafed')).state().finding.word).not.toBe('fault-found')
    expect(damaged.put(look('sound')).state().causes).toEqual([])
  })

  test('a low output beside an open coil is no second fault; alone it is its own', () => {
    const card = plainCard({
      family: 'ignition-stator',
      terminals: plainTerminals('a', 'b'),
      windings: [{ id: 'coil', label: 'coil', from: 'a', to: 'b', ohms: 300, tolerancePct: 10, material: 'copper' }],
      checks: [
        plainCheck('coil', 'resistance', { pair: ['a', 'b'] }, { kind: 'band', min: 270, max: 330 }),
        plainCheck('volts', 'ac-output', { pair: ['a', 'b'] }, { kind: 'atLeast', value: 17 }),
      ],
    })
    const low = (coil: string) => {
      const script = twice(on(card), 'coil', coil)
      return script.read('volts', '2.0').again('volts', '2.0')
    }
    expect(causes(low('OL 40M'))).toEqual(['winding-open coil <coil,volts>'])
    expect(causes(low('300'))).toEqual(['output volts <volts>'])
  })

  test('a plain lead with ohms in it', () => {
    const card = plainCard({
      family: 'other',
      terminals: plainTerminals('a', 'frame'),
      checks: [plainCheck('earth', 'continuity', { pair: ['a', 'frame'] }, { kind: 'closed', atMost: 0.15 })],
    })
    expect(causes(twice(on(card), 'earth', '0.9'))).toEqual(['wire earth <earth>'])
  })

  test('a winding known only through its whole carries the share that the whole lacks', () => {
    const card = twinCard()
    card.checks = card.checks.filter(({ id }) => id !== 'high')
    card.relations = []
    const script = on(card).read('low', '300').read('series', '310')
    expect(causes(script)).toEqual(['winding-low high <series>'])
    // the other coil leaves it 10 Ω of its 36.7
    expect(script.state().causes[0]?.share).toBeCloseTo(1 - 10 / 36.7, 1)
  })

  describe('where along its winding it reaches the frame', () => {
    const along = (low: string, start: string, end: string, more = (script: Script) => script) =>
      more(
        on().read('low', low).read('frame', start, pair('O', 'frame')).read('frame', end, pair('G', 'frame')),
      ).state().causes[0]?.along
    test('by the difference of its ends; the fault’s own ohms cancel', () => {
      expect(along('318', '18 Ω', '336 Ω')).toMatchObject({ winding: 'low', share: expect.closeTo(0, 2) })
      expect(along('318', '100 Ω', '259 Ω')?.share).toBeCloseTo((100 - 259 + 318) / 636, 2)
      expect(along('318', '500 Ω', '659 Ω')?.share).toBeCloseTo(0.25, 2)
    })
    test('of a winding that nobody read by the card’s ohms, with the card’s tolerance for its doubt', () => {
      const unread = on().read('frame', '100 Ω', pair('O', 'frame')).read('frame', '259 Ω', pair('G', 'frame'))
      const { share = 0, u = 0 } = unread.state().causes[0]?.along ?? {}
      expect(share).toBeCloseTo((100 - 259 + 318) / 636, 2)
      expect(u).toBeGreaterThan(along('318', '100 Ω', '259 Ω')?.u ?? 1)
      // 10 % of 318 Ω, rectangular, in the difference of 159 Ω, over two lengths of it
      expect(u).toBeCloseTo(((31.8 / Math.sqrt(3)) * (159 / 318)) / 636, 3)
    })
    test('not of one whose ohms nobody knows, nor of one that reads open', () => {
      const ends = (script: Script) =>
        script.read('frame', '100 Ω', pair('O', 'frame')).read('frame', '259 Ω', pair('G', 'frame')).state().causes
      const without = (left: 'ohms' | 'tolerancePct') => {
        const card = twinCard()
        card.windings = card.windings.map(({ [left]: _left, ...one }) => one as (typeof card.windings)[number])
        return ends(on(card)).find(({ kind }) => kind === 'to-frame')?.along
      }
      expect([without('ohms'), without('tolerancePct')]).toEqual([undefined, undefined])
      const open = ends(twice(on(), 'low', 'OL 40M')).filter(({ kind }) => kind === 'to-frame')
      expect(open.length).toBeGreaterThan(0)
      expect(open.flatMap(({ along: told }) => told ?? [])).toEqual([])
    })
    test('not by one end, nor by ends that fit no place on it', () => {
      expect(on().read('low', '318').read('frame', '18 Ω', pair('O', 'frame')).state().causes[0]).not.toHaveProperty(
        'along',
      )
      expect(along('318', '18 Ω', '530 Ω')).toBeUndefined()
    })
    test('not by a leak, and not where the meter cannot tell a quarter of it', () => {
      expect(along('318', '200 kΩ', '200.2 kΩ')).toBeUndefined()
      expect(along('318', '900 Ω', '800 Ω')?.share).toBeCloseTo((100 + 318) / 636, 1)
    })
  })
})
