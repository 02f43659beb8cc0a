import type { Evaluation } from '../judgement'
import type { RunState } from '../state'

/**
 * What stands for a winding by itself in a run: the reading between its two ends.
 * @returns undefined where it was not read, or its reading is held
 * @example
 * windingRead(scenes.low().state, 'low')?.net // 238
 */
export function windingRead(
  { run, checks }: Pick<RunState, 'run' | 'checks'>,
  winding: string,
): Evaluation | undefined {
  const own = run.card.windings.find(({ id }) => id === winding)
  if (!own) return undefined
  return checks
    .filter(({ check }) => check.kind === 'resistance')
    .flatMap(({ points }) => points.flatMap(({ evaluation, held }) => (evaluation && !held ? [evaluation] : [])))
    .find(({ pair }) => pair?.includes(own.from) === true && pair.includes(own.to))
}
