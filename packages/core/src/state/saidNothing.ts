import type { CheckState } from '../judgement'

/**
 * Checks for which nothing stands in their stage; a look that nobody took is one.
 * @returns their ids, in the card's order
 * @example
 * untestedChecks(scenes.low().state.checks).includes('high') // true
 */
export const untestedChecks = (checks: CheckState[]): string[] =>
  checks
    .filter(({ check, reason, points }) =>
      check.kind === 'look' ? reason === 'not-read' : points.every(({ evaluation }) => !evaluation),
    )
    .map(({ check }) => check.id)

/**
 * Checks that were read, and whose every reading is judged `none`; held ones wait for their answer.
 * @returns their ids, in the card's order
 * @example
 * unjudgedChecks(scenes.low().state.checks) // []
 */
export const unjudgedChecks = (checks: CheckState[]): string[] =>
  checks
    .filter(({ held, points }) => {
      const read = points.filter(({ evaluation }) => evaluation)
      return !held && read.length > 0 && read.every(({ verdict }) => verdict === 'none')
    })
    .map(({ check }) => check.id)
