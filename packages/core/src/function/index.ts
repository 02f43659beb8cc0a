export { currentCheck, expectedCurrent, type CurrentCheck } from './current'
export { lampInSeries } from './lampInSeries'
export type { Drive, Observation, RelayInput, TerminalPair } from './relayObservations'
export { relayRoles, type RelayRoles } from './relayRoles'
