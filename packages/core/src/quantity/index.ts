export { parsedText } from './parsedText'
export { parseReading, type ParsedReading, type ReadingProblem, type ReadingText } from './parseReading'
export { plainUnits, withUnit, type ShownUnits } from './shownUnits'
export { voltsOverAmps, type VoltsOverAmps } from './voltsOverAmps'
export { unitSlip } from './unitSlip'
export {
  formatBound,
  formatFigure,
  formatParts,
  prefixFor,
  unitSign,
  type FormatOptions,
  type FormattedFigure,
} from './format'
export { beepReading, textMismatch, typedReading, withMoreSaid, type ReadingSetting } from './typedReading'
export { parseKindLimit } from './parseKindLimit'
export { inOhms, type OhmPrefix } from './inOhms'
export { conditionWordsOf, typedConditions, type ConditionWords, type TypedConditions } from './typedConditions'
export { limitText } from './limitText'
export { parseLimit, type LimitProblem, type LimitText } from './parseLimit'
