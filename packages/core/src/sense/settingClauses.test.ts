import { describe, expect, test } from '@jest/globals'
import type { Card, EntryBody } from '../document'
import { coarseCard, insulationTester, knobMeter, plainCheck, relayCard, Script, twinCard, valveCard } from '../testing'
import { but, butCheck, butOpen, butQuantity, butReading, holdClauses, momentOf, noFigure } from '../testing/clauses'
import * as driving from './drivingRules'
import * as setUp from './setUpRules'

const on = (card: Card = twinCard()) => new Script(card).ready()
const low = (text: string) => on().read('low', text)
const room = { kind: 'temperature', part: 'room', roomC: 20 } as const
const atRoom = (card: Card = twinCard()) => new Script(card).put({ kind: 'isolation', state: 'loose' }).put(room)
const zero = (ohms: number, how: 'hardware' | 'subtract' | 'carried' = 'subtract') =>
  ({ kind: 'lead-check', instrument: 'm2', text: String(ohms), ohms, u: 0.018, how }) as const
const drive = { plus: '85', minus: '86' }
const contact = (script: Script) => script.read('driven', '0.2', { pair: ['30', '87'], conditions: { drive } })

const shell = { pair: ['1', 'frame'] as [string, string] }
const care = { isolate: [], maxTestVolts: 250, cautions: [] }
const testing = (volts: string, more: Partial<Card['care']> = {}) =>
  new Script(valveCard({ care: { ...care, ...more } }), { instruments: [insulationTester] })
    .ready()
    .read('shell', `${volts} 2.1G`, shell)
const at = (testVolts: number) => butCheck({ conditions: { testVolts } })
const framed = (text: string) => new Script(twinCard()).read('frame', text, { pair: ['O', 'frame'] })

/** A zero made in an earlier run of the tray. */
const ofTheTray = (at: string) => ({ ...zero(0.1), from: { run: '019a1111-0000-7000-8000-000000000009', at } })

const atVolts = (text: string, ...first: EntryBody[]) => {
  const script = new Script(valveCard(), { instruments: [insulationTester] })
  for (const body of first) script.put(body)
  return script.read('shell', text, { pair: ['1', 'frame'] })
}

