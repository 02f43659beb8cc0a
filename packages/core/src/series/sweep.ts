import { above } from '../conformance'

export interface SweepSample {
  x: number
  ohms: number | 'Infinity'
}

/**
 * A sender swept from end to end: where it drops out, and whether it only rises or only falls (METHODS 8).
 * @param input samples in the order taken, ohms; a step against the overall direction of more than dropOhms drops out
 * @returns indices of drop-outs (an open sample, or the later of two finite neighbours); `monotonic` over the finite samples,
 * equal neighbours keep it, null for fewer than two
 * @example
 * sweep({ samples: [{ x: 0, ohms: 10 }, { x: 1, ohms: 'Infinity' }, { x: 2, ohms: 30 }], dropOhms: 2 })
 * // { dropouts: [ 1 ], monotonic: true }
 */
export function sweep(input: { samples: SweepSample[]; dropOhms: number }): {
  dropouts: number[]
  monotonic: boolean | null
} {
  const { samples, dropOhms } = input
  const ohms = samples.map((one) => Number(one.ohms))
  const dropouts: number[] = []
  let [first, last, rises, falls, count] = [NaN, NaN, false, false, 0]
  for (const one of ohms) {
    if (!Number.isFinite(one)) continue
    if (count === 0) first = one
    else if (one > last) rises = true
    else if (one < last) falls = true
    last = one
    count++
  }
  const direction = count < 2 ? 0 : Math.sign(last - first)
  for (let i = 0; i < ohms.length; i++) {
    const here = ohms[i] ?? Infinity
    const before = ohms[i - 1] ?? Infinity
    const against = direction !== 0 && Number.isFinite(before) && above((before - here) * direction, dropOhms)
    if (!Number.isFinite(here) || against) dropouts.push(i)
  }
  return { dropouts, monotonic: count < 2 ? null : !(rises && falls) }
}
