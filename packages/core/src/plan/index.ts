export { worksByCoil, type WorkOrder } from './byCoil'
export type { Step, StepGroup, StepPoint } from './step'
export { planSteps } from './steps'
