import { describe, expect, test } from '@jest/globals'
import { beepReading, type Reading } from '@sure-spool/core'
import {
  armatureCard,
  chargingCard,
  compressorCard,
  plainCard,
  plainCheck,
  plainTerminals,
  pocketMeter,
  Script,
  twinCard,
  valveCard,
} from '@sure-spool/core/testing'
import { causeWords } from './causes'
import { figuresWith } from './figures'

const said = (script: Script) => {
  const state = script.state()
  return state.causes.map((cause) =>
    causeWords(
      cause,
      state,
      figuresWith(() => false),
    ).replaceAll('\u2009', ' '),
  )
}
const on = (card = twinCard()) => new Script(card).ready().put({ kind: 'proof', of: 'same-metal', text: '0.1' })
const toFrame: Partial<Reading> = { pair: ['O', 'frame'] }

describe('a cause says what was read, and no more', () => {
  test('a beep is under its threshold, and no figure', () => {
    const beep = beepReading(true, 35, { instrument: pocketMeter.id, contact: 'tips', ...toFrame })
    const script = on().put({ kind: 'reading', check: 'frame', reading: beep })
    expect(said(script)).toEqual(['High-speed charge coil and low-speed charge coil reach the frame, under 35 Ω.'])
  })
  test('ohms to frame are told as they were read; above a kilohm it leaks', () => {
    expect(said(on().read('frame', '18 Ω', toFrame))[0]).toMatch(/reach the frame: 18 Ω\.$/)
    expect(said(on().read('frame', '270 kΩ', toFrame))[0]).toMatch(/leak to the frame: 270 kΩ\.$/)
  })
  test('nothing seen beside what stands in parallel wants a lead lifted, and no higher range', () => {
    const beside = () =>
      new Script(twinCard())
        .ready()
        .put({ kind: 'isolation', state: 'in-circuit', parallelOhms: 1000 })
        .read('low', '998')
        .read('low', '998', { contact: 'clips' })
    expect(said(beside())).toEqual([
      expect.stringMatching(
        /^Low-speed charge coil reads as what stands in parallel alone, so beyond 9\d\d Ω: .*lift a lead to tell\.$/,
      ),
    ])
  })
  test('a lead that reaches the frame only while it is bent is named, with its place', () => {
    const bent = (where?: string) =>
      said(
        on(chargingCard()).read('flex', '2.1 Ω', {
          pair: ['W', 'frame'],
          conditions: { state: ['flexed'] },
          ...(where === undefined ? {} : { where }),
        }),
      )
    expect(bent('the clamp')).toEqual(['White 3 lead reaches the frame at the clamp: 2.1 Ω while it is bent.'])
    expect(bent()).toEqual(['White 3 lead reaches the frame: 2.1 Ω while it is bent.'])
  })
  test('where along its winding it reaches the frame, where both ends tell', () => {
    const ends = (start: string, end: string) =>
      said(
        on()
          .read('low', '318')
          .read('frame', start, { pair: ['O', 'frame'] })
          .read('frame', end, { pair: ['G', 'frame'] }),
      )[0]
    expect(ends('18 Ω', '330 Ω')).toMatch(
      /reach the frame: 18 Ω, in the low-speed charge coil near its start \(orange\)\.$/,
    )
    expect(ends('330 Ω', '18 Ω')).toMatch(
      /reach the frame: 18 Ω, in the low-speed charge coil near its end \(grey\)\.$/,
    )
    expect(ends('145 Ω', '209 Ω')).toMatch(/about 40 % along from orange\.$/)
  })
  test('a winding beyond a low range is not called open, nor given ohms', () => {
    const beyond = (text: string) => said(on().read('high', text).again('high', text))
    expect(beyond('OL 200')).toEqual([
      'High-speed charge coil reads beyond 200 Ω: broken, or ohms added; a higher range tells.',
    ])
    expect(beyond('OL 40M')).toEqual(['High-speed charge coil open.'])
    expect(beyond('52.1')).toEqual(['High-speed charge coil reads high: ohms added in it or at its ends.'])
  })
  test('of bars the low one has turns short, between which two', () => {
    const bars = new Script(armatureCard()).ready()
    for (const [i, text] of ['.41', '.42', '.41', '.30', '.42', '.41', '.41', '.42'].entries())
      bars.read('bars', text, { index: i + 1 })
    expect(said(bars)).toEqual(['Turns short in the coil between bars 4 and 5.'])
  })
  test('of another construction it says which', () => {
    const pins = new Script(compressorCard()).ready()
    for (const [text, pair] of [
      ['1.84', ['C', 'R']],
      ['1.85', ['C', 'S']],
      ['1.86', ['R', 'S']],
    ] as [string, [string, string]][])
      pins.read('pins', text, { pair })
    expect(said(pins)).toEqual(['Reads as three legs alike, and not the card’s: is it this part?'])
  })
  const wires = (...texts: string[]) => {
    const limit = { kind: 'closed', atMost: 0.15 } as const
    const script = new Script(
      plainCard({
        family: 'other',
        terminals: plainTerminals('a', 'b'),
        checks: [plainCheck('earth', 'continuity', { pair: ['a', 'b'] }, limit, { label: 'earth strap' })],
      }),
    ).ready()
    for (const text of texts) script.read('earth', text, { contact: 'clips' })
    return said(script)
  }
  test('a lead that is open, has ohms, or breaks while it is moved', () => {
    expect(wires('OL 40M', 'OL 40M')).toEqual(['Earth strap is open.'])
    expect(wires('0.9', '0.9')).toEqual(['Earth strap: 0.9 Ω, at most 0.15 Ω wanted.'])
    expect(wires('0.1..OL', '0.1..OL')).toEqual(['Earth strap breaks while it is moved.'])
  })
  test('a draw beside volts over ohms', () => {
    const draws = (amps: string) =>
      said(
        new Script(valveCard())
          .ready()
          .read('coil', '8.00', { contact: 'clips' })
          .put({ kind: 'supply', text: '12.0', volts: 12, u: 0.05, while: 'on' })
          .read('draw', amps)
          .again('draw', amps),
      )
    expect(draws('2.40')).toEqual(['Draw 60 % more than volts over ohms.'])
    expect(draws('0.60')).toEqual(['Draw 60 % less than volts over ohms.'])
  })
  test('what was seen, where, and nothing of what it looked like before', () => {
    const seen = (...what: ('burnt' | 'cracked')[][]) =>
      said(what.reduce((script, one) => script.put({ kind: 'look', place: 'plug', what: one, fault: true }), on()))
    expect(seen(['burnt', 'cracked'])).toEqual(['Plug: burnt, cracked.'])
    expect(seen(['burnt'], ['cracked'])).toEqual(['Plug: cracked.'])
  })
})
