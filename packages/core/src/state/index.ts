export { asJudged } from './judgedByRelation'
export { besideFigures, type BesideFigure } from './besideFigures'
export { byComparison } from './byComparison'
export { pairsByFarads, type ProposedPair } from './pairsByFarads'
export { comparisonOf } from './comparisonOf'
export { mendedSince, type Mended, type MendingWork } from './mendedSince'
export type { Fault, Finding, FindingWord, OpenPoint } from './finding'
export {
  expectedAt,
  isReadHot,
  leftToReadHot,
  sharesThatCouldBeGone,
  type HotFigure,
  type LostShare,
} from './heatAndTurns'
export { notProved, notTested, wasHot, type Unproved, type Untested } from './proof'
export type { StepState, StepStatus } from './stepState'
export { itemFindings, type ItemFinding } from './itemFindings'
export { readingSet, type ReadingSet } from './readingSet'
export { refusalOf, type Refusal } from './refuse'
export { isClosed, judgedBy, runState, type RunState } from './runState'
export { summarise, type Summary, type VerdictRow } from './summary'
export { nextReading, type NextReading } from './nextReading'
export { referenceRead } from './referenceRead'
export { stepWaits } from './nextStep'
export { setUpRemarks } from './setUpRemarks'
export { isWarmthsDoubt, settledAt } from './settledAt'
export { slotsMarked, slotWords } from './slotsMarked'
