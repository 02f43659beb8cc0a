import type { Quantity } from '../document'
import { parseReading } from './parseReading'

/** The units a shop writes and types in. Inside, and in every file, it is °C and metres. */
export interface ShownUnits {
  temperature: '°C' | '°F'
  length: 'm' | 'in'
}

/** What a shop writes that has said nothing. */
export const plainUnits: ShownUnits = { temperature: '°C', length: 'm' }

const metresOfAnInch = 0.0254

/**
 * A value in SI (°C, metres) as the shop's unit counts it.
 * @returns the value unchanged where the quantity has one unit only, or the shop's unit is the SI one
 * @example
 * shownValue(20, 'temperature', { temperature: '°F', length: 'm' }) // 68
 */
export function shownValue(value: number, quantity: Quantity, units: ShownUnits): number {
  if (quantity === 'temperature' && units.temperature === '°F') return value * 1.8 + 32
  return quantity === 'length' && units.length === 'in' ? value / metresOfAnInch : value
}

/**
 * What one step of an SI value is worth in the shop's unit: a difference has no offset.
 * @example
 * shownStep(1, 'temperature', { temperature: '°F', length: 'm' }) // 1.8
 */
export const shownStep = (step: number, quantity: Quantity, units: ShownUnits): number =>
  shownValue(step, quantity, units) - shownValue(0, quantity, units)

/**
 * A typed text with the shop's unit written behind it, so that the record can be read without knowing the shop: `104` becomes
 * `104 °F`. A text that has a unit already, is no figure, or is of another quantity stays as it was typed.
 * @example
 * withUnit('16', 'length', { temperature: '°C', length: 'in' }, false) // '16 in'
 */
export function withUnit(text: string, quantity: Quantity, units: ShownUnits, decimalComma: boolean): string {
  const unit = quantity === 'temperature' ? units.temperature : quantity === 'length' ? units.length : undefined
  if (unit === undefined || unit === plainUnits[quantity as keyof ShownUnits]) return text
  const parsed = parseReading({ text, quantity, decimalComma })
  return parsed.unitGiven || (parsed.kind !== 'value' && parsed.kind !== 'spread') ? text : `${text.trim()} ${unit}`
}
