import { isCounted } from '../document'
import { pairKey, type Bench, type Evaluation, type Roles } from '../judgement'
import type { Step } from '../plan'

/**
 * The steps of a relay without markings that still tell something: of its contact pairs those that were read, and those that decide with the
 * fewest readings (METHODS 7). Any other part keeps all its steps.
 * @param read readings that stand
 * @example
 * withoutSpared(scenes.low().bench, [], [], []) // []
 */
export function withoutSpared({ run }: Bench, steps: Step[], roles: Roles[], read: readonly Evaluation[]): Step[] {
  const relay = roles.find((one) => one.kind === 'relay')
  if (!relay || !isCounted(run.card)) return steps
  const keyOf = (pair: [string, string], plus: string | undefined) => `${pairKey(pair)}+${plus ?? ''}`
  const wanted = new Set([
    ...relay.missing.map(({ pair, drive }) => keyOf(pair, drive?.plus)),
    ...read.flatMap(({ pair, check, entry }) => {
      const { drive } = entry.reading.conditions ?? {}
      return pair ? [keyOf(pair, (drive === undefined ? check.conditions?.drive : drive)?.plus)] : []
    }),
  ])
  return steps.filter(
    (step) =>
      step.kind !== 'reading' ||
      step.point.drive === undefined ||
      step.point.pair === undefined ||
      wanted.has(keyOf(step.point.pair, step.point.drive?.plus)),
  )
}
