import { below } from '../conformance'

/**
 * Takes the test leads off a reading (METHODS 2).
 * @param input the reading and the leads, each with its standard uncertainty, in ohms
 * @returns net ohms, u by root sum of squares; `negative` when the result is below −2u: the zero is stale
 * @example
 * netOfLeads({ ohms: 0.83, leadOhms: 0.21, uOhms: 0.01, uLead: 0.006 }) // { ohms: 0.62, u: 0.011662, negative: false }
 */
export function netOfLeads(input: { ohms: number; leadOhms: number; uOhms: number; uLead: number }) {
  const ohms = input.ohms - input.leadOhms
  const u = Math.hypot(input.uOhms, input.uLead)
  return { ohms, u, negative: below(ohms, -2 * u) }
}
