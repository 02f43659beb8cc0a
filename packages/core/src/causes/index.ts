export { causeKinds, type Cause, type CauseKind } from './cause'
export { causesOf } from './causesOf'
export type { CauseInput } from './factsOf'
