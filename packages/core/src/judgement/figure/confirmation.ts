import type { Tape } from '../tape'
import type { Evaluation } from './evaluation'

/** Ohms: where the maximum is under this, a high reading stands only by clips, since a contact is half of it (METHODS 4). */
export const clipsBelow = 10

/** Whether an outside reading stands, or is wanted again and how. */
export type Confirmation = 'stands' | 'again' | 'again-clips'

/**
 * Which way a reading is beyond its limits.
 * @example
 * sideOf(scenes.low().of('low')) // 'low'
 */
export function sideOf({ reason, judged, limit }: Evaluation): 'high' | 'low' | 'other' {
  if (reason === 'above-maximum' || reason === 'open-circuit') return 'high'
  if (reason === 'below-minimum' || reason === 'short-circuit' || reason === 'shorted') return 'low'
  if (judged !== undefined && limit?.band.max !== undefined && judged > limit.band.max) return 'high'
  return judged !== undefined && limit?.band.min !== undefined && judged < limit.band.min ? 'low' : 'other'
}

/** What a missing contact gives as well, and so needs a second touch: high ohms, low volts or amperes, a dark lamp, a faint tap. */
function contactCouldGive(evaluation: Evaluation): boolean {
  const side = sideOf(evaluation)
  if (evaluation.reason === 'unsteady') return true
  if (evaluation.reason === 'wrong-answer')
    return ['dark', 'silent', 'faint', 'no'].includes(evaluation.entry.reading.answer ?? '')
  if (evaluation.quantity === 'voltage' || evaluation.quantity === 'current')
    return side === 'low' && evaluation.check.kind !== 'bars'
  return evaluation.quantity === 'resistance' && side === 'high'
}

/**
 * Whether an outside reading stands, or has to be read again with the probes lifted between (METHODS 4, 11.2): high ohms need
 * a second touch, by clips where the limit is under 10 Ω; a low reading needs none.
 * Of two meters the other's reading confirms, whichever came first; of a lead the same lead, bent or still; of one that moves two such.
 * @param readings all of the run; those of the same point and stage, neither mistyped nor taken back, confirm
 * @example
 * confirmationOf(scenes.low().tape, scenes.low().of('low'), scenes.low().all) // 'stands'
 */
export function confirmationOf(tape: Tape, evaluation: Evaluation, readings: Evaluation[]): Confirmation {
  const lowOhms = (evaluation.limit?.band.max ?? Infinity) < clipsBelow
  if (evaluation.whole)
    return evaluation.whole.stands ? 'stands' : lowOhms && evaluation.whole.verdict ? 'again-clips' : 'again'
  if (!contactCouldGive(evaluation)) return 'stands'
  const unsteady = evaluation.reason === 'unsteady'
  const byClips = unsteady || lowOhms
  const clipped = ({ entry }: Evaluation) => entry.reading.contact === 'clips'
  const isLike = (one: Evaluation) =>
    one.verdict === 'outside' &&
    (unsteady ? one.reason === 'unsteady' && clipped(one) : sideOf(one) === sideOf(evaluation))
  const confirmed =
    samePoint(tape, evaluation, readings).some(
      (one) => (one.entry.n < evaluation.entry.n || one.instrument !== evaluation.instrument) && isLike(one),
    ) || sameItem(tape, evaluation, readings).filter(isLike).length >= (unsteady ? 2 : 1)
  if (confirmed && (!byClips || clipped(evaluation))) return 'stands'
  return byClips ? 'again-clips' : 'again'
}

/** The same lead of a set under another hand: still and bent. */
const sameItem = (tape: Tape, { check, entry }: Evaluation, readings: Evaluation[]): Evaluation[] =>
  check.kind !== 'per-length'
    ? []
    : readings.filter(
        (one) =>
          one.check !== check &&
          one.check.kind === 'per-length' &&
          one.entry.reading.index === entry.reading.index &&
          wasRead(tape, one),
      )

/**
 * Whether it was read, whatever came after it: what was mistyped or taken back was not.
 * @example
 * wasRead(scenes.retaken().tape, scenes.retaken().of('high')) // true
 */
export function wasRead(tape: Tape, { entry }: Evaluation): boolean {
  const how = tape.gone.get(entry.id)?.how
  return how !== 'mistyped' && how !== 'taken-back'
}

/**
 * The other readings of one point and stage, neither mistyped nor taken back; one is told from another by its entry.
 * @example
 * samePoint(scenes.retaken().tape, scenes.retaken().of('high'), scenes.retaken().all).length // 1
 */
export function samePoint(tape: Tape, evaluation: Evaluation, readings: Evaluation[]): Evaluation[] {
  return readings.filter(
    (one) =>
      one.entry.id !== evaluation.entry.id &&
      one.point === evaluation.point &&
      wasRead(tape, one) &&
      tape.stageOf.get(one.entry.id) === tape.stageOf.get(evaluation.entry.id),
  )
}
