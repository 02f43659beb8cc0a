import { atMost } from '../../conformance'
import type { Check, Conditions } from '../../document'

const rpmShare = 0.03

/**
 * The first condition a check states that a reading does not meet, or null (METHODS 11.6): rpm within 3 %, all else equal; the volts of a draw are a default.
 * @example
 * unmetCondition({ kind: 'ac-output', conditions: { rpm: 3000 } }, { rpm: 900 }) // 'rpm'
 */
export function unmetCondition(
  { kind, conditions: stated }: Pick<Check, 'kind' | 'conditions'>,
  read: Conditions | undefined,
): keyof Conditions | null {
  if (kind === 'contacts') return null
  for (const key of Object.keys(stated ?? {}) as (keyof Conditions)[]) {
    const want = stated?.[key]
    const have = read?.[key]
    if (want === undefined || key === 'testVolts' || (key === 'volts' && kind === 'current')) continue
    if (key === 'rpm') {
      if (!isSpeed(read?.rpm, stated?.rpm)) return key
    } else if (canonical(have) !== canonical(want)) return key
  }
  return null
}

/**
 * Whether it ran as fast as was wanted, within 3 %; where either is not said it did not.
 * @example
 * isSpeed(2950, 3000) // true
 */
export const isSpeed = (have: number | undefined, want: number | undefined): boolean =>
  have !== undefined && want !== undefined && atMost(Math.abs(have - want), rpmShare * want)

function canonical(value: unknown): string {
  if (Array.isArray(value)) return JSON.stringify(value.map((one) => JSON.stringify(one)).sort())
  if (value !== null && typeof value === 'object') return JSON.stringify(Object.entries(value).sort())
  return JSON.stringify(value) ?? ''
}

/**
 * The part of a reading's conditions that makes it another point of its check (METHODS 11.18): drive, state, load, lamp, hertz, and a
 * speed that is not the check's own.
 * @example
 * pointConditions({ kind: 'ac-output' }, { state: ['flexed'] }) // '{"state":["flexed"]}'
 */
export function pointConditions(check: Pick<Check, 'kind' | 'conditions'>, conditions: Conditions | undefined): string {
  if (conditions === undefined) return ''
  const { drive, state, load, lamp, hertz, rpm } = conditions
  const atItsSpeed = rpm !== undefined && isSpeed(rpm, check.conditions?.rpm)
  const told = JSON.stringify({ drive, state: state?.toSorted(), load, lamp, hertz, rpm: atItsSpeed ? undefined : rpm })
  // test volts alone make no point of their own
  return told === '{}' ? '' : told
}
