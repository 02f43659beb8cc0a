export { worksByCoil, type WorkOrder } from './byCoil'
export { planSteps, type Step, type StepGroup, type StepPoint } from './steps'
