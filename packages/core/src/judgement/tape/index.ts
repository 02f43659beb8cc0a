export { entriesThatStand, takenBackIn } from './entriesThatStand'
export { placeNow } from './placeNow'
export { readTape, stoodBefore, type ReadingEntry, type Tape } from './readTape'
