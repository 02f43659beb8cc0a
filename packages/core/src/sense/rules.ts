import * as entry from './entryRules'
import * as reading from './readingRules'
import type { ReadingRule } from './rule'
import * as setUp from './setUpRules'

/** All rules on a reading, in the order in which stops are shown (SENSE). */
export const readingRules: ReadingRule[] = [
  entry.overOnLowRange,
  entry.nearFullScale,
  entry.meterCannotSettle,
  entry.coarseRange,
  entry.oneOrOver,
  entry.zeroOrOpen,
  entry.prefixJump,
  entry.prefixDecides,
  entry.milliOrMega,
  entry.negative,
  entry.fitsAnother,
  entry.sameAsLast,
  setUp.notIsolated,
  setUp.leadsMatter,
  setUp.staleZero,
  setUp.readsLikeLeads,
  setUp.meterUnproved,
  setUp.frameUnproved,
  reading.temperatureDecides,
  reading.notSettled,
  reading.unsteady,
  reading.repeatsApart,
  reading.beyondPhysics,
  reading.conditionMissing,
  reading.sumOff,
  reading.oneOpenOfThree,
  reading.openAddsNothing,
  reading.sharedResistance,
  reading.sisterRatio,
  reading.atLimit,
  entry.leakOverBreak,
  reading.groundCeiling,
]

/** The stops that are judged before anything is touched. */
export const setUpStops: ReadingRule[] = [setUp.notIsolated, setUp.leadsMatter]

/** Remarks on a sum: what they hold, the sum itself releases. */
export const sumRemarks: ReadonlySet<string> = new Set(
  readingRules.filter((rule) => rule.cause === 'sum').map((rule) => rule.id),
)
