import { readField, scaleField } from './readField'

/** Both figures of a reading of ohms by volts and amperes, SI; `step` is what the last digit of each stands for. */
export interface VoltsOverAmps {
  volts: number
  voltsStep: number
  amps: number
  ampsStep: number
}

const figure = (unit: string) => String.raw`([\d.,]+\s*[kKmµ]?${unit})`
const between = String.raw`\s*(?:\/|,\s|;|\s)\s*`
const voltsFirst = new RegExp(`^${figure('V')}${between}${figure('A')}$`)
const ampsFirst = new RegExp(`^${figure('A')}${between}${figure('V')}$`)

/**
 * Reads ohms that were measured as volts over amperes: `0.744 V / 1.00 A`, in either order, each with its unit.
 * @returns undefined where the text is not two such figures, or where no amperes flowed
 * @example
 * voltsOverAmps('1.00 A, 0.744 V', false)?.volts // 0.744
 */
export function voltsOverAmps(text: string, decimalComma: boolean): VoltsOverAmps | undefined {
  const plain = text.trim()
  const first = voltsFirst.exec(plain)
  const last = ampsFirst.exec(plain)
  const [voltsText, ampsText] = first ? [first[1], first[2]] : [last?.[2], last?.[1]]
  if (voltsText === undefined || ampsText === undefined) return undefined
  const volts = readField(voltsText, 'voltage', decimalComma)
  const amps = readField(ampsText, 'current', decimalComma)
  if (typeof volts === 'string' || typeof amps === 'string') return undefined
  const [v, a] = [scaleField(volts, 'voltage'), scaleField(amps, 'current')]
  if (!(Number.isFinite(v.value) && a.value > 0 && Number.isFinite(v.value / a.value))) return undefined
  return { volts: v.value, voltsStep: v.step, amps: a.value, ampsStep: a.step }
}
