/** What a display may show in front of the ohm sign. */
export type OhmPrefix = '' | 'k' | 'M' | 'G'

const volts = /^[\d.,]+\s*[kK]?V$/
const dropped = /^(.*?\d.*?)(\s*(?:\.\.|to|-)\s*(?:o\.?l|0\.l|\.ol|ofl|open|inf|∞))$/is
const lowEnd = /^([~+-]?[\d.,]*\d)\s*[kKmMG]?\s*Ω?(\s*(?:\.\.|to|-))/i
const figure = /([\d.,]+(?:[eE][+-]?\d+)?)\s*(?:[kKmMG]|[Ωhomsµu]*)*$/

/**
 * The ohms of a typed text said again with one prefix and the sign written out, which leaves nothing to ask; test volts beside them stay.
 * @param text as typed for ohms or insulation: `3.4`, `640k 248V`, `2.1..OL`, `21.5-22.5`
 * @example
 * inOhms('640k 248V', 'k') // '640 kΩ 248V'
 */
export function inOhms(text: string, prefix: OhmPrefix): string {
  const fields = /^(.*?)(\s*@\s*|\s+)([\d.,]+\s*[kK]?V)$/s.exec(text.trim())
  if (fields) return `${inOhms(fields[1] ?? '', prefix)}${fields[2] ?? ''}${fields[3] ?? ''}`
  const [first = '', ...rest] = text.trim().split(/(\s*@\s*|\s+)/)
  if (volts.test(first) && rest.length > 1) return `${first}${rest[0] ?? ''}${inOhms(rest.slice(1).join(''), prefix)}`
  const [, steady = text.trim(), drop = ''] = dropped.exec(text.trim()) ?? []
  return `${steady.replace(lowEnd, '$1$2').replace(figure, `$1 ${prefix}Ω`)}${drop}`
}
