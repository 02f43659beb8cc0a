/**
 * The key of a pair whichever way round it was touched.
 * @param pair two terminal ids
 */
export const pairKey = (pair: readonly [string, string]): string => [...pair].sort().join('~')
