/** A sentence's first letter, large. */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** Names as a sentence lists them: `a, b and c`. */
export const inWords = (names: string[]): string =>
  names.length > 2 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}` : names.join(' and ')
