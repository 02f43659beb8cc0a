import type { FindingWord } from './finding'
import type { RunState } from './runState'

/** What was found of one item of a set: a lead, a bar. */
export interface ItemFinding {
  index: number
  finding: FindingWord
}

/**
 * One finding an item, for the checks that are read by index (CARD): a fault that stands makes it faulty, what is open leaves it undecided.
 * @returns in the order of their numbers; none where no check is read by index, and none of an item that nobody read
 * @example
 * itemFindings(scenes.sound().state) // []
 */
export function itemFindings({ checks, finding, evaluations }: RunState): ItemFinding[] {
  const indexOf = (entry: string | undefined) => evaluations.get(entry ?? '')?.entry.reading.index
  const faulty = new Set(finding.faults.flatMap(({ entry }) => indexOf(entry) ?? []))
  const open = new Set(finding.open.flatMap(({ entry }) => indexOf(entry) ?? []))
  const read = new Set(
    checks.flatMap(({ points }) => points.flatMap((one) => one.evaluation?.entry.reading.index ?? [])),
  )
  const missing = new Set(
    checks.flatMap(({ check, points }) =>
      check.required ? points.flatMap((one) => (one.evaluation ? [] : (one.index ?? []))) : [],
    ),
  )
  return [...read]
    .sort((a, b) => a - b)
    .map((index) => ({
      index,
      finding: faulty.has(index)
        ? 'fault-found'
        : open.has(index) || missing.has(index)
          ? 'undecided'
          : 'no-fault-found',
    }))
}
