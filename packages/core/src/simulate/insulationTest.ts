import type { Chance } from './chance'
import { ohmsBetween } from './network'
import type { SimulatedPart } from './part'

/** An insulation tester: volts it is set to, and the resistance of its source, through which they sag under load. */
export interface SimulatedTester {
  volts: number
  sourceOhms: number
  noise: number
}

export const plainTester: SimulatedTester = { volts: 500, sourceOhms: 2e5, noise: 0.003 }

/** One moment of an insulation test: volts at the part and ohms through its insulation. */
export interface TestSample {
  t: number
  volts: number
  ohms: number
}

/**
 * Insulation under test: it takes seconds to take up its charge, and a leak pulls the tester's volts down (IEEE 43-2013 5).
 * @returns volts and ohms a second apart as a tester shows them
 * @example
 * testInsulation(partOf(twinCard()), { at: ['O', 'frame'], celsius: 20, seconds: 5 }, chanceFrom(7)).length // 5
 */
export function testInsulation(
  part: SimulatedPart,
  {
    at,
    celsius,
    seconds,
    tester = plainTester,
  }: { at: [string, string]; celsius: number; seconds: number; tester?: SimulatedTester },
  chance: Chance,
): TestSample[] {
  const leak = ohmsBetween(part, at, { celsius })
  const sound = part.insulation.ohms * 0.5 ** ((celsius - 20) / 10)
  return Array.from({ length: seconds }, (_, i) => {
    const t = i + 1
    const charged = sound * (1 - 0.8 * Math.exp(-t / part.insulation.settleSeconds))
    const ohms = 1 / (1 / charged + (Number.isFinite(leak) ? 1 / Math.max(leak, 1) : 0))
    const volts = (tester.volts * ohms) / (ohms + tester.sourceOhms)
    return { t, volts: volts * (1 + tester.noise * chance.normal()), ohms: ohms * (1 + tester.noise * chance.normal()) }
  })
}
