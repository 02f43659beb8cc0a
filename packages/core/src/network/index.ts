export { pairResistance, solveNetwork, type NetworkInput, type Resistor } from './pairResistance'
export { pairTolerance } from './pairTolerance'
