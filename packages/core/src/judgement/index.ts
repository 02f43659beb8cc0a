export { judgeRelation, relationChecks, voltsOf, type RelationState, type SupplyVolts } from './betweenReadings'
export {
  atTwinReference,
  confirmationOf,
  evaluate,
  isolationAt,
  isUnsteady,
  lastPlace,
  leadsFor,
  outdated,
  readsFinite,
  readsOpen,
  samePoint,
  sideOf,
  type Bench,
  type Confirmation,
  type Evaluation,
  type LeadsApplied,
  type Reason,
  type TemperatureApplied,
} from './figure'
export {
  prepareCard,
  splitBy,
  quantityOf,
  unmetCondition,
  type NeededPoint,
  type PreparedCard,
  type PreparedCheck,
  type PreparedLimit,
} from './preparedCard'
export { entriesThatStand, readTape, takenBackIn, type ReadingEntry, type Tape } from './tape'
export {
  answersFor,
  demandedKind,
  explainedByParts,
  judgeCheck,
  judgeWhole,
  openWindings,
  worstFirst,
  type CheckState,
  type PointState,
  type Whole,
} from './whole'
