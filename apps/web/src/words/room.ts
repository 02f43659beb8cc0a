import type { CoilPlan } from '@sure-spool/core'
import type { Figures } from './figures'

/** The room a coil was planned into, as another person needs it to wind the same: `flat core 46 × 9 mm, traverse 9 mm, packing 0.7`. */
export function roomWords(
  { shape, traverseMm, windowMm, packing, meanTurnMm, ohmsPerTurn }: CoilPlan,
  figures: Figures,
): string {
  const size = (...sides: number[]) => `${sides.map((one) => figures.plain(one, 4)).join(' × ')}\u2009mm`
  const core =
    shape?.kind === 'round'
      ? `round core ${size(shape.coreMm)}`
      : shape?.kind === 'racetrack'
        ? `flat core with round ends ${size(shape.coreLengthMm, shape.coreWidthMm)}`
        : shape
          ? `square core ${size(shape.a, shape.b)}`
          : ''
  return [
    core,
    traverseMm === undefined ? '' : `traverse ${size(traverseMm)}`,
    windowMm === undefined ? '' : `window ${size(windowMm)} high`,
    packing === undefined ? '' : `packing ${figures.plain(packing, 3)}`,
    meanTurnMm === undefined ? '' : `mean turn ${size(meanTurnMm)}`,
    ohmsPerTurn === undefined ? '' : `${figures.bound(1000 * ohmsPerTurn)} a thousand turns, a rule of thumb`,
  ]
    .filter((one) => one !== '')
    .join(', ')
}
