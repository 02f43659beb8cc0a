export { gaugeFromOverall } from './gaugeFromOverall'
export { resonance, scaleInductance } from './inductance'
export { poleWinding, type PoleTurn } from './poleWinding'
export { progress } from './progress'
export { turnsFor } from './turnsFor'
export { windCoil, type CoilGeometry, type CoilShape } from './windCoil'
export { bareOfGauge, gaugeOfBare, wire, type Wire } from './wire'
export { gaugeFits, micrometerMm, otherWires, strandsToTell, type WireFit } from './gaugeFits'
export { metricSizes } from './metricSizes'
export { midWind, type MidWind } from './midWind'
export {
  gramsToHave,
  meanTurnShare,
  packingShare,
  planCoil,
  wireShare,
  type CoilToWind,
  type PlannedCoil,
} from './planCoil'
export { turnsLike } from './turnsLike'
export { fitsLeft, wireLeft, type LeftTells } from './wireLeft'
