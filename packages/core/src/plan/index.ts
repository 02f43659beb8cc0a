export { planSteps, type Step, type StepGroup, type StepPoint } from './steps'
