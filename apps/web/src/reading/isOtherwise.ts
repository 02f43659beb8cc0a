import { pointConditions, type PreparedCheck, type Reading } from '@sure-spool/core'

/**
 * Whether a reading is taken otherwise than an earlier one of its check: with another meter or method, at another place of a curve or
 * another frequency, or under other conditions.
 * @param reading what was typed; undefined for a beep, of which the meter alone can be another
 */
export function isOtherwise(
  check: PreparedCheck,
  before: Reading,
  reading: Reading | undefined,
  meter: string | undefined,
): boolean {
  if (before.instrument !== meter) return true
  if (!reading) return false
  // a lead's length is no place on it
  if (check.kind !== 'per-length' && before.x !== reading.x) return true
  const isBoth = (one: Reading) => one.method === 'volts-over-amps'
  const under = (one: Reading) => pointConditions(check, one.conditions)
  return isBoth(before) !== isBoth(reading) || under(before) !== under(reading)
}
