import type { Card, Instrument } from '../document'
import { coarseCard, fourWireMeter, knobMeter, plainCard, plainCheck, Script, twinCard } from '../testing'
import { but, butBand, butCheck, butOpen, butQuantity, butReading, holdClauses, noFigure } from '../testing/clauses'
import * as comparing from './comparingRules'
import * as entries from './entryRules'
import * as readings from './readingRules'

const on = (card: Card = twinCard(), ...instruments: Instrument[]) =>
  new Script(card, instruments.length > 0 ? { instruments } : {}).ready()
const low = (text: string, ...meters: Instrument[]) => on(twinCard(), ...meters).read('low', text)
const room = { kind: 'temperature', part: 'room', roomC: 20 } as const
const atRoom = (card: Card = twinCard()) => new Script(card).put({ kind: 'isolation', state: 'loose' }).put(room)
const zero = (ohms: number, how: 'hardware' | 'subtract' | 'carried' = 'subtract') =>
  ({ kind: 'lead-check', instrument: 'm2', text: String(ohms), ohms, u: 0.018, how }) as const
const coilOfKilohms = plainCard({
  family: 'other',
  terminals: ['1', '2'].map((id) => ({ id, label: id, aliases: [] })),
  windings: [{ id: 'coil', label: 'coil', from: '1', to: '2', material: 'copper' }],
  checks: [plainCheck('coil', 'resistance', { pair: ['1', '2'] }, { kind: 'band', min: 9200, max: 11800 })],
})
const keyed = (text: string) =>
  ({ kind: 'lead-check', instrument: 'm2', text, ohms: 0, u: 0.018, how: 'hardware' }) as const

