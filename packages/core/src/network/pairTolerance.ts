import { solveNetwork, type NetworkInput, type Resistor } from './pairResistance'

/**
 * The resistance of a pair with its standard uncertainty from the windings' tolerances, first order (METHODS 9; GUM 5.1.2):
 * dR/dRᵢ is the square of the winding's share of the current. For diagnosis, not for limits.
 * @param input as for pairResistance, each winding with its tolerance in percent of its ohms (rectangular)
 * @returns ohms; "Infinity" with u null where nothing joins the pair
 * @example
 * pairTolerance({ nodes: ['a', 'b'], windings: [{ id: '1', from: 'a', to: 'b', ohms: 318, tolerancePct: 10 }], a: 'a', b: 'b' })
 * // { ohms: 318, u: 18.36 }
 */
export function pairTolerance(
  input: Omit<NetworkInput, 'windings'> & { windings: (Resistor & { tolerancePct: number })[] },
): { ohms: number | 'Infinity'; u: number | null } {
  const { ohms, shares } = solveNetwork(input)
  if (!Number.isFinite(ohms)) return { ohms: 'Infinity', u: null }
  const terms = input.windings.map((winding) => {
    const own = (Number(winding.ohms) * winding.tolerancePct) / 100 / Math.sqrt(3)
    const share = shares.get(winding.id)
    return share === undefined ? 0 : share ** 2 * own
  })
  return { ohms, u: Math.hypot(...terms) }
}
