export type { Fault, Finding, FindingWord, OpenPoint } from './finding'
export type { StepState, StepStatus } from './progress'
export { judgedBy, runState, setUpRemarks, type RunState } from './runState'
export { summarise, type Summary, type VerdictRow } from './summary'
