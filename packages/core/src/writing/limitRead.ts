import type { Card, Check, Limit, Source } from '../document'
import type { Evaluation } from '../judgement'
import type { RunState } from '../state'
import { beta } from '../temperature'
import { freeId } from './freeId'
import type { CardDefaults } from './template'

/**
 * The source that a limit has which one unit gave.
 * @param card whose sources it stands among
 * @example
 * sourceOfOne(scenes.sound().state.run.card, scenes.sound().state).grade // 'guess'
 */
export const sourceOfOne = (card: Pick<Card, 'sources'>, { run }: Pick<RunState, 'run'>): Source => ({
  id: freeId('s', card.sources),
  grade: 'guess',
  title: `measured here on one unit, ${run.unit.tag}`,
  date: run.startedAt.slice(0, 10),
  units: 1,
})

/**
 * The limit that one reading gives a check: its figure at the reference with the shop's tolerance; open, where it read open.
 * @returns none for another quantity than ohms, or a reading without a figure
 * @example
 * limitRead(scenes.sound().of('low'), scenes.sound().of('low').check, plainDefaults) // { kind: 'nominal', value: 322, minusPct: 10, plusPct: 10 }
 */
export function limitRead(evaluation: Evaluation | undefined, check: Check, defaults: CardDefaults): Limit | undefined {
  if (!evaluation || check.kind !== 'resistance') return undefined
  const { net, entry, temperature } = evaluation
  if (entry.reading.kind === 'over' || entry.reading.kind === 'above')
    return { kind: 'open', atLeast: defaults.openOhms }
  // nobody has said yet what a sketch is wound of: copper, as windings are
  const copper =
    check.limits.length === 0 && temperature?.partC !== undefined && evaluation.check.material === undefined
  const scale = copper ? (beta.copper + 20) / (beta.copper + (temperature.partC ?? 20)) : 1
  const value = evaluation.factor === undefined ? (net === undefined ? undefined : net * scale) : evaluation.judged
  if (value === undefined || value <= 0) return undefined
  if (value >= defaults.openOhms) return { kind: 'open', atLeast: defaults.openOhms }
  const { tolerancePct } = defaults
  return { kind: 'nominal', value: Number(value.toPrecision(4)), minusPct: tolerancePct, plusPct: tolerancePct }
}
