import type { RewindRemark, RewindState, RewindStep } from './rewindStanding'

/**
 * The stop that holds a step until it is mended or answered (SENSE): a coil is not called wound while its ground beeps, while the machine's
 * direction is not settled or the poles cannot alternate; nothing is proved while any stop is open.
 * @returns the first of them; undefined where nothing holds the step
 * @example
 * holdingRemark({ remarks: [] }, { id: 'prove', phase: 'prove', status: 'to-do' }) // undefined
 */
export function holdingRemark(
  { remarks }: Pick<RewindState, 'remarks'>,
  { phase, coil }: RewindStep,
): RewindRemark | undefined {
  const stops = remarks.filter(({ severity, answered }) => severity === 'stop' && !answered)
  if (phase === 'prove') return stops[0]
  if (phase !== 'wind') return undefined
  return stops.find((one) => one.id !== 'laid-alike' && (one.coil === undefined || one.coil === coil))
}
