import type { Evaluation } from '../judgement'
import type { OpenPoint } from './finding'
import type { RunState } from './runState'

/**
 * The step that does what would settle an open point: the leads where only they can turn it, the part's temperature where that is the
 * doubt, else the step that reads it, the point's own before another of its check.
 * @returns the step's id; undefined where the path has none
 * @example
 * settledAt(scenes.sound().state, { why: 'not-read', check: 'frame' }) // 'frame:O-frame'
 */
export function settledAt(
  { steps, evaluations, relations }: Pick<RunState, 'steps' | 'evaluations' | 'relations'>,
  open: OpenPoint,
): string | undefined {
  const one = open.entry === undefined ? undefined : evaluations.get(open.entry)
  const ofKind = (kind: string) => steps.find(({ step }) => step.kind === kind)?.step.id
  if (open.why === 'borderline' && one?.reason === 'zero-leads-first') return ofKind('leads')
  if (open.why === 'borderline' && one && isWarmthsDoubt(one)) return ofKind('temperature')
  const relation = relations.find((other) => other.relation.id === open.relation)
  const check = open.check ?? one?.check.id ?? relation?.members.at(-1)?.check.id
  const own = steps.filter(({ step }) => 'check' in step && step.check === check)
  return (
    own.find(({ entry }) => entry !== undefined && entry === open.entry) ??
    own.find(({ status }) => status === 'to-do' || status === 'again' || status === 'skipped') ??
    own[0]
  )?.step.id
}

/**
 * Whether a reading at a limit owes more of its doubt to a temperature that nobody measured than to the meter (METHODS 3).
 * @example
 * isWarmthsDoubt(scenes.sound().of('low')) // false
 */
export function isWarmthsDoubt({
  netU = 0,
  factor = 1,
  temperatureU,
  temperature,
}: Pick<Evaluation, 'netU' | 'factor' | 'temperatureU' | 'temperature'>): boolean {
  return temperature?.from !== 'measured' && (temperatureU?.part ?? 0) > factor * netU
}
