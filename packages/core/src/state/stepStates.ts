import type { Firing } from '../sense'
import {
  answersFor,
  entriesThatStand,
  stoodBefore,
  unmetCondition,
  type Bench,
  type CheckState,
  type Evaluation,
  type PointState,
  type PreparedCheck,
} from '../judgement'
import type { Finding } from './finding'
import type { Step, StepPoint } from '../plan'
import { nextStep } from './nextStep'
import type { StepState } from './stepState'

/**
 * How far each step is, and which one the bench stands at: a held one first, else the one after the hand.
 * @example
 * progressOf(scenes.low().bench, planSteps(scenes.low().prepared), scenes.low().state.checks, [], scenes.low().state.finding, false, scenes.low().state.evaluations).current
 * // 'high'
 */
export function progressOf(
  bench: Bench,
  steps: Step[],
  checks: CheckState[],
  firings: Firing[],
  finding: Finding,
  closed: boolean,
  evaluations: ReadonlyMap<string, Evaluation>,
): { steps: StepState[]; current: string; leftOut: string[] } {
  const read = steps.map((step) => stateOf(bench, step, checks, finding))
  const holding = firings.find((one) => one.severity === 'stop' && !one.answered && one.entry !== undefined)
  const isHeld = holding && read.some(({ entry }) => entry !== undefined && holding.holds.includes(entry))
  const states = isHeld ? read : heldBeside(read, checks, evaluations.get(holding?.entry ?? ''))
  const held =
    holding &&
    (states.find(({ entry }) => entry === holding.entry) ??
      states.find(({ entry }) => entry !== undefined && holding.holds.includes(entry)))
  if (closed) return { steps: states, current: 'finding', leftOut: [] }
  if (held) return { steps: states, current: held.step.id, leftOut: [] }
  const { step, leftOut } = nextStep(states, bench.prepared, bench.tape)
  return { steps: states, current: step, leftOut }
}

/** A held reading beside a surer one of another meter: it waits for its answer at the step it was taken at, though that is done. */
function heldBeside(states: StepState[], checks: CheckState[], held: Evaluation | undefined): StepState[] {
  if (!held) return states
  const { check, entry } = held
  const points = checks.find((one) => one.check.id === check.id)?.points ?? []
  return states.map((one) => {
    const { step } = one
    if (step.kind !== 'reading' || step.check !== check.id || !isAt(step.point, check, held)) return one
    const point = points.find(({ evaluation }) => evaluation?.entry.id === one.entry)
    const isLater = (point?.evaluation?.entry.n ?? entry.n) < entry.n
    return point && isLater
      ? { step, status: 'held', entry: entry.id, point: { ...point, evaluation: held, held: true } }
      : one
  })
}

function stateOf(bench: Bench, step: Step, checks: CheckState[], finding: Finding): StepState {
  const skipped = entriesThatStand(bench.tape, 'skip').find(
    (entry) => entry.check === step.id || ('check' in step && entry.check === step.check),
  )
  const state = seen(bench, step, checks, finding)
  return state.status === 'to-do' && skipped ? { step, status: 'skipped', entry: skipped.id } : state
}

function seen(bench: Bench, step: Step, checks: CheckState[], finding: Finding): StepState {
  switch (step.kind) {
    case 'look': {
      const look = entriesThatStand(bench.tape, 'look').findLast(
        (entry) => entry.check === step.check || step.check === undefined,
      )
      if (!look) return { step, status: 'to-do' }
      return { step, status: look.what.every((what) => what === 'sound') ? 'done' : 'flagged', entry: look.id }
    }
    case 'isolate':
      return done(step, entriesThatStand(bench.tape, 'isolation').at(-1))
    case 'temperature':
      return done(step, entriesThatStand(bench.tape, 'temperature').at(-1))
    case 'leads':
      return done(step, entriesThatStand(bench.tape, 'lead-check').at(-1))
    case 'frame-proof':
      return done(
        step,
        entriesThatStand(bench.tape, 'proof').findLast((entry) => entry.of === 'same-metal'),
      )
    case 'supply':
      return done(step, entriesThatStand(bench.tape, 'supply').at(-1))
    case 'finding':
      return done(
        step,
        entriesThatStand(bench.tape, 'decision').findLast((entry) => entry.what !== 'more-tests'),
      )
    default:
      return readStep(bench, step, checks, finding)
  }
}

