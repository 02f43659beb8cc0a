export type { Forecast } from './forecast'
export { forecastOf } from './forecastOf'
