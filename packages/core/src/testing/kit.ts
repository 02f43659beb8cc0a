import type { Instrument } from '../document'

type Range = Instrument['functions'][number]['ranges'][number]

/** Ranges each ten times the one before, with so many counts on each; the top ones may be worse. */
function decades(
  lowest: number,
  count: number,
  counted: { of: number; percent: number; counts: number; onTop?: { ranges: number; percent: number } },
): Range[] {
  return Array.from({ length: count }, (_, i) => {
    const fullScale = Number((lowest * 10 ** i).toPrecision(3))
    const top = counted.onTop && i >= count - counted.onTop.ranges ? counted.onTop.percent : undefined
    return {
      fullScale,
      resolution: Number((fullScale / counted.of).toPrecision(3)),
      percentOfReading: top ?? counted.percent,
      counts: counted.counts,
    }
  })
}

/** A pocket meter as tests and the demo use it: ranges by itself, 0.5 % and 3 counts on ohms; amperes to 10. */
export const pocketMeter: Instrument = {
  id: 'm2',
  name: 'Multimeter M2',
  overSign: 'OL',
  ranging: 'auto',
  beepsBelow: 35,
  functions: [
    {
      quantity: 'resistance',
      ranges: [
        { fullScale: 60, resolution: 0.01, percentOfReading: 0.5, counts: 3 },
        { fullScale: 600, resolution: 0.1, percentOfReading: 0.5, counts: 3 },
        { fullScale: 6000, resolution: 1, percentOfReading: 0.5, counts: 3 },
        { fullScale: 60000, resolution: 10, percentOfReading: 0.5, counts: 3 },
        { fullScale: 600000, resolution: 100, percentOfReading: 0.5, counts: 3 },
        { fullScale: 6e6, resolution: 1000, percentOfReading: 1, counts: 3 },
        { fullScale: 4e7, resolution: 1e4, percentOfReading: 2, counts: 5 },
      ],
    },
    {
      quantity: 'voltage',
      ranges: [
        { fullScale: 6, resolution: 0.001, percentOfReading: 1, counts: 5 },
        { fullScale: 60, resolution: 0.01, percentOfReading: 1, counts: 5 },
        { fullScale: 600, resolution: 0.1, percentOfReading: 1, counts: 5 },
      ],
    },
    { quantity: 'current', ranges: [{ fullScale: 10, resolution: 0.01, percentOfReading: 1, counts: 3 }] },
  ],
}

/** A bench meter with four wires, for windings under a few ohms. */
export const fourWireMeter: Instrument = {
  id: 'b1',
  name: 'Bench meter B1, four wires',
  overSign: '>',
  ranging: 'auto',
  fourWire: true,
  functions: [
    {
      quantity: 'resistance',
      ranges: [
        { fullScale: 2, resolution: 0.0001, percentOfReading: 0.1, counts: 5 },
        { fullScale: 20, resolution: 0.001, percentOfReading: 0.05, counts: 5 },
        { fullScale: 200, resolution: 0.01, percentOfReading: 0.05, counts: 5 },
        { fullScale: 2000, resolution: 0.1, percentOfReading: 0.05, counts: 5 },
        { fullScale: 2e5, resolution: 10, percentOfReading: 0.05, counts: 5 },
        { fullScale: 2e7, resolution: 1000, percentOfReading: 0.5, counts: 5 },
      ],
    },
  ],
}

/** An old meter ranged by a knob that shows over-range as a bare 1. */
export const knobMeter: Instrument = {
  id: 'k3',
  name: 'Knob meter K3',
  overSign: '1',
  ranging: 'hand',
  functions: [{ quantity: 'resistance', ranges: decades(200, 6, { of: 2000, percent: 0.8, counts: 2 }) }],
}

/** Another one with a knob: 300 Ω to 30 MΩ. */
export const decadeMeter: Instrument = {
  id: 'k4',
  name: 'Knob meter K4',
  overSign: '1',
  ranging: 'hand',
  functions: [{ quantity: 'resistance', ranges: decades(300, 6, { of: 3000, percent: 0.7, counts: 2 }) }],
}

