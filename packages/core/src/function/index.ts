export { currentCheck, expectedCurrent, type CurrentCheck } from './current'
export { lampInSeries } from './lampInSeries'
export {
  relayRoles,
  type Drive,
  type Observation,
  type RelayInput,
  type RelayRoles,
  type TerminalPair,
} from './relayRoles'
