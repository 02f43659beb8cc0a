/**
 * The key of a pair whichever way round it was touched.
 * @param pair two terminal ids
 * @example
 * pairKey(['G', 'O']) // 'G~O'
 */
export const pairKey = ([a, b]: readonly [string, string]): string => (a <= b ? `${a}~${b}` : `${b}~${a}`)
