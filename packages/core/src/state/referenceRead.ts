import type { Comparison, Reading } from '../document'
import { atTwinReference } from '../judgement'
import { nextReading, type NextReading } from './nextReading'
import type { RunState } from './runState'

/**
 * A figure read on a neighbour with this run's meter and leads, which is as warm as the part here, as a reference for the same reading: net
 * of leads, metal at 20 °C, as METHODS 3 brings twins there.
 * @returns undefined where it is no figure, or the card has no such check
 * @example
 * referenceRead(scenes.low().state, { check: 'low', at: '2026-03-02T10:00:00.000Z', by: 'p', instrument: 'm2' }, scenes.low().of('low').entry.reading)
 *   ?.figures[0].value // 238
 */
export function referenceRead(state: RunState, question: NextReading, reading: Reading): Comparison | undefined {
  const evaluation = nextReading(state, question, reading)?.evaluation
  if (evaluation?.net === undefined || evaluation.bound !== undefined) return undefined
  const { pair, index } = question
  const place = { ...(pair ? { pair } : {}), ...(index === undefined ? {} : { index }) }
  return {
    as: 'neighbour',
    tag: 'neighbour',
    figures: [{ check: question.check, ...place, ...atTwinReference(evaluation) }],
  }
}
