import type { StepState } from '@sure-spool/core'

/**
 * The step at which the same two points are read with the coil driven the other way round.
 * @returns its id, or what keeps it from being gone to, in words
 */
export function turnedStep(steps: StepState[], now: StepState | undefined): { id: string } | { why: string } {
  const step = now?.step
  if (step?.kind !== 'reading' || !step.point.drive)
    return { why: 'Nothing is driven here: which way round the leads are does not matter.' }
  const { pair, drive } = step.point
  const other = steps.find(
    ({ step: one }) =>
      one.kind === 'reading' &&
      one.point.drive?.plus === drive.minus &&
      one.point.pair?.every((id) => pair?.includes(id)) === true,
  )
  return other ? { id: other.step.id } : { why: 'Driven one way only: the other is not asked, or would be a short.' }
}
