export { windingsToRewind } from './windingsToRewind'
export { ohmsKnown, type KnownOhms } from './ohmsKnown'
export { holdingRemark } from './holdingRemark'
export { jumpersOf, type CoilEnd, type Jumper } from './jumpersOf'
export { limitsOfPlan } from './limitsOfPlan'
export { checkOfWinding } from './checkOfWinding'
export { woundWindings, type WoundWinding } from './woundWindings'
export { windingRead } from './windingRead'
export { worksOfRewind } from './worksOfRewind'
export { nextRewindEntry } from './nextRewindEntry'
export { rewindRefusal } from './rewindRefusal'
export { rewindState } from './rewindState'
export type {
  CoilState,
  GaugeRead,
  MidCheck,
  RewindPhase,
  RewindRemark,
  RewindState,
  RewindStep,
  WholeWinding,
} from './rewindStanding'
