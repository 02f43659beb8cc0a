import { toleranceFromGood, type Tolerance } from '../series'
import { rounded } from '../conformance'

/** A unit's figure on one check: net of leads, metal at 20 °C, with its standard uncertainty. */
export interface RecordedFigure {
  value: number
  u: number
  /** what became of the unit: a part that came back was not good, whatever it read */
  good: boolean
}

/**
 * Limits learned from units known to be good (METHODS 8): `toleranceFromGood` over the good ones, s not below the readings' own u.
 * @param record figures of one check in one unit
 * @returns null for fewer than five good ones
 * @example
 * limitsFromRecord([318, 320, 316, 321, 319].map((value, i) => ({ unit: String(i), value, u: 1, good: true })))
 * // { n: 5, mean: 318.8, s: 1.9235, k: 4.2746, min: 310.58, max: 327.02 }
 */
export function limitsFromRecord(record: RecordedFigure[]): Tolerance | null {
  const good = record.filter((one) => one.good)
  const u = good.length === 0 ? 0 : Math.sqrt(good.reduce((sum, one) => sum + one.u ** 2, 0) / good.length)
  const found = toleranceFromGood({ values: good.map((one) => one.value), u })
  return found && { ...found, min: rounded(found.min), max: rounded(found.max) }
}
