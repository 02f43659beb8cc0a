export {
  askedField,
  askedOf,
  isAsked,
  isAskedKind,
  isPointMade,
  pointMade,
  pointsMade,
  withAsked,
  type AskedKind,
} from './withAsked'
export { asThisUnit } from './asThisUnit'
export { bladeMarks } from './withBlades'
export { isImplied } from './references'
export { typedPoints, typedTerminals, type TypedPoints } from './typedPoints'
