export { chooseRange } from './chooseRange'
export { netOfLeads } from './netOfLeads'
export { rangeOf, rangesFor } from './rangeOf'
export { settle, type Settled, type TimedSample } from './settle'
