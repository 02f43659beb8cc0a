import type { CheckState, Evaluation } from '../judgement'
import type { Firing } from '../sense'

/**
 * A stop on a reading that another, surer meter has read again since: that reading is its answer, as a retake would be. One that is held
 * itself answers nothing, and of two tests that disagree neither does.
 * @param evaluations of every reading, by its entry
 * @example
 * settledBySurer({ id: 'leads-matter', severity: 'warn', params: {}, holds: [] }, [], new Map()).answered // undefined
 */
export function settledBySurer(
  firing: Firing,
  checks: CheckState[],
  evaluations: ReadonlyMap<string, Evaluation>,
): Firing {
  if (firing.severity !== 'stop' || firing.answered || firing.id === 'tests-disagree' || firing.holds.length === 0)
    return firing
  const surer = firing.holds.map((id) => surerThan(evaluations.get(id), checks))
  const [entry] = surer.includes(undefined) ? [] : surer
  return entry === undefined ? firing : { ...firing, answered: { by: 'cleared', entry } }
}

/** The entry of a later reading of another meter that is judged at a reading's point in its place; undefined where there is none. */
function surerThan(one: Evaluation | undefined, checks: CheckState[]): string | undefined {
  const points = checks.find(({ check }) => check.id === one?.check.id)?.points ?? []
  const there = points.find(({ evaluation }) => evaluation?.point === one?.point)
  const judged = there?.held ? undefined : there?.evaluation
  const isAnother = judged && one && judged.instrument !== one.instrument && judged.entry.n > one.entry.n
  return isAnother ? judged.entry.id : undefined
}
