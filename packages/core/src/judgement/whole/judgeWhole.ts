import type { Bench, Evaluation } from '../figure'
import { judgeAlike } from './alike'
import { judgeContacts } from './contacts'
import { legToFrame } from './legToFrame'
import { judgePairMatrix } from './pairMatrix'
import { judgeThreePins } from './threePins'
import type { Whole } from './whole'

/**
 * Judges the checks that only several readings decide: relay contacts, three pins, a pair matrix, and what should read alike
 * (METHODS 11.3, 11.7, 8). A reading of such a check carries what the whole comes to.
 * @param standing the readings that stand, by check
 * @param all every reading judged by itself, in tape order
 * @returns the evaluations by entry id, those of such checks replaced
 * @example
 * judgeWhole(scenes.sound().bench, new Map(), new Map([['a', scenes.sound().of('low')]])).size // 1
 */
export function judgeWhole(
  bench: Bench,
  standing: Map<string, Evaluation[]>,
  all: Map<string, Evaluation>,
): Map<string, Evaluation> {
  const replaced = new Map<string, Evaluation>()
  const at = (check: string) => standing.get(check) ?? []
  const put = (before: Evaluation, after: Evaluation) => replaced.set(before.entry.id, after)
  const contacts = [...bench.prepared.checks.values()].filter(({ kind }) => kind === 'contacts')
  if (contacts.length > 0) {
    const readings = contacts.flatMap(({ id }) => at(id))
    spread(readings, judgeContacts(bench, contacts, readings, [...all.values()]), put)
  }
  for (const check of bench.prepared.checks.values()) {
    const readings = at(check.id)
    if (check.kind === 'three-pins') spread(readings, judgeThreePins(bench, check, readings, [...all.values()]), put)
    else if (check.kind === 'pair-matrix')
      spread(readings, judgePairMatrix(bench, check, readings, [...all.values()]), put)
    else if (readings.some((one) => one.limit?.kind === 'alike')) {
      const every = [...all.values()].filter((one) => one.check === check)
      judgeAlike(bench.run, check, readings, every).forEach((after, before) => put(before, after))
    }
  }
  const running = [...standing.values()].flat().filter(({ check }) => check.kind === 'ac-output')
  const grounded = running.length > 3 ? legToFrame(running) : undefined
  if (grounded)
    put(grounded, {
      ...grounded,
      verdict: 'outside',
      reason: 'leg-to-frame',
      leaning: 'outside',
      conformance: 0,
      whole: { stands: true, again: false },
    })
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
    const whole = {
      stands: own ? !wanted.includes(evaluation) : wanted.length === 0,
      again: wanted.includes(evaluation),
      ...(own ? { verdict, reason } : {}),
    }
    if (own) put(evaluation, { ...own, whole })
    else put(evaluation, { ...evaluation, verdict, reason, leaning: undefined, conformance: undefined, whole })
  }
}
