import * as entry from './entryRules'
import * as between from './betweenRules'
import * as comparing from './comparingRules'
import * as driving from './drivingRules'
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
  entry.beyondMeter,
  entry.milliOrMega,
  entry.negative,
  entry.fitsAnother,
  entry.sameAsLast,
  setUp.notIsolated,
  setUp.leadsMatter,
  setUp.staleZero,
  comparing.poorLeads,
  setUp.readsLikeLeads,
  driving.jackAfterAmps,
  setUp.meterUnproved,
  setUp.frameUnproved,
  reading.temperatureDecides,
  driving.partWarm,
  comparing.metersDisagree,
  comparing.metersOpenAndNot,
  reading.notSettled,
  reading.unsteady,
  reading.repeatsApart,
  between.beyondPhysics,
  reading.conditionMissing,
  between.sumOff,
  between.oneOpenOfThree,
  between.openAddsNothing,
  between.sharedResistance,
  between.sisterRatio,
  comparing.lowByALittle,
  driving.expectedCurrent,
  driving.supplyUnloaded,
  reading.atLimit,
  comparing.kindUnset,
  comparing.twinsBothOff,
  entry.leakOverBreak,
  comparing.acOnOpen,
  reading.groundCeiling,
  driving.groundSide,
  driving.overVolts,
  driving.acrossElectronics,
  driving.unknownPinsPower,
  driving.supplyHigh,
]

/** What is judged before anything is touched: stops, and what is only said. */
export const setUpRules: ReadingRule[] = [
  setUp.notIsolated,
  setUp.leadsMatterAheadOfIt,
  driving.jackAfterAmps,
  comparing.kindUnset,
  driving.overVolts,
  driving.acrossElectronics,
  driving.unknownPinsPower,
]

/** What no reason overrides: it could hurt somebody or destroy the part. */
export const beyondOverride: ReadonlySet<string> = new Set(['unknown-pins-power', 'over-volts', 'across-electronics'])

/** Remarks on a sum: what they hold, the sum itself releases. */
export const sumRemarks: ReadonlySet<string> = new Set(
  readingRules.filter((rule) => rule.cause === 'sum').map((rule) => rule.id),
)
