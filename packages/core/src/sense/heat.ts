import { onceFor } from '../document'
import type { Evaluation } from '../judgement'
import type { Drive } from '../function'
import type { Moment } from './rule'

const warmWorks = new Set(['solder', 'unsolder', 'reflow', 'splice', 'fix', 'run', 'on'])
const coolingMs = 20 * 60_000

/** What a part has after soldering or wax: above the room, and below what its film bears, °C. */
export const leastWarmth = 3
export const mostWarmth = 130
export const roomC = 20

/**
 * How a reading's coil was driven: as it was said with it, else as its check asks; null at rest.
 * @example
 * driveOf(scenes.sound().of('low')) // null
 */
export const driveOf = ({ entry, check }: Evaluation): Drive | null => {
  const read = entry.reading.conditions?.drive
  return (read === undefined ? check.conditions?.drive : read) ?? null
}
const drivenKinds = new Set(['current', 'lamp'])
/**
 * Whether a reading was taken while its coil was driven.
 * @example
 * isDriven(scenes.sound().of('low')) // false
 */
export const isDriven = onceFor((one: Evaluation): boolean => driveOf(one) !== null || drivenKinds.has(one.check.kind))

/**
 * The work or the drive that could still be felt in a reading: the last one within twenty minutes before it.
 * @example
 * heatingBefore({ bench: scenes.sound().bench, evaluation: scenes.sound().of('low'), earlier: [] }) // undefined
 */
export function heatingBefore({
  bench,
  evaluation: { entry },
  earlier,
}: Pick<Moment, 'bench' | 'evaluation' | 'earlier'>): { id: string; at: string } | undefined {
  const now = Date.parse(entry.at)
  const recent = ({ at, n }: { at: string; n: number }) => n < entry.n && now - Date.parse(at) <= coolingMs
  const worked = bench.tape.works.findLast((one) => warmWorks.has(one.what) && recent(one))
  return worked ?? earlier.findLast((one) => isDriven(one) && recent(one.entry))?.entry
}
