import { quantityOf, type AskedKind, type PreparedCard, type StepState } from '@sure-spool/core'

/**
 * The step at which two points are read, one that is open first.
 * @param kind what is to be read there
 * @param isSaid whether that was said; else anything that is asked there will do
 */
export function stepBetween(
  steps: StepState[],
  prepared: PreparedCard,
  [a, b]: [string, string],
  kind: AskedKind,
  isSaid: boolean,
): string | undefined {
  const there = steps.filter(
    ({ step }) => step.kind === 'reading' && step.point.pair?.includes(a) === true && step.point.pair.includes(b),
  )
  const alike = there.filter(({ step }) => {
    const check = step.kind === 'reading' ? prepared.checks.get(step.check) : undefined
    const volts = check?.kind === 'ac-output' || check?.kind === 'dc-output'
    return check && (volts ? check.kind === kind : quantityOf(check) === quantityOf({ kind }))
  })
  const wanted = alike.length > 0 || isSaid ? alike : there
  return (wanted.find(({ status }) => status === 'to-do') ?? wanted[0])?.step.id
}
