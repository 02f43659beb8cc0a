export { askedOf, isAsked, isAskedKind, withAsked, type AskedKind } from './withAsked'
export { typedPoints, type TypedPoints } from './typedPoints'
