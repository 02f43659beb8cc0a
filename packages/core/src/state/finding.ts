import { meterCannot } from '../sense'
import {
  type CheckState,
  type PointState,
  type Bench,
  type Evaluation,
  type RelationState,
  sideOf,
  confirmationOf,
  entriesThatStand,
  waits,
  type Confirmation,
} from '../judgement'

export type FindingWord = 'fault-found' | 'undecided' | 'no-fault-found'

/** Something that makes the part faulty: a reading outside that stands, or a relation that fails. */
export interface Fault {
  check?: string
  relation?: string
  entry?: string
  /** of a look that is a fault by itself: where */
  place?: string
  side: 'high' | 'low' | 'other'
}

/** Something that keeps the finding open, and what would settle it. */
export interface OpenPoint {
  why: 'not-read' | 'none' | 'borderline' | 'held' | 'take-again' | 'clip-on' | 'sum-off' | 'not-as-drawn' | 'relation'
  check?: string
  relation?: string
  entry?: string
  leaning?: 'within' | 'outside'
  conformance?: number
}

export interface Finding {
  word: FindingWord
  faults: Fault[]
  open: OpenPoint[]
  /** checks whose limits no reading on this meter could settle */
  continuityOnly: string[]
}

/** Below this probability of conformance a borderline reading holds the finding (METHODS 4). */
const sureEnough = 0.95

export interface FindingInput {
  bench: Bench
  checks: CheckState[]
  relations: RelationState[]
  evaluations: Evaluation[]
  explained: Set<string>
  /** readings held by a stop, or joined by a failed sum that has not been cleared */
  heldBack: Set<string>
}

/** Borderline for a reason that no digits would settle: it holds the finding whatever its conformance. */
const holding: ReadonlySet<string> = new Set(['guess', 'zero-leads-first', 'low-voltage-test'])

/**
 * What was found, from the readings that count (METHODS 4, finding, and 11).
 * @example
 * findingOf({ bench: scenes.low().bench, checks: scenes.low().state.checks, relations: [], evaluations: scenes.low().all, explained: new Set(), heldBack: new Set() }).word
 * // 'fault-found'
 */
export function findingOf(input: FindingInput): Finding {
  const faults: Fault[] = []
  const open: OpenPoint[] = []
  const continuityOnly: string[] = []
  for (const state of input.checks) judgeCheckPoints(input, state, faults, open, continuityOnly)
  for (const state of input.relations) judgeOne(input, state, faults, open)
  for (const { place, entry } of faultsSeen(input.bench)) faults.push({ place, entry, side: 'other' })
  // what waits for the other place holds nothing, but where nothing at all was read nothing is known
  const waiting = input.checks.find(({ check }) => waits(input.bench.prepared, check))
  const isUnread = input.checks.every(({ points }) => points.every(({ evaluation }) => !evaluation))
  if (isUnread && waiting && faults.length + open.length === 0) open.push({ why: 'not-read', check: waiting.check.id })
  const word = faults.length > 0 ? 'fault-found' : open.length > 0 ? 'undecided' : 'no-fault-found'
  return { word, faults, open, continuityOnly: [...new Set(continuityOnly)] }
}

/** The looks that are a fault by themselves; a later look at the same place takes an earlier one's (METHODS 11.20). */
function faultsSeen({ tape }: Bench): { place: string; entry: string }[] {
  const last = new Map(entriesThatStand(tape, 'look').map((one) => [one.place, one]))
  return [...last.values()].flatMap(({ place, id, fault }) => (fault ? [{ place, entry: id }] : []))
}

function judgeCheckPoints(
  input: FindingInput,
  state: CheckState,
  faults: Fault[],
  open: OpenPoint[],
  continuityOnly: string[],
): void {
  const id = state.check.id
  if (input.explained.has(id)) return
  if (state.check.kind === 'look') {
    if (state.check.required && state.reason === 'not-read') open.push({ why: 'not-read', check: id })
    return
  }
  for (const point of state.points) {
    const { evaluation } = point
    const about = { check: id, ...(evaluation ? { entry: evaluation.entry.id } : {}) }
    if (!evaluation) {
      if (state.check.required) open.push({ why: 'not-read', ...about })
    } else if (input.heldBack.has(evaluation.entry.id)) {
      // an optional test that read outside is not forgotten because a question about it waits
      if (state.check.required || evaluation.verdict === 'outside') open.push({ why: 'held', ...about })
    } else judgePoint(input, state, point, evaluation, faults, open, continuityOnly)
  }
  if (state.points.length === 0 && state.check.required) open.push({ why: 'not-read', check: id })
}

