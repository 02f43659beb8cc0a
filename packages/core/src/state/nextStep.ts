import { isAsked } from '../asked'
import type { Place } from '../document'
import { waits, type PreparedCard, type Tape } from '../judgement'
import type { Step } from '../plan'
import type { StepState } from './stepState'

/** Where the bench stands, and what lies open behind the hand, said where a set-up ends. */
export interface NextStep {
  step: string
  leftOut: string[]
}

/**
 * The step after the hand: what was read last says where the hand is, on this screen or another. Next is the first open step after it in
 * the same set-up, then one that was left out of it or proved nothing on the range it was read on, then what belongs to the place where the
 * part is, then the next set-up, and only at the end the first that was left out before. What belongs to the other place waits. A reading
 * that is taken again, what makes ready (a zero, a temperature, the volts), and what was asked besides leave the bench where it was.
 * @param states in the plan's order, the finding last
 * @example
 * nextStep(scenes.low().state.steps, scenes.low().prepared, scenes.low().bench.tape).step
 * // 'high'
 */
export function nextStep(states: StepState[], prepared: PreparedCard, tape: Tape): NextStep {
  const end = states.at(-1)?.step.id ?? 'finding'
  const open = (some: StepState[]) =>
    some.find(
      (one) => (one.status === 'to-do' || one.status === 'again') && !one.length && !stepWaits(one.step, prepared),
    )
  const ofPlace = (one: StepState) => whereOf(one.step, prepared) === prepared.place
  const hand = handAt(states, tape)
  const at = states[hand]
  if (!at) return { step: (open(states.filter(ofPlace)) ?? open(states))?.step.id ?? end, leftOut: [] }
  const setUp = setUpOf(at.step, prepared)
  const same = (one: StepState) => setUpOf(one.step, prepared) === setUp
  const onward = states.slice(hand)
  const here = open(onward.filter((one) => same(one) && !(one === at && one.later)))
  if (here) return { step: here.step.id, leftOut: [] }
  const next =
    open(states.filter(same)) ??
    open(onward.filter(ofPlace)) ??
    open(states.filter(ofPlace)) ??
    open(onward.slice(0, -1)) ??
    // lengths come when all was read: ohms and bending need not wait for them
    states.find((one) => one.length) ??
    open(states)
  const leftOut = states.slice(0, hand).filter((one) => one.status === 'to-do' && !stepWaits(one.step, prepared))
  return { step: next?.step.id ?? end, leftOut: leftOut.map((one) => one.step.id) }
}

/** The place that a step's check belongs to, if it belongs to one. */
const whereOf = (step: Step, { checks }: PreparedCard): Place | undefined =>
  checks.get(('check' in step && step.check) || '')?.where

/**
 * Whether a step waits until the part is at its other place.
 * @example
 * stepWaits(scenes.low().state.steps[0].step, scenes.low().prepared) // false
 */
export const stepWaits = (step: Step, prepared: PreparedCard): boolean =>
  waits(prepared, { where: whereOf(step, prepared) })

/** The step of what was read, answered or skipped last, by when it was first: its place in the plan; -1 where nothing was. */
function handAt(states: StepState[], tape: Tape): number {
  const firstOf = (id: string): number => {
    const entry = tape.entries.findLast((one) => one.id === id)
    if (entry?.kind === 'reading' && entry.reading.supersedes !== undefined) return firstOf(entry.reading.supersedes)
    return entry?.n ?? 0
  }
  let [hand, latest] = [-1, -1]
  for (const [i, { step, entry }] of states.entries()) {
    if (entry === undefined || !movesTheHand(step)) continue
    const n = firstOf(entry)
    if (n >= latest) [hand, latest] = [i, n]
  }
  return hand
}

/** What makes ready leaves the hand; both tips on bare frame are the first of the tests to it. */
const movesTheHand = (step: Step): boolean =>
  step.kind === 'frame-proof' || ((step.kind === 'reading' || step.kind === 'answer') && !isAsked(step.check))

/** What one way of holding the part serves: windings, ground, or what is driven or run alike; coil by coil, all of one coil. */
function setUpOf(step: Step, { checks }: PreparedCard): string {
  if (step.coil !== undefined) return `coil ${step.coil}`
  if (step.group !== 'act' || !('check' in step) || step.check === undefined) return step.group
  return `act ${JSON.stringify(checks.get(step.check)?.conditions ?? {})}`
}
