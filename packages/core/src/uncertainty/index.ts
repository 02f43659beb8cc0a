export { chiSquareQuantile } from './chiSquare'
export { normalBetween, normalCdf } from './normal'
export {
  assumedAccuracy,
  readingUncertainty,
  rectangular,
  type UncertaintyInput,
  type UncertaintyParts,
} from './readingUncertainty'
