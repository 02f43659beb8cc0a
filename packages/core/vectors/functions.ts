import * as core from '../src/index'

/** The functions that vector files may name. Files are plain JSON, so this is where their input meets core's types. */
export const functions: Record<string, (input: never) => unknown> = {
  parseReading: core.parseReading,
  unitSlip: core.unitSlip,
  netOfLeads: core.netOfLeads,
  readingUncertainty: core.readingUncertainty,
  chooseRange: core.chooseRange,
  resistanceAt: core.resistanceAt,
  temperatureFrom: core.temperatureFrom,
  correctToReference: core.correctToReference,
  judgeValue: core.judgeValue,
  judgeBeyond: core.judgeBeyond,
  judgeBelow: core.judgeBelow,
  sumCheck: core.sumCheck,
  twinCheck: core.twinCheck,
  unbalance: core.unbalance,
  groups: core.groups,
  pairResistance: core.pairResistance,
}
