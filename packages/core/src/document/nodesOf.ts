import type { Card } from './card'

/**
 * Every electrical point of a card, the frame among them, each once: the frame first, then the terminals in the card's order.
 * A card without a `frame` terminal has the node all the same, since a winding may end there.
 * @example
 * nodesOf(relayCard()) // [ 'frame', '30', '85', '86', '87', '87a' ]
 */
export const nodesOf = ({ terminals }: Pick<Card, 'terminals'>): string[] => [
  ...new Set(['frame', ...terminals.map((terminal) => terminal.id)]),
]
