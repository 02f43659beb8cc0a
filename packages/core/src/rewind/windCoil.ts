import type { CoilShape } from '../document'

export type { CoilShape }

export interface CoilGeometry {
  shape: CoilShape
  /** wire over its film, mm */
  overallMm: number
  /** the width wound over, mm */
  traverseMm: number
  /** a fraction, 1 = square stacking */
  packing: number
}

/**
 * The length of one turn on the bare core, in mm; each mm of build adds π mm to the mean turn.
 * @example
 * coreTurnMm({ kind: 'racetrack', coreLengthMm: 60, coreWidthMm: 5 }) // 125.71
 */
export function coreTurnMm(shape: CoilShape): number {
  switch (shape.kind) {
    case 'round':
      return Math.PI * shape.coreMm
    case 'racetrack':
      return 2 * (shape.coreLengthMm - shape.coreWidthMm) + Math.PI * shape.coreWidthMm
    case 'rectangle':
      return 2 * (shape.a + shape.b)
  }
}

/**
 * How much one turn adds to the build, in mm.
 * @example
 * buildPerTurnMm({ shape: { kind: 'round', coreMm: 10 }, overallMm: 0.1, traverseMm: 10, packing: 0.8 }) // 0.00125
 */
export const buildPerTurnMm = ({ overallMm, traverseMm, packing }: CoilGeometry): number =>
  overallMm ** 2 / (packing * traverseMm)

/**
 * What so many turns come to (METHODS 10; mean turn × turns): build, mean turn, wire and resistance.
 * @param input geometry in mm, turns, ohms per metre at 20 °C
 * @returns mm, metres, ohms at 20 °C
 * @example
 * windCoil({ shape: { kind: 'round', coreMm: 10 }, overallMm: 0.1, traverseMm: 10, packing: 0.8, turns: 1000, ohmsPerMetre: 3 })
 * // { meanTurnMm: 35.343, buildMm: 1.25, lengthM: 35.343, ohms20: 106.03 }
 */
export function windCoil(input: CoilGeometry & { turns: number; ohmsPerMetre: number }): {
  meanTurnMm: number
  buildMm: number
  lengthM: number
  ohms20: number
} {
  const buildMm = input.turns * buildPerTurnMm(input)
  const meanTurnMm = coreTurnMm(input.shape) + Math.PI * buildMm
  const lengthM = (input.turns * meanTurnMm) / 1000
  return { meanTurnMm, buildMm, lengthM, ohms20: lengthM * input.ohmsPerMetre }
}