const done = (step: Step, entry: { id: string } | undefined): StepState =>
  entry ? { step, status: 'done', entry: entry.id } : { step, status: 'to-do' }

/** What was read at another speed than the card's stands, and is read again at that. */
const tooSlow = ({ reason, evaluation }: PointState): boolean =>
  reason === 'conditions-not-met' &&
  evaluation !== undefined &&
  evaluation.entry.reading.conditions?.rpm !== undefined &&
  unmetCondition(evaluation.check, evaluation.entry.reading.conditions) === 'rpm'

/** An item that is judged by its length, and has none yet. */
const wantsLength = ({ evaluation }: PointState): boolean =>
  evaluation?.check.kind === 'per-length' &&
  evaluation.entry.reading.x === undefined &&
  evaluation.reason !== 'range-too-low' &&
  evaluation.check.stated.some(({ limit }) => limit !== 'derived' && limit.kind === 'perMetre')

/** What failed before the part was worked on is asked again, wherever the work was (SENSE, retest-missing). */
const isRepaired = ({ tape }: Bench, { evaluation }: PointState): boolean =>
  tape.changes.some((work) => evaluation !== undefined && stoodBefore(tape.entries, evaluation.entry, work))

/** A beep where the limit is lower than what it beeps at. */
const wantsOhms = ({ reason, evaluation }: PointState): boolean =>
  reason === 'range-too-high' && evaluation?.entry.reading.method === 'beeper'

/** Insulation whose volts or ohms had not come up yet: the tips stay where they are. */
const notThereYet: ReadonlySet<string> = new Set(['hold-until-settled', 'test-voltage-low', 'test-voltage-unknown'])

function readStep(
  bench: Bench,
  step: Extract<Step, { kind: 'reading' | 'answer' }>,
  checks: CheckState[],
  finding: Finding,
): StepState {
  const state = checks.find((one) => one.check.id === step.check)
  const point = state?.points.findLast(
    (one) => one.evaluation && (step.kind === 'answer' || isAt(step.point, state.check, one.evaluation)),
  )
  const entry = point?.evaluation?.entry.id
  if (!point || entry === undefined) return { step, status: 'to-do' }
  if (point.held) return { step, status: 'held', point, entry }
  const again = finding.open.some(
    (one) => one.entry === entry && (one.why === 'take-again' || one.why === 'clip-on') && one.relation === undefined,
  )
  if (again) return { step, status: 'again', point, entry }
  if (tooSlow(point)) return { step, status: 'again', later: true, anew: true, point, entry }
  if (point.verdict === 'outside' && isRepaired(bench, point))
    return { step, status: 'again', anew: true, point, entry }
  if (wantsLength(point)) return { step, status: 'again', later: true, length: true, point, entry }
  if (wantsOhms(point)) return { step, status: 'again', point, entry }
  const provesNothing = finding.open.some((one) => one.entry === entry && one.why === 'none')
  if (point.reason === 'conditions-not-met') return { step, status: 'done', anew: true, point, entry }
  if (!provesNothing || point.reason === undefined) return { step, status: 'done', point, entry }
  if (notThereYet.has(point.reason)) return { step, status: 'again', point, entry }
  return point.reason === 'range-too-low'
    ? { step, status: 'again', later: true, point, entry }
    : { step, status: 'done', point, entry }
}

/** Whether a reading was taken at a step's place. */
function isAt(point: StepPoint, check: PreparedCheck, evaluation: Evaluation): boolean {
  const { index, x, conditions } = evaluation.entry.reading
  if (point.index !== undefined && index !== point.index) return false
  if (point.x !== undefined && x !== point.x) return false
  if (point.drive !== undefined) {
    const drive = (conditions?.drive === undefined ? check.conditions?.drive : conditions.drive) ?? null
    if (drive?.plus !== point.drive?.plus) return false
  }
  const { pair } = point
  return pair === undefined || answersFor({ pair, covers: point.covers }, check, evaluation)
}