function judgePoint(
  { bench, evaluations, relations }: FindingInput,
  state: CheckState,
  point: PointState,
  evaluation: Evaluation,
  faults: Fault[],
  open: OpenPoint[],
  continuityOnly: string[],
): void {
  const about = { check: state.check.id, entry: evaluation.entry.id }
  if (point.verdict === 'outside' && point.reason !== 'by-relation') {
    // one of several that is judged by itself and stands waits for no other
    const ownFault = evaluation.whole?.verdict !== undefined && evaluation.whole.stands
    const told = (ownFault ? faults : [...faults, ...open]).some((one) => one.check === about.check)
    if (evaluation.whole && (told || !(evaluation.whole.stands || evaluation.whole.again))) return
    const standing = confirmationOf(bench.tape, evaluation, evaluations)
    if (standing === 'stands') faults.push({ ...about, side: sideOf(evaluation) })
    else open.push({ why: whyAgain(standing), ...about })
    return
  }
  if (point.verdict === 'none') {
    const counts = state.check.required && point.reason !== 'off-curve'
    if (counts && !open.some((one) => evaluation.whole && one.check === about.check))
      open.push({ why: 'none', ...about })
    return
  }
  // what a relation judges it decides itself
  if (point.verdict !== 'borderline' || point.reason === 'by-relation') return
  const leansWithin = evaluation.leaning === 'within'
  if (meterCannot(evaluation) && evaluation.reason === 'near-limit' && leansWithin) {
    continuityOnly.push(about.check)
    return
  }
  const released = evaluation.reason === 'guess' && leansWithin && isVouchedFor(bench, evaluation, relations)
  const alwaysHolds = holding.has(evaluation.reason ?? '')
  if (released || (!alwaysHolds && (evaluation.conformance ?? 0) >= sureEnough)) return
  open.push({
    why: 'borderline',
    ...about,
    ...(evaluation.leaning ? { leaning: evaluation.leaning } : {}),
    ...(evaluation.conformance === undefined ? {} : { conformance: evaluation.conformance }),
  })
}

const whyAgain = (confirmation: Confirmation): OpenPoint['why'] =>
  confirmation === 'again-clips' ? 'clip-on' : 'take-again'

/** What releases a guess that leans within: an alike twin, an alike sister on the same part, or a rewind of counted turns and known wire. */
function isVouchedFor({ tape }: Bench, { check, entry }: Evaluation, relations: RelationState[]): boolean {
  const isAlike = relations.some(
    ({ relation, verdict }) =>
      verdict === 'within' &&
      ((relation.kind === 'twin' && relation.check === check.id) ||
        (relation.kind === 'equal' && relation.checks.includes(check.id))),
  )
  if (isAlike) return true
  const wound = new Set(
    tape.changes.flatMap(({ what, place, rewind, n }) =>
      what === 'rewind' && rewind !== undefined && n < entry.n ? [place] : [],
    ),
  )
  return check.touches.size > 0 && [...check.touches].every((winding) => wound.has(winding))
}

function judgeOne(
  { bench, evaluations }: FindingInput,
  state: RelationState,
  faults: Fault[],
  open: OpenPoint[],
): void {
  const { relation, verdict, odd } = state
  const about = { relation: relation.id, ...(odd ? { check: odd.check.id, entry: odd.entry.id } : {}) }
  if (relation.kind === 'sum') {
    if (verdict !== 'outside') return
    const standing = sumStands(bench, state, evaluations)
    if (standing === 'joint') faults.push({ ...about, side: 'high' })
    else open.push({ why: standing === 'not-as-drawn' ? 'not-as-drawn' : 'sum-off', ...about })
    return
  }
  if (verdict === 'outside') {
    if (state.members.some((member) => faults.some((fault) => fault.entry === member.entry.id))) return
    if (state.members.some((member) => member.whole?.stands === false)) {
      open.push({ why: 'take-again', ...about })
      return
    }
    const doubtful = state.oddReadsHigh || state.contactGives
    const again = odd && doubtful ? readsHighAgain(bench, odd, evaluations) : 'stands'
    if (again === 'stands') faults.push({ ...about, side: state.oddReadsHigh ? 'high' : 'low' })
    else open.push({ why: whyAgain(again), ...about })
    return
  }
  if (verdict !== 'borderline' || state.meterCannot) return
  const always = state.reason === 'guess'
  if (!always && (state.conformance ?? 0) >= sureEnough) return
  open.push({ why: 'relation', ...about, ...(state.leaning ? { leaning: state.leaning } : {}) })
}

/** A relation that fails because one reads high stands as that reading would: read twice, by clips under 10 Ω. */
function readsHighAgain(bench: Bench, odd: Evaluation, evaluations: Evaluation[]): Confirmation {
  if (odd.verdict === 'outside') return confirmationOf(bench.tape, odd, evaluations)
  const byClips = odd.quantity === 'resistance' && (odd.limit?.band.max ?? odd.net ?? Infinity) < 10
  const twice = evaluations.some((one) => one.point === odd.point && one !== odd && one.entry.n < odd.entry.n)
  const clipped = !byClips || odd.entry.reading.contact === 'clips'
  return twice && clipped ? 'stands' : byClips ? 'again-clips' : 'again'
}

/**
 * A residual that stands after every part was retaken with clips is a joint (positive) or another wiring (negative).
 * @example
 * sumStands(scenes.sound().bench, scenes.sound().state.relations[0], scenes.sound().all) // null
 */
export function sumStands(
  bench: Bench,
  state: RelationState,
  evaluations: Evaluation[],
): 'joint' | 'not-as-drawn' | null {
  if (!state.sum) return null
  const suspects = state.sum.residual > 0 ? state.members.slice(0, -1) : state.members
  const retaken = suspects.every(
    (one) =>
      one.entry.reading.contact === 'clips' &&
      evaluations.some(
        (other) =>
          other.point === one.point &&
          other.entry.n < one.entry.n &&
          bench.tape.gone.get(other.entry.id)?.how !== 'mistyped',
      ),
  )
  if (!retaken) return null
  return state.sum.residual > 0 ? 'joint' : 'not-as-drawn'
}
