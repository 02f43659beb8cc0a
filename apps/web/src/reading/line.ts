/** The typed line: what a technician types from anywhere on the bench, before Enter keeps it. */
export interface Line {
  text: string
  /** the prefix that stands beside the figure until another is typed */
  prefix: string
  /** an over-range word written by `o`, whose remaining letters are swallowed */
  swallow: string
  /** the range written by `o`, which a typed one replaces */
  offered?: true
}

export const emptyLine: Line = { text: '', prefix: '', swallow: '' }

const prefixOrder = ['', 'k', 'M', 'G', 'm']
const opening = /^[\d.,\-<>~]$/

/** Whether a key opens the line while it is empty: a digit, a mark, a sign. Letters are commands then. */
export const opens = (key: string): boolean => opening.test(key)

/** Whether what was typed carries no prefix or unit of its own, so that the line's prefix belongs to it. */
export const isBare = (text: string): boolean => /^[~<>+-]*\s*[\d.,]+$/.test(text.trim())

/** Opens the line with the prefix the limit is spoken of in. */
export const openLine = (key: string, prefix: string): Line => ({ text: key, prefix, swallow: '' })

/** `OL`, with the range the bench asked for on a meter ranged by hand, for one look and one Enter. */
export const overLine = (range: string): Line => ({
  text: range === '' ? 'OL' : `OL ${range}`,
  prefix: '',
  swallow: 'lpen',
  ...(range === '' ? {} : { offered: true as const }),
})

/** What a key does to an open line: types, steps the prefix (`*`), or takes the last sign away. */
export function press(line: Line, key: string): Line {
  if (line.swallow !== '') {
    const at = line.swallow.indexOf(key.toLowerCase())
    if (at >= 0) return { ...line, swallow: line.swallow.slice(at + 1) }
    line = { ...line, swallow: '' }
  }
  if (line.offered && (key === 'Backspace' || opening.test(key))) {
    const { offered: _range, ...own } = line
    return { ...own, text: key === 'Backspace' ? 'OL ' : `OL ${key}` }
  }
  if (key === '*') return { ...line, prefix: followingPrefix(line.prefix) }
  if (key === 'Backspace') return { ...line, text: line.text.slice(0, -1) }
  return key.length === 1 && line.text.length < 200 ? { ...line, text: line.text + key } : line
}

function followingPrefix(prefix: string): string {
  return prefixOrder[(prefixOrder.indexOf(prefix) + 1) % prefixOrder.length] ?? ''
}

/** The text that is kept: what was shown, prefix and all; the prefix belongs to the figure, not to what stands behind its `@`. */
export function keptText({ text, prefix }: Line): string {
  const at = text.indexOf('@')
  const figure = at < 0 ? text : text.slice(0, at)
  if (!isBare(figure)) return text.trim()
  return at < 0 ? `${figure.trim()}${prefix}` : `${figure.trim()}${prefix} ${text.slice(at).trim()}`
}