/** A small meter ranged by hand that shows OL, to 60 MΩ. */
export const handMeter: Instrument = {
  id: 'p6',
  name: 'Pocket meter P6',
  overSign: 'OL',
  ranging: 'hand',
  beepsBelow: 35,
  functions: [
    {
      quantity: 'resistance',
      ranges: decades(60, 7, { of: 6000, percent: 0.6, counts: 3, onTop: { ranges: 2, percent: 1.5 } }),
    },
  ],
}

/** A meter whose lowest range is 600 Ω with one decimal: of a winding under a few ohms it tells no more than that it is whole. */
export const coarseMeter: Instrument = {
  id: 'y6',
  name: 'Yard meter Y6',
  overSign: 'OL',
  ranging: 'hand',
  beepsBelow: 35,
  functions: [{ quantity: 'resistance', ranges: decades(600, 6, { of: 6000, percent: 0.8, counts: 3 }) }],
}

/** A winding tester: ohms to 60, and insulation at 250 V as long as its button is held. */
export const windingTester: Instrument = {
  id: 'w5',
  name: 'Winding tester W5',
  overSign: '>',
  ranging: 'auto',
  functions: [
    { quantity: 'resistance', ranges: [{ fullScale: 60, resolution: 0.01, percentOfReading: 0.5, counts: 2 }] },
    { quantity: 'insulation', ranges: decades(1.2e6, 5, { of: 1200, percent: 3, counts: 3 }) },
  ],
}

/** An insulation tester with volts of its own. */
export const insulationTester: Instrument = {
  id: 't1',
  name: 'Insulation tester T1',
  overSign: '>',
  ranging: 'auto',
  functions: [
    { quantity: 'insulation', ranges: [{ fullScale: 5e9, resolution: 1e6, percentOfReading: 5, counts: 5 }] },
  ],
}

/** Henries and farads. */
export const bridgeMeter: Instrument = {
  id: 'l4',
  name: 'Bridge L4',
  overSign: '>',
  ranging: 'auto',
  functions: [
    { quantity: 'inductance', ranges: decades(2e-4, 6, { of: 2000, percent: 0.5, counts: 2 }) },
    { quantity: 'capacitance', ranges: decades(2e-9, 7, { of: 2000, percent: 0.5, counts: 2 }) },
  ],
}

/** The field of a small magnet. */
export const fieldMeter: Instrument = {
  id: 'h2',
  name: 'Field meter H2',
  overSign: 'OL',
  ranging: 'auto',
  functions: [{ quantity: 'field', ranges: [{ fullScale: 0.2, resolution: 0.001, percentOfReading: 2, counts: 2 }] }],
}

/** A growler with ammeter prongs. */
export const growler: Instrument = {
  id: 'g1',
  name: 'Growler G1',
  overSign: 'OL',
  ranging: 'auto',
  functions: [{ quantity: 'current', ranges: [{ fullScale: 6, resolution: 0.1, percentOfReading: 2, counts: 1 }] }],
}

/** A supply that shows what it gives. */
export const benchSupply: Instrument = {
  id: 's1',
  name: 'Bench supply S1',
  overSign: 'OL',
  ranging: 'auto',
  functions: [
    { quantity: 'voltage', ranges: [{ fullScale: 32, resolution: 0.1, percentOfReading: 1, counts: 2 }] },
    { quantity: 'current', ranges: [{ fullScale: 5, resolution: 0.01, percentOfReading: 1, counts: 2 }] },
  ],
}

/** All that lies on the demo shop's benches (SCENARIO, "Kit"), the everyday meter first. */
export const kit: Instrument[] = [
  pocketMeter,
  fourWireMeter,
  knobMeter,
  insulationTester,
  bridgeMeter,
  growler,
  fieldMeter,
  decadeMeter,
  handMeter,
  coarseMeter,
  windingTester,
  benchSupply,
]