holdClauses('setting', [
  [
    setUp.meterUnproved,
    () => framed('OL 40M'),
    {
      'its tips were proved': () =>
        new Script(twinCard()).put({ kind: 'proof', of: 'tips' }).read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
      'the frame was': () =>
        new Script(twinCard())
          .put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
          .read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
      'its leads were put together': () =>
        new Script(twinCard()).put(zero(0.1)).read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
      'insulation, which has its own proof': butQuantity('insulation'),
      'it does not pass': but({ verdict: 'none' }),
      'open is not what it passes by': but(({ limit }) => {
        const { expectOpen: _open, ...rest } = limit ?? {}
        return { limit: rest as never }
      }),
    },
  ],
  [
    setUp.meterUnproved,
    () => new Script(twinCard()).put(zero(0.1, 'carried')).read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
    { 'insulation, which has its own proof': butQuantity('insulation') },
  ],
  [
    setUp.frameUnproved,
    () => atVolts('200M 500V'),
    {
      leakage: () => atVolts('20M 500V'),
      proved: () => atVolts('200M 500V', { kind: 'proof', of: 'same-metal', text: '0.1' }),
      'not to frame': butCheck({ toFrame: false }),
    },
  ],
  [
    setUp.frameUnproved,
    () => new Script(twinCard()).put({ kind: 'proof', of: 'tips' }).read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
    { 'not to frame': butCheck({ toFrame: false }), 'it does not pass': but({ verdict: 'outside' }) },
  ],
  [
    driving.overVolts,
    () => testing('512V'),
    {
      'no insulation test': butCheck({ kind: 'resistance' }),
      'the card’s volts are at the most it bears': (moment) =>
        butReading({ conditions: { testVolts: 250 } })(at(250)(moment)),
      'a tester that overshoots by a tenth': (moment) =>
        butReading({ conditions: { testVolts: 275 } })(at(250)(moment)),
    },
  ],
  [driving.overVolts, () => testing('240V'), { 'no volts stated': butCheck({ conditions: {} }) }],
  [
    driving.acrossElectronics,
    () => testing('240V', { electronicsBetween: [['frame', '1']] }),
    {
      'no insulation test': butCheck({ kind: 'resistance' }),
      'another pair': but({ pair: ['2', 'frame'] }),
      'no pair': but({ pair: undefined as never }),
      'no electronics': () => testing('240V'),
    },
  ],
  [
    setUp.notIsolated,
    () => new Script(twinCard()).put(room).read('low', '318'),
    {
      'not ohms': butQuantity('voltage'),
      loose: () => low('318'),
      unplugged: () => new Script(twinCard()).put({ kind: 'isolation', state: 'unplugged' }).read('low', '318'),
      'what lies beside it is known': () =>
        new Script(twinCard()).put({ kind: 'isolation', state: 'in-circuit', parallelOhms: 1e4 }).read('low', '318'),
      'no path at all, where none should be': () =>
        new Script(twinCard()).put(room).read('frame', 'OL 40M', { pair: ['O', 'frame'] }),
      'one end is lifted': () =>
        new Script(twinCard())
          .put({ kind: 'isolation', state: 'one-end-lifted', lifted: ['G'] } as never)
          .read('low', '318', { pair: ['O', 'G'] }),
    },
  ],
  [
    setUp.staleZero,
    () => low('318').wait(61).read('low', '318'),
    {
      'within the hour': () => low('318').wait(58).read('low', '318'),
      'not ohms': butQuantity('voltage'),
      'four wires': but(({ leads }) => ({ leads: { ...leads, from: 'four-wire' } as never })),
      'no leads known': but({ leads: undefined as never }),
      'open is expected': butOpen,
    },
  ],
  [
    setUp.staleZero,
    () => new Script(twinCard()).put(ofTheTray('2026-03-02T07:55:00.000Z')).read('low', '318'),
    {
      'a zero of the tray within the hour': () =>
        new Script(twinCard()).put(ofTheTray('2026-03-02T08:10:00.000Z')).read('low', '318'),
    },
  ],
  [
    setUp.staleZero,
    () => on().put({ kind: 'proof', of: 'jack' }).read('low', '318'),
    {
      'the jack was moved before the zero': () =>
        new Script(twinCard()).put({ kind: 'proof', of: 'jack' }).put(zero(0.1)).read('low', '318'),
      'something else was proved': () => on().put({ kind: 'proof', of: 'tips' }).read('low', '318'),
    },
  ],
  [
    setUp.readsLikeLeads,
    () => atRoom(coarseCard()).put(zero(0.5)).read('lighting', '0.51'),
    {
      'a figure of its own': () => atRoom(coarseCard()).put(zero(0.1)).read('lighting', '0.66'),
      'no leads known': but({ leads: undefined as never }),
      'not ohms': butQuantity('voltage'),
      'no winding between': butCheck({ touches: new Set() }),
      'a test to frame': butCheck({ toFrame: true }),
      'what should be closed': but(({ limit }) => (limit ? { limit: { ...limit, kind: 'closed' } } : {})),
      'no figure': noFigure,
    },
  ],
  [
    driving.unknownPinsPower,
    () => contact(on(relayCard())),
    {
      'the coil is known': () => contact(on(relayCard()).read('coil', '91.0')),
      'at rest': butReading({ conditions: { drive: null } }),
    },
  ],
  [
    driving.jackAfterAmps,
    () => on(valveCard()).read('draw', '1.500').read('coil', '8.00'),
    {
      'not ohms': butQuantity('voltage'),
      'another meter took the amperes': but({ instrument: knobMeter }),
      'something else came last': () => on(valveCard()).read('draw', '1.500').read('coil', '8.00').read('coil', '8.00'),
      'the jack was moved in between': () =>
        on(valveCard()).read('draw', '1.500').put({ kind: 'proof', of: 'jack' }).read('coil', '8.00'),
    },
  ],
  [
    driving.partWarm,
    () => atRoom().put({ kind: 'work', what: 'reflow', place: 'low' }).wait(10).read('low', '318'),
    {
      'after twenty minutes': () =>
        atRoom().put({ kind: 'work', what: 'reflow', place: 'low' }).wait(20).read('low', '318'),
      'cold work': () => atRoom().put({ kind: 'work', what: 'clean', place: 'low' }).read('low', '318'),
      'heat opens nothing': () => atRoom().put({ kind: 'work', what: 'reflow', place: 'low' }).read('low', 'OL 20M'),
      'its temperature was measured': but(({ temperature }) => ({
        temperature: { ...temperature, from: 'measured' } as never,
      })),
      'not ohms': butQuantity('voltage'),
      'no limit to be judged by': but({ limit: undefined as never }),
      'open is expected': butOpen,
    },
  ],
])

