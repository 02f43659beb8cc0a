export { planSteps, type Step, type StepGroup } from './steps'
