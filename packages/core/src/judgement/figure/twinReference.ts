import type { Comparison, Run } from '../../document'
import type { Figure } from '../../relations'
import { beta, isMetal } from '../../temperature'
import type { Evaluation } from './evaluation'
import { unzeroedU } from './leads'

/** A twin read on another day is compared at this temperature, °C. */
const twinReferenceC = 20

/**
 * A reading net of leads, a metal one at 20 °C, with the u of its temperature, as it is compared with a twin's.
 * @example
 * atTwinReference(scenes.sound().of('low')).value // 322
 */
export function atTwinReference({ net = 0, netU: own = 0, leads, temperature, check }: Evaluation): Figure {
  const { material } = check
  const netU = Math.hypot(own, unzeroedU(leads))
  if (material === undefined || !isMetal(material) || temperature?.partC === undefined) return { value: net, u: netU }
  const scale = (beta[material] + twinReferenceC) / (beta[material] + temperature.partC)
  const fromPart = (net * scale * temperature.u) / (beta[material] + temperature.partC)
  return { value: net * scale, u: Math.hypot(netU * scale, fromPart) }
}

/**
 * What a reference reads for a check: of several that have it the one taken last, since each may have been read for one check alone.
 * @param as which references are asked
 * @returns net of leads, metal at 20 °C; undefined where none has it
 * @example
 * figureBeside(scenes.sound().run, 'low', ['twin']) // undefined
 */
export const figureBeside = ({ compare = [] }: Run, check: string, as: Comparison['as'][]): Figure | undefined =>
  compare
    .filter((one) => as.includes(one.as))
    .flatMap(({ figures }) => figures)
    .findLast((figure) => figure.check === check)
