import { describe, expect, test } from '@jest/globals'
import type { Forecast } from '@sure-spool/core'
import { figuresWith } from './figures'
import { forecastWords } from './forecast'

const figures = figuresWith(() => false)
const said = (told: Omit<Forecast, 'quantity'>, quantity: Forecast['quantity'] = 'resistance', resolution = 0.1) =>
  forecastWords({ quantity, ...told }, figures, resolution).replaceAll('\u2009', ' ')

describe('what is expected, in words', () => {
  test.each([
    [
      said({ from: 'own', value: 4420, bare: 4480, parallel: 330_000 }, 'resistance', 10),
      'Expect 4.42 kΩ: it read 4.48 kΩ bare, 330 kΩ in parallel with it.',
    ],
    [
      said({ from: 'own', value: 1.893, bare: 1.59, partC: 65 }, 'resistance', 0.01),
      'At 65 °C expect 1.89 Ω: it read 1.59 Ω before.',
    ],
    [said({ from: 'parts', open: true }), 'Expect over range: it leads through what reads open.'],
    [said({ from: 'parts', value: 273 }), 'Expect 273.0 Ω: its windings read so much together.'],
    [
      said({ from: 'whole', value: 36.61, leads: 0.1 }),
      'Expect 36.6 Ω: the whole less its other parts, the leads’ 0.1 Ω in it.',
    ],
    [
      said({ from: 'card', value: 308, low: 277.2, high: 338.8, partC: 12 }),
      'At 12 °C expect 308.0 Ω, 277.2 Ω to 338.8 Ω.',
    ],
    [
      said({ from: 'card', value: 1.84, low: 1.62, high: 2.06, partC: 12, guessed: true }, 'resistance', 0.01),
      'At 12 °C expect 1.84 Ω, 1.62 Ω to 2.06 Ω, by a guess.',
    ],
    [
      said({ from: 'speed', value: 41.96, rpm: 3000 }, 'voltage', 0.01),
      'Expect 41.96 V at 3000 rpm, if it rises with the speed.',
    ],
    [
      said({ from: 'volts', value: 2.743, volts: 24.8, ohms: 9.04 }, 'current', 0.01),
      'Expect 2.74 A: 24.8 V over 9.04 Ω.',
    ],
    [
      said({ from: 'volts', value: 0.5834, volts: 24.9, ohms: 23.3, lampShare: 0.312 }, 'current', 0.01),
      'Expect 580 mA: 24.9 V over 23.3 Ω and the lamp. The lamp has 31 % of its power: dim.',
    ],
    [
      said(
        { from: 'volts', value: 0.5834, volts: 24.9, ohms: 23.3, lampShare: 0.62, coilVolts: 13.51 },
        'current',
        0.01,
      ),
      'Expect 580 mA: 24.9 V over 23.3 Ω and the lamp. The lamp has 62 % of its power: bright. The coil keeps 13.5 V of 24.9 V: a soft pull proves nothing.',
    ],
    [
      said({ from: 'volts', value: 0.05, volts: 24, ohms: 480, lampShare: 0.004 }, 'current', 0.01),
      'Expect 50 mA: 24 V over 480 Ω and the lamp. The lamp has 0.4 % of its power: dark.',
    ],
    [
      said({ from: 'parts', open: true, value: 330e3, parallel: 330e3 }),
      'Expect 330 kΩ: what stands in parallel alone, since it leads through what reads open.',
    ],
    [
      said({ from: 'card', value: 4290, low: 4000, high: 4590, partC: 20, parallel: 330e3 }, 'resistance', 10),
      'At 20 °C expect 4.29 kΩ, 4.00 kΩ to 4.59 kΩ, 330 kΩ in parallel with it.',
    ],
  ])('%s', (words, expected) => expect(words).toBe(expected))
})
