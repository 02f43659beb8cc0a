import { beta, isMetal } from '../../temperature'
import type { Evaluation } from './evaluation'

/**
 * What a reading of a metal winding is to be multiplied by to stand beside another, read of a part that was warmer or cooler.
 * Its metal's own law, (β + to)/(β + from), temperatures in °C (METHODS 3).
 * @returns 1 where both were read at one temperature, where one is not known, and for what follows no metal's law
 * @example
 * temperatureFactor(scenes.sound().of('low'), scenes.sound().of('high')) // 1
 */
export function temperatureFactor(
  one: Pick<Evaluation, 'check' | 'temperature'>,
  other: Pick<Evaluation, 'temperature'> | undefined,
): number {
  const { material } = one.check
  const [from, to] = [one.temperature?.partC, other?.temperature?.partC]
  if (material === undefined || !isMetal(material) || from === undefined || to === undefined) return 1
  return (beta[material] + to) / (beta[material] + from)
}