describe('how warm it would be', () => {
  const warmC = (script: Script) => driving.partWarm.test(momentOf(script))?.params['warmC']
  const waxed = (before: string, after: string, check = 'low') =>
    atRoom().read(check, before).put({ kind: 'work', what: 'fix', place: 'low' }).read('low', after)

  test('by what the same point read before it was heated', () => {
    expect(warmC(waxed('318', '348'))).toBe(44)
    expect(warmC(atRoom().put({ kind: 'work', what: 'fix', place: 'low' }).read('low', '348'))).toBeUndefined()
  })

  test.each([
    ['no warmer than the room', waxed('318', '320')],
    ['hotter than a film bears', waxed('318', '500')],
    ['another winding read before', waxed('318', '348', 'high')],
  ])('not said: %s', (_what, script) => expect(warmC(script)).toBeUndefined())
})

describe('a part that is heated again', () => {
  const warm = (script: Script) => script.state().remarks.filter(({ id }) => id === 'part-warm').length
  const heated = () => atRoom().put({ kind: 'work', what: 'solder', place: 'low' }).read('low', '318')

  test('is told anew, and once for one heating', () => {
    expect(warm(heated())).toBe(1)
    expect(warm(heated().read('low', '319'))).toBe(1)
    expect(warm(heated().put({ kind: 'work', what: 'fix', place: 'low' }).read('low', '340'))).toBe(2)
  })
})

describe('power on pins', () => {
  const speaks = (script: Script) => driving.unknownPinsPower.test(momentOf(script)) !== null

  test('wants both of them known: one is not enough', () => {
    const card = relayCard()
    card.checks.push(plainCheck('half', 'resistance', { pair: ['85', '30'] }))
    expect(speaks(contact(on(card).read('half', '5.0k')))).toBe(true)
    expect(speaks(contact(on(card).read('half', '5.0k').read('coil', '91.0')))).toBe(false)
  })

  test('is not known from a reading that was itself driven', () => {
    expect(speaks(contact(on(relayCard()).read('coil', '91.0', { conditions: { drive } })))).toBe(true)
  })
})

test('a setting that is asked about once is asked about again where it is another', () => {
  const moment = momentOf(testing('512V'))
  const key = (rule: typeof driving.overVolts, change: (one: typeof moment) => typeof moment = (one) => one) =>
    rule.setting?.(change(moment))
  expect(key(driving.acrossElectronics)).toBe('1~frame')
  expect(key(driving.acrossElectronics, but({ pair: undefined as never }))).toBe('')
  expect(key(driving.overVolts)).toBe('shell/512')
  expect(key(driving.overVolts, butReading({ conditions: {} }))).toBe('shell/')
})
