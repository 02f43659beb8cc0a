export { windingsToRewind } from './windingsToRewind'
export { ohmsKnown, type KnownOhms } from './ohmsKnown'
export { holdingRemark } from './holdingRemark'
export { limitsOfPlan } from './limitsOfPlan'
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
