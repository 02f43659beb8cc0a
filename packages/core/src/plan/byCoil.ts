import type { PreparedCard } from '../judgement'
import type { Step } from './step'

/** Test by test: all ohms, then all draws; coil by coil: ohms, draw and click of one, then the next; of a set lead by lead. */
export type WorkOrder = 'tests' | 'coils'

/** The winding that a step reads, and no other; of a set of leads the lead. */
function coilOf(step: Step, { checks }: PreparedCard): string | undefined {
  const check = 'check' in step && step.check !== undefined ? checks.get(step.check) : undefined
  if (check?.kind === 'per-length' && step.kind === 'reading' && step.point.index !== undefined)
    return `item ${step.point.index}`
  if (!check || check.toFrame || check.touches.size !== 1) return undefined
  return [...check.touches][0]
}

/**
 * Whether the two orders of a card differ: several windings, one of which wants more than one reading.
 * @example
 * worksByCoil(scenes.low().state.steps.map(({ step }) => step), scenes.low().prepared) // false
 */
export function worksByCoil(steps: Step[], prepared: PreparedCard): boolean {
  const coils = steps.flatMap((step) => coilOf(step, prepared) ?? [])
  const several = new Set(coils)
  return several.size > 1 && several.size < coils.length
}

/**
 * Steps in the order of the windings: where the first of a winding's stood, all of its own follow, and what must stand before them (the
 * supply) comes before the first that wants it.
 * @example
 * byCoil([], scenes.low().prepared) // []
 */
export function byCoil(steps: Step[], prepared: PreparedCard): Step[] {
  const ordered: Step[] = []
  const supply = steps.find(({ kind }) => kind === 'supply')
  const put = (step: Step, coil?: string) => {
    if (ordered.some(({ id }) => id === step.id)) return
    if (step.group === 'act' && supply && step !== supply) put(supply, coil)
    ordered.push(coil === undefined ? step : { ...step, coil })
  }
  for (const step of steps) {
    const coil = coilOf(step, prepared)
    if (coil === undefined) {
      put(step)
      continue
    }
    for (const one of steps) if (coilOf(one, prepared) === coil) put(one, coil)
  }
  return ordered
}
