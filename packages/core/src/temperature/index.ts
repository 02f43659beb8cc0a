export { correctToReference, type CorrectionInput } from './correctToReference'
export { beta, isMetal } from './material'
export { resistanceAt, temperatureFrom, type Metal } from './resistanceAt'
