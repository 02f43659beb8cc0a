import { evaluate, openWindings, splitBy, type Bench, type Evaluation } from '../judgement'
import { standingByCheck } from './standingByCheck'

/** Readings judged each by itself, and on what. */
interface Judged {
  bench: Bench
  evaluations: Map<string, Evaluation>
}

/** The readings on the card as it is, and as this unit's open windings leave it; the same where none is open. */
export interface JudgedAlone {
  plain: Judged
  split: Judged
}

/**
 * Every reading judged by itself: on the card, and then on the card as this unit's open windings leave it (METHODS 11.14).
 * @param before the same run as it was judged earlier: a reading that the same governs keeps its evaluation
 * @example
 * judgeAlone(scenes.sound().bench).split.evaluations.size // 4
 */
export function judgeAlone(whole: Bench, before?: JudgedAlone): JudgedAlone {
  const plain = judgedOn(whole, before)
  const all = [...plain.evaluations.values()]
  // only an open winding splits its group
  if (!all.some((one) => one.reason === 'open-circuit')) return { plain, split: plain }
  const standing = [...standingByCheck(whole, all).values()].flat()
  const prepared = splitBy(whole.prepared, openWindings(whole, standing, all))
  return { plain, split: prepared === whole.prepared ? plain : judgedOn({ ...whole, prepared }, before) }
}

function judgedOn(bench: Bench, before?: JudgedAlone): Judged {
  const known = before && [before.plain, before.split].find((one) => governsAlike(one.bench, bench))?.evaluations
  const evaluations = new Map<string, Evaluation>()
  for (const entry of bench.tape.readings) {
    const earlier = known?.get(entry.id)
    const one = earlier?.entry === entry ? earlier : evaluate(bench, entry)
    if (one) evaluations.set(entry.id, one)
  }
  return { bench, evaluations }
}

/** Whether all that a reading's evaluation looks up elsewhere in the run is as it was: an entry itself never changes. */
function governsAlike(a: Bench, b: Bench): boolean {
  return (
    a.prepared === b.prepared &&
    a.run.rule === b.run.rule &&
    a.run.unit.history === b.run.unit.history &&
    sameItems(a.run.instruments, b.run.instruments) &&
    sameItems(a.tape.leadChecks, b.tape.leadChecks) &&
    sameItems(a.tape.temperatures, b.tape.temperatures) &&
    sameItems(a.tape.isolations, b.tape.isolations) &&
    sameItems(a.tape.changes, b.tape.changes)
  )
}

const sameItems = (a: readonly object[], b: readonly object[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i])
