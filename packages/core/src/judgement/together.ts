import type { Verdict } from '../spec'
import { judgeAlike } from './alike'
import { judgeContacts } from './contacts'
import type { Bench, Evaluation, Reason } from './evaluation'
import { judgePairMatrix } from './pairMatrix'
import { judgeThreePins } from './threePins'

/** What several readings come to when they are looked at as one thing. */
export interface Whole {
  verdict: Verdict
  reason?: Reason
  /** open readings that an `outside` rests on and that want a second touch; none where it stands */
  wanted: Evaluation[]
  /** readings that are judged apart from the whole */
  apart?: Map<Evaluation, Evaluation>
}

/**
 * Judges the checks that only several readings decide: relay contacts, three pins, a pair matrix, and what should read alike
 * (METHODS 11.3, 11.7, 8). A reading of such a check carries what the whole comes to.
 * @param standing the readings that stand, by check
 * @param all every reading judged by itself, in tape order
 * @returns the evaluations by entry id, those of such checks replaced
 */
export function judgeTogether(
  bench: Bench,
  standing: Map<string, Evaluation[]>,
  all: Map<string, Evaluation>,
): Map<string, Evaluation> {
  const replaced = new Map<string, Evaluation>()
  const at = (check: string) => standing.get(check) ?? []
  const put = (before: Evaluation, after: Evaluation) => replaced.set(before.entry.id, after)
  const contacts = [...bench.prepared.checks.values()].filter(({ check }) => check.kind === 'contacts')
  if (contacts.length > 0) {
    const readings = contacts.flatMap(({ check }) => at(check.id))
    spread(readings, judgeContacts(bench, contacts, readings, [...all.values()]), put)
  }
  for (const prepared of bench.prepared.checks.values()) {
    const { check } = prepared
    const readings = at(check.id)
    if (check.kind === 'three-pins') spread(readings, judgeThreePins(bench, prepared, readings, [...all.values()]), put)
    else if (check.kind === 'pair-matrix')
      spread(readings, judgePairMatrix(bench, prepared, readings, [...all.values()]), put)
    else if (readings.some((one) => one.limit?.kind === 'alike')) {
      const every = [...all.values()].filter((one) => one.check === prepared)
      judgeAlike(bench.run, prepared, readings, every).forEach((after, before) => put(before, after))
    }
  }
  if (replaced.size === 0) return all
  return new Map([...all].map(([id, evaluation]) => [id, replaced.get(id) ?? evaluation]))
}

function spread(
  readings: Evaluation[],
  { verdict, reason, wanted, apart }: Whole,
  put: (before: Evaluation, after: Evaluation) => void,
): void {
  for (const evaluation of readings) {
    const own = apart?.get(evaluation)
    const { reason: _reason, leaning: _side, conformance: _share, ...bare } = evaluation
    const whole = { stands: wanted.length === 0, again: wanted.includes(evaluation) }
    if (own) put(evaluation, { ...own, whole })
    else put(evaluation, { ...bare, verdict, ...(reason ? { reason } : {}), whole })
  }
}
