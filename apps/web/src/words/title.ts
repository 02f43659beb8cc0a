import { quantityOf, rangesFor, type Check, type Instrument, type Quantity, type StepPoint } from '@sure-spool/core'
import type { Figures } from './figures'

/** How a reading is taken again; empty where it is taken for the first time. */
export type Again = '' | 'touch' | 'clip' | 'retype'

const heads: Partial<Record<Quantity, string>> = {
  resistance: 'Ohms',
  insulation: 'Insulation',
  voltage: 'Volts',
  current: 'Amperes',
  inductance: 'Henries',
  capacitance: 'Farads',
  field: 'Field',
  gain: 'Gain',
  length: 'Length',
  temperature: 'Temperature',
  frequency: 'Frequency',
}

const againWords: Record<Again, string> = {
  '': '',
  touch: ' again',
  clip: ' again, clipped on',
  retype: ', typed again',
}

type Titled = Pick<Check, 'kind' | 'at' | 'conditions' | 'quantity'>

/** A step's quantity and how it is taken, before the points: `Ohms`, `Ohms, coil driven, plus on 3`, `Henries at 120 Hz`, `Volts AC at speed`, `Ohms again, clipped on`. */
export function titleLead(
  check: Titled,
  { drive }: Pick<StepPoint, 'drive'>,
  again: Again,
  figures: Figures,
  plusOn = '',
): string {
  const { rpm, hertz, state } = check.conditions ?? {}
  const quantity = quantityOf(check)
  const kinds: Partial<Record<Check['kind'], string>> = {
    continuity: 'Joined or not',
    'ac-output': 'Volts AC',
    'dc-output': 'Volts DC',
    response: 'Response',
  }
  return [
    kinds[check.kind] ?? (quantity && heads[quantity]) ?? 'Reading',
    hertz === undefined ? '' : ` at ${figures.bound(hertz, 'frequency')}`,
    rpm === undefined ? '' : ' at speed',
    drive === undefined ? '' : drive ? `, coil driven${plusOn === '' ? '' : `, plus on ${plusOn}`}` : ', coil at rest',
    state?.includes('flexed') ? ', lead bent' : '',
    againWords[again],
  ].join('')
}

/**
 * What reads it, and on which range: `Multimeter M2 on 600 Ω or auto`. A meter that has no function for it is not named.
 * @param rangeAsked the range the bench asks for, as `20 kΩ`; empty where there is none to ask for
 */
export function meterWords(
  check: Pick<Check, 'kind' | 'quantity'>,
  meter: Instrument | undefined,
  rangeAsked: string,
): string {
  if (!meter) return ''
  if (check.kind === 'ac-output') return `${meter.name} on AC volts`
  if (check.kind === 'dc-output') return `${meter.name} on DC volts`
  const quantity = quantityOf(check)
  if (meter.ranging !== 'hand') return rangeAsked === '' ? meter.name : `${meter.name} on ${rangeAsked} or auto`
  if (rangeAsked !== '') return `${meter.name} on ${rangeAsked}`
  const hasRanges = quantity !== undefined && rangesFor(meter, quantity).length > 0
  return hasRanges
    ? `${meter.name} on the lowest range that does not run over`
    : `${meter.name}, which states no range for it`
}
