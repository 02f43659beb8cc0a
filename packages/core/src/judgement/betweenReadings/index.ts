export { judgeRelation } from './judgeRelation'
export { relationChecks } from './relationChecks'
export type { RelationState, StandingOf, SupplyVolts } from './relationState'
export { voltsOf } from './supplyVolts'
