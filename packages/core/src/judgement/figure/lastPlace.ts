import type { Evaluation } from './evaluation'

/**
 * What the last digit of a reading stands for: the display's, or the place to which the person rounded where that is coarser.
 * @returns in the reading's SI unit; 0 where neither is known
 * @example
 * lastPlace({ resolution: 0.1, rounding: 1 }) // 1
 */
export const lastPlace = ({ resolution = 0, rounding = 0 }: Pick<Evaluation, 'resolution' | 'rounding'>): number =>
  Math.max(resolution, rounding)
