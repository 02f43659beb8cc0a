import type { Remark } from './rule'

/**
 * Two gauges fit the micrometer: measure several strands side by side.
 * @example
 * gaugesTooNear({ candidates: [34, 35] })?.params.gauges // '34 35'
 */
export const gaugesTooNear = ({ candidates }: { candidates: number[] }): Remark | null =>
  candidates.length > 1 ? { id: 'gauges-too-near', severity: 'warn', params: { gauges: candidates.join(' ') } } : null

/**
 * Directions that alternate round a ring of an odd number of poles: the last clashes with the first.
 * @example
 * oddPoles({ poles: 7 })?.severity // 'stop'
 */
export const oddPoles = ({ poles }: { poles: number }): Remark | null =>
  poles > 1 && poles % 2 === 1 ? { id: 'odd-poles', severity: 'stop', params: { poles } } : null

/**
 * A winder whose direction was not settled against the original: the bobbin turns opposite to the lay it makes.
 * @example
 * winderDirection({ settled: false })?.id // 'winder-direction'
 */
export const winderDirection = ({ settled }: { settled: boolean }): Remark | null =>
  settled ? null : { id: 'winder-direction', severity: 'stop', params: {} }
