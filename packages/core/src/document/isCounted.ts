import type { Card } from './card'

/**
 * Whether the points of a card are the marks that are counted on a part nobody named them on.
 * @example
 * isCounted({ plugs: [] }) // false
 */
export const isCounted = ({ plugs }: Pick<Card, 'plugs'>): boolean =>
  plugs.some(({ cavities }) => cavities.some(({ mark, terminal }) => mark !== undefined && mark === terminal))
