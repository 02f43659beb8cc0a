import type { Forecast } from '@sure-spool/core'
import type { Figures } from './figures'

/**
 * What the display should show before it is touched, and what says so.
 * @param resolution what the last digit of the meter's display stands for there
 */
export function forecastWords(told: Forecast, figures: Figures, resolution?: number): string {
  if (told.open)
    return told.parallel === undefined
      ? 'Expect over range: it leads through what reads open.'
      : `Expect ${figures.bound(told.value ?? 0)}: what stands in parallel alone, since it leads through what reads open.`
  const figure = (value = 0) => {
    const shown = resolution === undefined ? value : Math.round(value / resolution) * resolution
    return figures.figure(shown, told.quantity, resolution)
  }
  const beside = told.parallel === undefined ? '' : `, ${figures.bound(told.parallel)} in parallel with it`
  const leads = `${beside}${told.leads === undefined ? '' : `, the leads’ ${figures.bound(told.leads)} in it`}`
  const expected = figure(told.value)
  switch (told.from) {
    case 'own':
      if (told.partC !== undefined)
        return `At ${figures.temperature(told.partC)} expect ${expected}: it read ${figures.bound(Number((told.bare ?? 0).toPrecision(3)))} before${leads}.`
      return `Expect ${expected}: it read ${figures.bound(Number((told.bare ?? 0).toPrecision(3)))} bare${leads}.`
    case 'parts':
      return `Expect ${expected}: its windings read so much together${leads}.`
    case 'whole':
      return `Expect ${expected}: the whole less its other parts${leads}.`
    case 'card': {
      const at = figures.temperature(told.partC ?? 20)
      return `At ${at} expect ${expected}, ${figure(told.low)} to ${figure(told.high)}${leads}${told.guessed ? ', by a guess' : ''}.`
    }
    case 'speed':
      return `Expect ${expected} at ${figures.plain(told.rpm ?? 0)}\u2009rpm, if it rises with the speed.`
    case 'volts': {
      const lamp =
        told.lampShare === undefined
          ? ''
          : ` The lamp has ${figures.plain(100 * told.lampShare, 2)}\u2009% of its power: ${brightness(told.lampShare)}.${coilWords(told, figures)}`
      const sum = `${figures.bound(told.volts ?? 0, 'voltage')} over ${figures.bound(told.ohms ?? 0)}`
      return `Expect ${expected}: ${sum}${told.lampShare === undefined ? '' : ' and the lamp'}.${lamp}`
    }
  }
}

/** By its share of its power: as good as dark under a fiftieth, near its full light from three fifths. */
const brightness = (share: number): string => (share < 0.02 ? 'dark' : share < 0.6 ? 'dim' : 'bright')

/** A soft pull through a lamp proves nothing (SENSE, click-only). */
const coilWords = ({ coilVolts, volts }: Forecast, figures: Figures): string =>
  coilVolts === undefined || volts === undefined
    ? ''
    : ` The coil keeps ${figures.bound(Number(coilVolts.toFixed(1)), 'voltage')} of ${figures.bound(volts, 'voltage')}: a soft pull proves nothing.`
