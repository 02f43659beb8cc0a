/** Half a sign, and signs that are none: no person writes them, and a database keeps them otherwise than they were sent. */
const unkept = /(?![\t\n\r])[\p{Surrogate}\p{Control}]/u
const unkeptAll = new RegExp(unkept, 'gu')

/**
 * Where in a body a text stands that cannot be kept as it is: half a sign (a lone surrogate) or a control other than tab and line end.
 * @returns its path, as `entries[0].words`; null where every text can be kept
 * @example
 * unkeptText({ words: 'ok', more: ['a\u0000'] }) // 'more[0]'
 */
export function unkeptText(value: unknown, path = ''): string | null {
  if (typeof value === 'string') return unkept.test(value) ? path || '(body)' : null
  if (typeof value !== 'object' || value === null) return null
  for (const [key, one] of Object.entries(value)) {
    const at = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`
    const found = unkept.test(key) ? at : unkeptText(one, at)
    if (found !== null) return found
  }
  return null
}

/**
 * The text without what cannot be kept: what a paste carried along goes, all that a person sees stays.
 * @example
 * keptAs('smells\u0007 burnt') // 'smells burnt'
 */
export const keptAs = (text: string): string => text.replace(unkeptAll, '')
