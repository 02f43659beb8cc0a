import { atMost } from '../conformance'

export interface Figure {
  value: number
  u: number
}
export interface SumResult {
  residual: number
  u: number
  allowed: number
  consistent: boolean
  impliedPart: number[]
  impliedWhole: number
}

/**
 * Whether windings in series add up to what both together read (METHODS 5).
 * @param input parts and whole in ohms at one temperature; `sharedOhms` stands in every reading, `uLead` is a zero's
 * uncertainty common to all of them and then left out of each u
 * @returns residual = Σparts − whole − sharedOhms·(n−1); `allowed` is 2u + 1 % of the whole
 * @example
 * sumCheck({ parts: [{ value: 322, u: 1 }, { value: 36.5, u: 0.2 }], whole: { value: 358.4, u: 1 } }).residual // 0.1
 */
export function sumCheck(input: { parts: Figure[]; whole: Figure; sharedOhms?: number; uLead?: number }): SumResult {
  const { parts, whole, sharedOhms = 0, uLead = 0 } = input
  const sum = parts.reduce((total, part) => total + part.value, 0)
  const surplus = sharedOhms * (parts.length - 1)
  const residual = sum - whole.value - surplus
  const u = Math.hypot(whole.u, (parts.length - 1) * uLead, ...parts.map((part) => part.u))
  const allowed = 2 * u + 0.01 * Math.abs(whole.value)
  return {
    residual,
    u,
    allowed,
    consistent: atMost(Math.abs(residual), allowed),
    impliedPart: parts.map((part) => whole.value + surplus - (sum - part.value)),
    impliedWhole: sum - surplus,
  }
}
