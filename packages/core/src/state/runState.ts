import { causesOf, type Cause } from '../causes'
import type { Card, Run } from '../document'
import { pointsMade, asThisUnit } from '../asked'
import { planSteps, type WorkOrder } from '../plan'
import { closingRules, sumRemarks, watch, type Firing, type LookedOver, type RemarkId } from '../sense'
import { coreVersion } from '../version'
import {
  explainedByParts,
  judgeCheck,
  type CheckState,
  type Bench,
  type Evaluation,
  prepareCard,
  type PreparedCard,
  judgeRelation,
  rolesOf,
  type Roles,
  judgeWhole,
  type RelationState,
  samePoint,
  sideOf,
  confirmationOf,
  entriesThatStand,
  placeNow,
  readTape,
  takenBackIn,
  type Tape,
} from '../judgement'
import type { StepState } from './stepState'
import { settledBySurer } from './settledBySurer'
import { progressOf } from './stepStates'
import { verdictsByRelation, withRelations } from './judgedByRelation'
import { judgeAlone, type JudgedAlone } from './judgeAlone'
import { standingByCheck } from './standingByCheck'
import { unjudgedChecks, untestedChecks } from './saidNothing'
import { withoutSpared } from './sparedSteps'
import { findingOf, sumStands, type Finding } from './finding'

/** All that follows from a run's entries. Nothing here is kept as a source: the same run gives the same state. */
export interface RunState {
  core: string
  run: Run
  /** the card as this unit's open windings leave it */
  prepared: PreparedCard
  tape: Tape
  /** every reading judged, standing or not, by entry id */
  evaluations: Map<string, Evaluation>
  checks: CheckState[]
  relations: RelationState[]
  remarks: Firing[]
  /** answers given at set-up to remarks that have not fired yet */
  answeredAhead: RemarkId[]
  finding: Finding
  /** the faults of the part that explain what stands outside */
  causes: Cause[]
  /** what each terminal is, where readings tell: blades, pins, wires */
  roles: Roles[]
  steps: StepState[]
  /** the step the bench stands at */
  step: string
  /** steps left open behind the hand, where a set-up ends */
  leftOut: string[]
  /** the stop that holds the bench, if any */
  holding?: Firing
  retaken: string[]
  untested: string[]
  /** read, and judged nowhere; what is held is not among them */
  unjudged: string[]
  explained: string[]
  /** a decision other than more-tests has been kept */
  closed: boolean
  /** what judging the same run one entry longer starts from */
  trace: Trace
}

/** What one judging of a run leaves to the next: each reading by itself, and what was remarked on. */
interface Trace {
  alone: JudgedAlone
  lookedOver: LookedOver
}

/**
 * Judges a run: which readings count, verdicts, relations, remarks, finding and step (CARD; METHODS 4, 11; SENSE).
 * @param given a valid run; the state's own run has what was asked besides among its card's checks
 * @param before the same run as it was judged earlier: what its new entries leave as it was is not judged again
 * @param order in which the steps are worked; it changes no verdict
 * @returns the same state for the same entries, however they were batched; never throws on a valid run
 * @example
 * runState(scenes.low().run).finding.faults[0].side // 'low'
 */
export function runState(given: Run, before?: RunState, order: WorkOrder = 'tests'): RunState {
  const run = asThisUnit(given)
  const tape = readTape(run)
  const whole = { run, prepared: prepareCard(run.card, run.unit, placeNow(tape)), tape }
  const judgedApart = judgeAlone(whole, before?.trace.alone)
  const { bench, evaluations: alone } = judgedApart.split
  const { prepared } = bench
  const { firings, waiting, lookedOver } = watch(bench, alone, before?.trace.lookedOver)
  const standingAlone = standingByCheck(bench, alone.values())
  const evaluations = judgeWhole(bench, standingAlone, alone)
  const all = [...evaluations.values()]
  const standing = evaluations === alone ? standingAlone : standingByCheck(bench, all)
  const at = (check: string) => standing.get(check) ?? []
  const counting = (out: Set<string>) =>
    out.size === 0 ? at : (check: string) => at(check).filter((one) => !out.has(one.entry.id))
  const heldAlone = holdsOf(firings.filter((one) => !sumRemarks.has(one.id)))
  const judged = (kind: 'sum' | 'other', out: Set<string>) =>
    run.card.relations
      .filter((relation) => (relation.kind === 'sum') === (kind === 'sum'))
      .map((relation) => judgeRelation(bench, relation, counting(out)))
  const sums = judged('sum', heldAlone)
  const heldBack = new Set([...holdsOf(firings), ...membersOfFailedSums(bench, sums, all)])
  const judgedRelations = [...sums, ...judged('other', heldBack)]
  const relations = run.card.relations.flatMap(
    (relation) => judgedRelations.find((one) => one.relation === relation) ?? [],
  )
  const byRelation = verdictsByRelation(judgedRelations)
  const checks = [...prepared.checks.values()].map((check) =>
    withRelations(judgeCheck(bench, check, at(check.id), heldBack), byRelation),
  )
  const explained = explainedChecks(bench, checks, at)
  const finding = findingOf({
    bench,
    checks,
    relations,
    evaluations: all,
    explained: new Set(explained),
    heldBack,
  })
  const causes = causesOf({
    prepared,
    checks,
    relations,
    faults: finding.faults,
    explained,
    points: pointsMade(run.entries),
  })
  const settled = firings.map((one) => settledBySurer(one, checks, evaluations))
  const remarks = [...settled, ...closingRemarks(bench, checks, all, finding)]
  const closed = isClosed(run)
  const roles = rolesOf(bench, at)
  const steps = withoutSpared(
    bench,
    planSteps(prepared, failedBefore(run), order),
    roles,
    [...standing.values()].flat(),
  )
  const progress = progressOf(bench, steps, checks, remarks, finding, closed, evaluations)
  const holding = remarks.find((one) => one.severity === 'stop' && !one.answered && one.entry !== undefined)
  return {
    core: coreVersion,
    run,
    prepared,
    tape,
    evaluations,
    checks,
    relations,
    remarks,
    answeredAhead: waiting,
    finding,
    causes,
    roles,
    steps: progress.steps,
    step: progress.current,
    leftOut: progress.leftOut,
    ...(holding ? { holding } : {}),
    retaken: retakenChecks(bench, all),
    untested: untestedChecks(checks),
    unjudged: unjudgedChecks(checks),
    explained,
    closed,
    trace: { alone: judgedApart, lookedOver },
  }
}

