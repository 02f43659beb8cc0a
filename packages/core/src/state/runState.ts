import { causesOf, type Cause } from '../causes'
import type { Card, Run } from '../document'
import { planSteps } from '../plan'
import { closingRules, sumRemarks, watch, type Firing, type RemarkId } from '../sense'
import { coreVersion } from '../version'
import {
  explainedByParts,
  judgeCheck,
  type CheckState,
  evaluate,
  type Bench,
  type Evaluation,
  openWindings,
  prepareCard,
  splitBy,
  type PreparedCard,
  judgeRelation,
  judgeWhole,
  type RelationState,
  samePoint,
  sideOf,
  confirmationOf,
  entriesThatStand,
  readTape,
  takenBackIn,
  type Tape,
} from '../judgement'
import { progressOf, type StepState } from './stepStates'
import { verdictsByRelation, withRelations } from './judgedByRelation'
import { standingByCheck } from './standingByCheck'
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
  steps: StepState[]
  /** the step the bench stands at */
  step: string
  /** the stop that holds the bench, if any */
  holding?: Firing
  retaken: string[]
  untested: string[]
  /** read, and judged nowhere; what is held is not among them */
  unjudged: string[]
  explained: string[]
  /** a decision other than more-tests has been kept */
  closed: boolean
}

/**
 * Judges a run: which readings count, verdicts, relations, remarks, finding and step (CARD; METHODS 4, 11; SENSE).
 * @param run a valid run; its card may be a draft or a sketch
 * @returns the same state for the same entries, however they were batched; never throws on a valid run
 * @example
 * runState(scenes.low().run).finding.faults[0].side // 'low'
 */
export function runState(run: Run): RunState {
  const tape = readTape(run)
  const { bench, alone } = judgedAlone({ run, prepared: prepareCard(run.card, run.unit.variant), tape })
  const { prepared } = bench
  const { firings, waiting } = watch(bench, alone)
  const evaluations = judgeWhole(bench, standingByCheck(bench, [...alone.values()]), alone)
  const all = [...evaluations.values()]
  const standing = standingByCheck(bench, all)
  const counting = (out: Set<string>) => (check: string) =>
    (standing.get(check) ?? []).filter((one) => !out.has(one.entry.id))
  const at = counting(new Set())
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
  })
  const remarks = [...firings, ...closingRemarks(bench, checks, all, finding)]
  const progress = progressOf(bench, planSteps(prepared, failedBefore(run)), checks, remarks, finding, isClosed(run))
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
    steps: progress.steps,
    step: progress.current,
    ...(holding ? { holding } : {}),
    retaken: retakenChecks(bench, all),
    untested: untestedChecks(checks),
    unjudged: unjudgedChecks(checks),
    explained,
    closed: isClosed(run),
  }
}

/** Every reading judged by itself, on the card as this unit's open windings leave it. */
function judgedAlone(whole: Bench): { bench: Bench; alone: Map<string, Evaluation> } {
  const { tape, run } = whole
  const judge = (bench: Bench) => tape.readings.flatMap((entry) => evaluate(bench, entry) ?? [])
  const all = judge(whole)
  // only an open winding splits its group
  const open = all.some((one) => one.reason === 'open-circuit')
  const standing = open ? [...standingByCheck(whole, all).values()].flat() : []
  const prepared = splitBy(whole.prepared, openWindings(whole, standing, all))
  const bench = prepared === whole.prepared ? whole : { run, prepared, tape }
  const judged = bench === whole ? all : judge(bench)
  return { bench, alone: new Map(judged.map((one) => [one.entry.id, one])) }
}

/** The checks that failed this unit in its last run. */
const failedBefore = ({ compare }: Run): string[] => compare?.find((one) => one.as === 'earlier')?.failed ?? []

/** Readings that an unanswered stop keeps from counting. */
const holdsOf = (firings: Firing[]): Set<string> =>
  new Set(firings.flatMap((one) => (one.severity === 'stop' && !one.answered ? one.holds : [])))

/**
 * Whether the last decision that stands closes the run: then only decisions, outcomes and notes follow. More tests open it again.
 * @example
 * isClosed(scenes.sound().run) // false
 */
export function isClosed({ entries }: Pick<Run, 'entries'>): boolean {
  const takenBack = takenBackIn(entries)
  const last = entriesThatStand({ entries, takenBack }, 'decision').at(-1)
  return last !== undefined && last.what !== 'more-tests'
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

/** Checks for which nothing stands in their stage. */
const untestedChecks = (checks: CheckState[]): string[] =>
  checks
    .filter(({ check, reason, points }) =>
      check.kind === 'look' ? reason === 'not-read' : points.every(({ evaluation }) => !evaluation),
    )
    .map(({ check }) => check.id)

/** Checks that were read, and whose every reading is judged `none`; held ones wait for their answer. */
const unjudgedChecks = (checks: CheckState[]): string[] =>
  checks
    .filter(({ held, points }) => {
      const read = points.filter(({ evaluation }) => evaluation)
      return !held && read.length > 0 && read.every(({ verdict }) => verdict === 'none')
    })
    .map(({ check }) => check.id)

/**
 * The run under another card revision: a second opinion, nothing is rewritten.
 * @example
 * judgedBy(scenes.low().run, { ...scenes.low().run.card, revision: 2 }).run.card.revision // 2
 */
export const judgedBy = (run: Run, card: Card): RunState => runState({ ...run, card })
