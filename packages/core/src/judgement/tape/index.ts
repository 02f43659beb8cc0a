export { entriesThatStand, takenBackIn } from './entriesThatStand'
export { readTape, stoodBefore, type ReadingEntry, type Tape } from './readTape'
