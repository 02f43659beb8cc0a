export { hasAsked, sketchGrown, withAskedKept } from './askedOnCard'
export { cardFromRun } from './cardFromRun'
export { compareCards, type CardDifference } from './compareCards'
export { freeId } from './freeId'
export { cardGaps, type CardGap } from './gaps'
export { proposedRelations } from './proposals'
export {
  cardTemplate,
  constructionsOf,
  plainDefaults,
  sketchCard,
  type CardDefaults,
  type SketchTerminal,
} from './template'
