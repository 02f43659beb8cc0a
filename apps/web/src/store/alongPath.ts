import type { Step, StepState } from '@sure-spool/core'

/** The check that a step belongs to; a step of none is a test by itself. */
const testOf = (step: Step): string => ('check' in step && step.check !== undefined ? step.check : step.id)

/**
 * The step one further along the path, either way; at an end the end itself. Test by test it is what is open first in the next test, so that
 * nobody walks through twenty bars to the next thing.
 * @returns undefined only for a path without steps
 */
export function alongPath(steps: StepState[], from: string, by: 1 | -1, byTest = false): string | undefined {
  const at = steps.findIndex(({ step }) => step.id === from)
  const stay = steps[Math.max(0, at)]?.step
  if (!byTest || !stay) return steps[Math.min(steps.length - 1, Math.max(0, at + by))]?.step.id
  const onward = by === 1 ? steps.slice(at + 1) : steps.slice(0, Math.max(0, at)).reverse()
  const next = onward.find(({ step }) => testOf(step) !== testOf(stay))?.step
  if (!next) return stay.id
  const test = steps.filter(({ step }) => testOf(step) === testOf(next))
  return (test.find(({ status }) => status === 'to-do') ?? test[0])?.step.id
}
