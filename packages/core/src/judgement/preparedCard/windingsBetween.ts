import { nodesOf, type Card, type Conditions } from '../../document'
import { solveNetwork, type Resistor } from '../../network'

/**
 * Windings that carry current between two points; figures chosen so that no bridge balances by chance.
 * @example
 * windingsBetween(twinCard(), ['G', 'T']) // [ 'low', 'high' ]
 */
export function windingsBetween(card: Card, [a, b]: [string, string], conditions?: Conditions): string[] {
  const unequal = card.windings.map((winding, i) => ({ ...winding, ohms: 1 + 0.137 * i }))
  const { shares } = solveNetwork({
    nodes: nodesOf(card),
    windings: [...unequal, ...joinedBy(conditions)],
    a,
    b,
  })
  return card.windings.filter((winding) => Math.abs(shares.get(winding.id) ?? 0) > 1e-9).map((winding) => winding.id)
}

/**
 * What a check's conditions join, as wires without resistance.
 * @example
 * joinedBy({ joined: [['1', '2']] }) // [ { id: 'joined-0', from: '1', to: '2', ohms: 0 } ]
 */
export const joinedBy = (conditions?: Conditions): Resistor[] =>
  (conditions?.joined ?? []).map(([from, to], i) => ({ id: `joined-${i}`, from, to, ohms: 0 }))
