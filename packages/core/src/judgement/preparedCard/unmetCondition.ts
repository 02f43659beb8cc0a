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
      if (typeof have !== 'number' || Math.abs(have - Number(want)) > rpmShare * Number(want)) return key
    } else if (canonical(have) !== canonical(want)) return key
  }
  return null
}

function canonical(value: unknown): string {
  if (Array.isArray(value)) return JSON.stringify(value.map((one) => JSON.stringify(one)).sort())
  if (value !== null && typeof value === 'object') return JSON.stringify(Object.entries(value).sort())
  return JSON.stringify(value) ?? ''
}

/**
 * The part of a reading's conditions that makes it another point of its check: drive and state.
 * @example
 * pointConditions({ state: ['flexed'] }) // '[["drive",null],["state",["flexed"]]]'
 */
export const pointConditions = (conditions: Conditions | undefined): string =>
  conditions === undefined ? '' : canonical({ drive: conditions.drive, state: conditions.state })
