export { againstPast, type Change } from './againstPast'
export { limitsFromRecord, type RecordedFigure } from './limitsFromRecord'
export { metersCompared, type MeterFigure, type MeterPair } from './metersCompared'
export { spreadOf, type Spread } from './spreadOf'
