import type { Evaluation } from './evaluation'

/**
 * Of readings of one point by different instruments the one that is judged: a figure before an over-range, of figures the one with the
 * smallest uncertainty, of over-ranges the one with the highest bound, of equals the later (METHODS 11.18).
 * @param by the last reading of each instrument, in tape order
 * @returns undefined where there is none
 * @example
 * surestOf(scenes.retaken().all.filter(({ check }) => check.id === 'high'))?.taken // 36.5
 */
export function surestOf(by: Evaluation[]): Evaluation | undefined {
  const [first, ...others] = by
  return others.reduce((best, one) => (best === undefined || isAsSure(one, best) ? one : best), first)
}

function isAsSure(one: Evaluation, other: Evaluation): boolean {
  const figures = [one, other].map(({ net }) => net !== undefined)
  if (figures[0] !== figures[1]) return figures[0] ?? false
  return figures[0] ? (one.netU ?? 0) <= (other.netU ?? 0) : (one.bound ?? 0) >= (other.bound ?? 0)
}
