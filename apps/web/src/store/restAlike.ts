import type { EntryBody, Evaluation, RunState, StepState } from '@sure-spool/core'
import { computed, type ComputedRef } from 'vue'
import { plain } from './plain'

interface Standing {
  state: () => RunState | undefined
  current: () => StepState | undefined
  lastReading: () => Evaluation | undefined
  add: (body: EntryBody) => void
}

/** What is no figure can be so for a whole set: no path, a beep. A figure is read. */
const isAlikeForAll = ({ entry: { reading } }: Evaluation): boolean =>
  reading.kind === 'over' || reading.kind === 'above' || reading.kind === 'below'

/** The rest of a check's points, where they are all as the one just read. */
export function restAlike({ state, current, lastReading, add }: Standing): {
  canRest: ComputedRef<boolean>
  restAlike: () => string
} {
  /** of the same test: its own points, or other groups to the frame under the same conditions; driven the same way, or as little */
  function isOfOneTest(one: string, other: string): boolean {
    const [a, b] = [one, other].map((id) => state()?.prepared.checks.get(id))
    const alike = (check: typeof a) => JSON.stringify([check?.kind, check?.conditions, check?.toFrame, check?.where])
    return one === other || (a?.toFrame === true && alike(a) === alike(b))
  }
  const left = () => {
    const step = current()?.step
    if (step?.kind !== 'reading') return []
    const drive = JSON.stringify(step.point.drive)
    return (state()?.steps ?? []).flatMap(({ step: one, status }) =>
      one.kind === 'reading' &&
      isOfOneTest(one.check, step.check) &&
      status === 'to-do' &&
      JSON.stringify(one.point.drive) === drive
        ? [one]
        : [],
    )
  }
  const last = () => {
    const step = current()?.step
    const one = lastReading()
    return one && step?.kind === 'reading' && isOfOneTest(one.check.id, step.check) && isAlikeForAll(one)
      ? one
      : undefined
  }
  const canRest = computed(() => last() !== undefined && left().length > 0)

  /** Enters what was read last for every point of its check that was not read. @returns what was done, in words */
  function forAll(): string {
    const one = last()
    if (!one) return 'Only what is no figure can be the same for all the rest: read one of them first.'
    const steps = left()
    // its place, its length and where it was bent are its own
    const { taken, instrument, leads, contact, text, decimalComma, kind, value, range, method, conditions } =
      one.entry.reading
    const alike = plain({
      taken,
      instrument,
      leads,
      contact,
      text,
      decimalComma,
      kind,
      value,
      range,
      method,
      conditions,
    })
    for (const {
      check,
      point: { pair, index },
    } of steps)
      add({
        kind: 'reading',
        check,
        reading: { ...alike, ...(pair ? { pair } : {}), ...(index === undefined ? {} : { index }) },
      })
    return steps.length === 1 ? 'One more like it.' : `${steps.length} more like it.`
  }
  return { canRest, restAlike: forAll }
}