const failedBefore = ({ compare }: Run): string[] => compare?.find((one) => one.as === 'earlier')?.failed ?? []

/** Readings that an unanswered stop keeps from counting; nothing else holds any. */
const holdsOf = (firings: Firing[]): Set<string> =>
  new Set(firings.filter(({ answered }) => !answered).flatMap(({ holds }) => holds))

/**
 * Whether the last decision that stands closes the run: then only decisions, outcomes and notes follow. More tests open it again.
 * @example
 * isClosed(scenes.sound().run) // false
 */
export function isClosed({ entries }: Pick<Run, 'entries'>): boolean {
  const takenBack = takenBackIn(entries)
  const last = entries.findLast((entry) => entry.kind === 'decision' && !takenBack.has(entry.id))
  return last?.kind === 'decision' && last.what !== 'more-tests'
}

/** None of the readings a failed sum joins counts, until one was retaken and it holds, or it stands as a joint. */
function membersOfFailedSums(bench: Bench, relations: RelationState[], all: Evaluation[]): Set<string> {
  return new Set(
    relations
      .filter(
        (one) => one.relation.kind === 'sum' && one.verdict === 'outside' && sumStands(bench, one, all) !== 'joint',
      )
      .flatMap((one) => one.members.map((member) => member.entry.id)),
  )
}

function explainedChecks(bench: Bench, checks: CheckState[], at: (check: string) => Evaluation[]): string[] {
  const own = (winding: string) => {
    const alone = checks.find(
      ({ check: { kind, toFrame, touches } }) =>
        kind === 'resistance' && !toFrame && touches.size === 1 && touches.has(winding),
    )
    return alone && at(alone.check.id).at(-1)
  }
  return checks
    .filter((one) => at(one.check.id).some((evaluation) => explainedByParts(bench, evaluation, own)))
    .map((one) => one.check.id)
}

function closingRemarks(bench: Bench, checks: CheckState[], all: Evaluation[], finding: Finding): Firing[] {
  if (all.length === 0) return []
  const answers = entriesThatStand(bench.tape, 'answer')
  const input = {
    bench,
    checks,
    all,
    noFaultFound: finding.word === 'no-fault-found',
    stood: (one: Evaluation) => confirmationOf(bench.tape, one, all) === 'stands',
  }
  return closingRules.flatMap((rule) => {
    const remark = rule(input)
    if (!remark) return []
    const answer = answers.findLast((entry) => entry.remark === remark.id)
    return [
      {
        ...remark,
        holds: [],
        ...(answer ? { answered: { by: 'answer' as const, entry: answer.id, reason: answer.reason } } : {}),
      },
    ]
  })
}

/** Checks where an outside reading was taken again and the second did not confirm it. */
function retakenChecks({ tape }: Bench, all: Evaluation[]): string[] {
  const named = all.filter((one) => {
    const how = tape.gone.get(one.entry.id)?.how
    if (one.verdict !== 'outside' || how === 'mistyped' || how === 'taken-back') return false
    const last = samePoint(tape, one, all)
      .filter((other) => !tape.gone.has(other.entry.id))
      .at(-1)
    if (!last || last.entry.n < one.entry.n) return false
    return !(last.verdict === 'outside' && sideOf(last) === sideOf(one))
  })
  return [...new Set(named.map((one) => one.check.id))]
}

/**
 * The run under another card revision: a second opinion, nothing is rewritten.
 * @example
 * judgedBy(scenes.low().run, { ...scenes.low().run.card, revision: 2 }).run.card.revision // 2
 */
export const judgedBy = (run: Run, card: Card): RunState => runState({ ...run, card })