holdClauses('reading', [
  [
    entries.overOnLowRange,
    () => low('OL 200'),
    {
      'a range that reaches the limit': () => low('OL 2k'),
      'a figure': butReading({ kind: 'value', value: 200 }),
      'no bound': but({ bound: undefined as never }),
      'no upper limit': butBand({ min: 286 }),
      'open is expected': butOpen,
      'the bound is at the limit': but(({ limit }) => ({ bound: limit?.band.max ?? 0 })),
    },
  ],
  [
    entries.nearFullScale,
    () => on(twinCard(), knobMeter).read('trigger', '188'),
    {
      'at nine tenths': but(({ range }) => ({ taken: 0.9 * (range?.fullScale ?? 0) })),
      'a meter that ranges itself': but(({ instrument }) => ({
        instrument: { ...instrument, ranging: 'auto' } as Instrument,
      })),
      'no figure': noFigure,
      'no known range': but({ range: undefined as never }),
    },
  ],
  [
    entries.coarseRange,
    () => on(twinCard(), knobMeter).read('low', '310', { range: 2e6 }),
    {
      'a range that suits': () => on(twinCard(), knobMeter).read('low', '310', { range: 2e3 }),
      'no lower range that holds it': but({ instrument: undefined as never }),
      'at a twentieth of the range': but(({ range }) => ({ taken: 0.05 * (range?.fullScale ?? 0) })),
      'limits ten steps apart': butBand({ min: 300, max: 300 + 1e4 }),
      'one limit alone': butBand({ min: 286 }),
      'no figure': noFigure,
    },
  ],
  [
    entries.oneOrOver,
    () => low('1', knobMeter),
    { 'another sign': () => low('1'), 'another figure': () => low('1.0', knobMeter) },
  ],
  [
    entries.zeroOrOpen,
    () => low('0'),
    {
      'not nought': but({ taken: 0.5 }),
      'not ohms': butQuantity('voltage'),
      'a contact': butCheck({ kind: 'contacts' }),
      'what should be closed': but(({ limit }) => (limit ? { limit: { ...limit, kind: 'closed' } } : {})),
      'a reading that was sent by a meter': butReading({ taken: 'meter' as never }),
      'leads that are not known, after a figure': but({ leads: undefined as never }),
    },
  ],
  [
    entries.prefixDecides,
    () => on().read('frame', '20', { pair: ['O', 'frame'] }),
    {
      'the sign is written': () => on().read('frame', '20 Ω', { pair: ['O', 'frame'] }),
      'the word is written': () => on().read('frame', '20 ohms', { pair: ['O', 'frame'] }),
      'the prefix is written': () => on().read('frame', '20M', { pair: ['O', 'frame'] }),
      'over range': () => on().read('frame', 'OL 20', { pair: ['O', 'frame'] }),
      'what should be closed': but(({ limit }) => (limit ? { limit: { ...limit, kind: 'closed' } } : {})),
      'a winding': () => low('20'),
      'not ohms': butQuantity('voltage'),
      nought: but({ taken: 0 }),
      'sent by a meter': butReading({ taken: 'meter' as never }),
    },
  ],
  [
    entries.prefixDecides,
    () => on().read('frame', '20k', { pair: ['O', 'frame'] }),
    {
      'the sign is written': () => on().read('frame', '20 kΩ', { pair: ['O', 'frame'] }),
      'a figure that passes': but({ taken: 2e6 }),
      'it fails by less than five times': but({ taken: 3e5 }),
      'no thousand would put it right': butBand({ min: 1e12 }),
      'limits on both sides': butBand({ min: 1e6, max: 1e9 }),
    },
  ],
  [
    entries.prefixJump,
    () => low('318k'),
    {
      'no thousand would put it right': but({ taken: 7000 }),
      'within twenty times': but({ taken: 5000 }),
      'a least figure alone': butBand({ min: 286 }),
      contacts: butCheck({ kind: 'contacts' }),
      'unknown wires': butCheck({ kind: 'pair-matrix' }),
      'no limit': but({ limit: undefined as never }),
      nought: but({ taken: 0 }),
      'a spread': butReading({ kind: 'spread' }),
    },
  ],
  [
    entries.prefixJump,
    () => low('.318'),
    { 'above a twentieth': but({ taken: 20 }), 'no thousand would put it right': but({ taken: 0.1 }) },
  ],
  [
    entries.negative,
    () => low('-318'),
    {
      'above nought': but({ taken: 318, netNegative: undefined as never }),
      'not ohms or amperes': butQuantity('voltage'),
      'no figure': noFigure,
    },
  ],
  [
    entries.fitsAnother,
    () => low('36.4'),
    {
      'it fits its own': but({ judged: 320, net: 36.4 }),
      'no figure': noFigure,
      'no limit': but({ limit: undefined as never }),
      'open is expected': butOpen,
      'it fits none': but({ judged: 60, net: 60 }),
      'the other is read already': () => on().read('high', '36.5').read('low', '36.4'),
      'the other is of another kind': butQuantity('voltage'),
    },
  ],
  [
    entries.sameAsLast,
    () => on().read('low', '322').read('series', '322'),
    {
      'another figure': but({ taken: 323 }),
      'the first reading': (moment) => ({ ...moment, before: [] }),
      'no limits here': but({ limit: undefined as never }),
      'open is expected': butOpen,
      'limits within a tenth of each other': butBand({ min: 286, max: 350 }),
      'the same check': (moment) => ({ ...moment, before: [{ ...moment.evaluation }] }),
    },
  ],
  [
    entries.leakOverBreak,
    () => low('2.1M'),
    {
      'not open': but({ reason: 'above-maximum' }),
      'no figure': noFigure,
      'a limit where open begins': butBand({ max: 1e6 }),
    },
  ],
  [
    comparing.poorLeads,
    () => atRoom().put(zero(0.51)).read('low', '318'),
    {
      'at half an ohm': () => atRoom().put(zero(0.5)).read('low', '318'),
      'not ohms': butQuantity('voltage'),
      'leads that were only assumed': but({ leads: undefined as never }),
    },
  ],
  [
    comparing.lowByALittle,
    () => atRoom().put(zero(0, 'hardware')).read('low', '280'),
    {
      'at the limit': but(({ limit }) => ({ judged: limit?.band.min ?? 0 })),
      'twelve per cent low': but(({ limit }) => ({ judged: 0.88 * (limit?.band.min ?? 0) })),
      'its temperature was measured': but(({ temperature }) => ({
        temperature: { ...temperature, from: 'measured' } as never,
      })),
      'not ohms': butQuantity('voltage'),
      'no metal': butCheck({ material: 'resistive' }),
      'no lower limit': butBand({ max: 350 }),
      'open is expected': butOpen,
      'not judged': noFigure,
    },
  ],
  [
    comparing.metersDisagree,
    () => on(twinCard(), fourWireMeter, knobMeter).read('low', '318').read('low', '345', { instrument: 'k3' }),
    {
      'no figure': noFigure,
      'no meter named': but({ instrument: undefined as never }),
      'one meter': () => on(twinCard(), fourWireMeter).read('low', '318').read('low', '345'),
      'within what both could be off by': but(({ net = 0 }) => ({ netU: net })),
      'nothing earlier': (moment) => ({ ...moment, earlier: [], again: [], onOthers: [] }),
    },
  ],
  [
    readings.repeatsApart,
    () => low('318').again('low', '330'),
    {
      'within a per cent and three counts': but({ taken: 321 }),
      'a prefix that slipped': but({ taken: 318_000 }),
      'another meter': () =>
        on(twinCard(), fourWireMeter, knobMeter).read('low', '318').read('low', '330', { instrument: 'k3' }),
      'no figure': noFigure,
      'nothing earlier': (moment) => ({ ...moment, earlier: [], again: [], onOthers: [] }),
      'leads of 0.24 Ω that a zero took off in between': () =>
        atRoom(coarseCard()).read('ignition', '1.46').put(keyed('0.24')).again('ignition', '1.22'),
    },
  ],
  [
    readings.repeatsApart,
    () => atRoom(coarseCard()).read('ignition', '1.46').put(keyed('0.12')).again('ignition', '1.22'),
    {
      'a comma in the zero, and leads that explain it': () =>
        atRoom(coarseCard()).read('ignition', '1.46').put(keyed('0,24')).again('ignition', '1.22'),
      'leads taken off both by figure': () =>
        atRoom(coarseCard()).put(zero(0.1)).read('ignition', '1.32').again('ignition', '1.33'),
    },
  ],
  [
    readings.repeatsApart,
    () =>
      atRoom(coarseCard())
        .read('ignition', '1.46')
        .put({ ...keyed('0.24'), leads: 'long ones' })
        .again('ignition', '1.22'),
    {
      'the same leads': () =>
        atRoom(coarseCard()).read('ignition', '1.46').put(keyed('0.24')).again('ignition', '1.22'),
    },
  ],
  [
    entries.leakOverBreak,
    () => low('2.4M'),
    {
      'a prefix that slipped': () => on(coilOfKilohms).read('coil', '10.62M'),
      'more than this meter can show': () => low('10.62G'),
      'no figure': noFigure,
    },
  ],
])
