export { parseReading, type ParsedReading, type ReadingProblem, type ReadingText } from './parseReading'
export { unitSlip } from './unitSlip'
export { formatBound, formatFigure, formatParts, prefixFor, type FormatOptions, type FormattedFigure } from './format'
export { textMismatch, typedReading, type ReadingSetting } from './typedReading'
