import type { Card, Conditions } from '@sure-spool/core'
import type { Figures } from './figures'
import { terminalLabel } from './points'

/** What is on it: none, a thing by its name, or as it is written where that says it is on or off. */
export const loadWords = (load: string): string =>
  load === 'none' ? 'not loaded' : / (on|off)$/.test(load) ? load : `loaded with ${load}`

/**
 * What must be so while a check is read, a phrase each, in the order one sets it up: joined, driven, in series, supply, speed,
 * state. A figure without them does not count.
 */
export function conditionWords(card: Card, conditions: Conditions | undefined, figures: Figures): string[] {
  if (!conditions) return []
  const { joined, drive, seriesOhms, lamp, load, volts, testVolts, rpm, hertz, peak, state } = conditions
  const name = (id: string) => terminalLabel(card, id)
  const lampSize = [
    lamp?.volts === undefined ? '' : figures.bound(lamp.volts, 'voltage'),
    lamp?.watts === undefined ? '' : `${figures.plain(lamp.watts)}\u2009W`,
  ].filter((one) => one !== '')
  return [
    ...(joined ?? []).map(([a, b]) => `${name(a)} joined to ${name(b)}`),
    ...(drive === null ? ['nothing driven'] : []),
    ...(drive ? [`driven: plus at ${name(drive.plus)}, minus at ${name(drive.minus)}`] : []),
    ...(seriesOhms === undefined ? [] : [`${figures.bound(seriesOhms)} in series`]),
    ...(lamp ? [`a ${[...lampSize, 'lamp'].join(' ')} in series`] : []),
    ...(load === undefined ? [] : [loadWords(load)]),
    ...(volts === undefined ? [] : [`at ${figures.bound(volts, 'voltage')}`]),
    ...(testVolts === undefined ? [] : [`tested with ${figures.bound(testVolts, 'voltage')}`]),
    ...(rpm === undefined ? [] : [`at ${figures.plain(rpm)}\u2009rpm`]),
    ...(hertz === undefined ? [] : [`at ${figures.bound(hertz, 'frequency')}`]),
    ...(peak ? ['peak, with a peak adaptor'] : []),
    ...(state ?? []),
  ]
}
