/**
 * A short id that nothing in a list has and nothing behind its last one had: `t8` behind `t1 … t7`, so that an id taken off a card
 * is not given again (CARD, Identity).
 * @param letter what the list's ids begin with
 * @example
 * freeId('k', [{ id: 'k1' }, { id: 'k3' }]) // 'k4'
 */
export function freeId(letter: string, list: { id: string }[]): string {
  const numbers = list.map(({ id }) => Number(/^[a-z](\d+)$/.exec(id)?.[1] ?? 0))
  return `${letter}${Math.max(0, list.length, ...numbers) + 1}`
}
