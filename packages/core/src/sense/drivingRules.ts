import { above } from '../conformance'
import { isolationAt, voltsOf, type Evaluation } from '../judgement'
import type { Card } from '../document'
import { isMetal, temperatureFrom } from '../temperature'
import { driveOf, heatingBefore, isDriven, leastWarmth, mostWarmth, roomC } from './heat'
import { inOhms, joinedBy, type Found, type ReadingRule } from './rule'

/** An ohm step right after an ampere step: the lead may still be in the ampere jack. */
export const jackAfterAmps: ReadingRule = {
  id: 'jack-after-amps',
  about: inOhms,
  setting: ({ evaluation, earlier }) => `${evaluation.instrument?.id ?? ''}/${earlier.at(-1)?.entry.id ?? ''}`,
  test: ({ bench, evaluation, earlier }) => {
    const last = earlier.findLast((one) => one.instrument === evaluation.instrument)
    if (last?.quantity !== 'current') return null
    const moved = bench.tape.proofs.some(
      (proof) => proof.of === 'jack' && proof.n > last.entry.n && proof.n < evaluation.entry.n,
    )
    return moved ? null : { severity: 'stop', params: { after: last.check.id } }
  },
}

/** Ohms within twenty minutes of soldering, waxing, running or driving the part, with nobody measuring how warm it is. */
export const partWarm: ReadingRule = {
  id: 'part-warm',
  cause: 'temperature',
  about: inOhms,
  anew: (moment) => heatingBefore(moment)?.id ?? '',
  test: (moment) => {
    const { evaluation, earlier } = moment
    const { temperature, entry, limit, net, check } = evaluation
    // heat opens nothing
    if (net === undefined || evaluation.reason === 'open-circuit') return null
    // a contact's ohms are no winding's
    if (temperature?.from === 'measured' || limit?.expectOpen || !limit || limit.kind === 'closed') return null
    const heating = heatingBefore(moment)
    if (!heating) return null
    const minutes = Math.round((Date.parse(entry.at) - Date.parse(heating.at)) / 60_000)
    const cold = earlier.findLast((one) => isPointOf(one, evaluation) && one.judged !== undefined && one.net !== net)
    if (cold?.judged === undefined || check.material === undefined || !isMetal(check.material))
      return { severity: 'warn', params: { minutes } }
    const refC = cold.reference?.c ?? roomC
    const warmC = temperatureFrom({ ohms: net, refOhms: cold.judged, refC, material: check.material })
    const isWarm = warmC > refC + leastWarmth && warmC < mostWarmth
    return { severity: 'warn', params: { minutes, ...(isWarm ? { warmC: Math.round(warmC) } : {}) } }
  },
}

const isPointOf = (one: Evaluation, other: Evaluation): boolean =>
  one.check === other.check &&
  one.pair?.join() === other.pair?.join() &&
  one.entry.reading.index === other.entry.reading.index

/** A tester set to 500 V shows a little more. */
const overshoot = 1.1

/** Test volts above what this part may see. */
export const overVolts: ReadingRule = {
  id: 'over-volts',
  about: ({ kind }) => kind === 'insulation',
  setting: ({ evaluation }) => `${evaluation.check.id}/${evaluation.entry.reading.conditions?.testVolts ?? ''}`,
  test: ({ bench, evaluation }) => {
    const { check } = evaluation
    const most = bench.run.card.care.maxTestVolts
    const own = evaluation.limit?.stated
    const stated = own !== undefined && own !== 'derived' && own.kind === 'insulation' ? own.testVolts : undefined
    const set = stated ?? check.conditions?.testVolts ?? 0
    const shown = evaluation.entry.reading.conditions?.testVolts ?? 0
    return above(set, most) || above(shown, overshoot * most)
      ? { severity: 'stop', params: { volts: Math.max(set, shown), most } }
      : null
  },
}

/** An insulation test across electronics, or a coil driven backwards across its diode: either destroys it. */
export const acrossElectronics: ReadingRule = {
  id: 'across-electronics',
  setting: ({ evaluation }) => (evaluation.pair ?? []).join('~'),
  test: ({ bench, evaluation }): Found => {
    const { pair, check } = evaluation
    const { care, checks } = bench.run.card
    const joins = ([a, b]: readonly string[]) =>
      care.electronicsBetween?.some((one) => one.includes(a ?? '') && one.includes(b ?? '')) ?? false
    if (check.kind === 'insulation')
      return pair && joins(pair) ? { severity: 'stop', params: { pair: pair.join(' ') } } : null
    const drive = driveOf(evaluation)
    if (!drive || !joins([drive.plus, drive.minus])) return null
    const backwards = checks.some(
      ({ conditions }) => conditions?.drive?.plus === drive.minus && conditions.drive.minus === drive.plus,
    )
    return backwards ? { severity: 'stop', params: { plus: drive.minus } } : null
  },
}

/** Power asked for before the pins are known by ohms: no spark finds a coil. */
export const unknownPinsPower: ReadingRule = {
  id: 'unknown-pins-power',
  setting: ({ evaluation }) => evaluation.check.id,
  test: ({ bench, evaluation, earlier }) => {
    // a ring of bars has no pins that could be mistaken
    if (bench.run.card.family === 'armature') return null
    const drive = driveOf(evaluation)
    const pins = drive ? [drive.plus, drive.minus] : evaluation.pair
    if (!isDriven(evaluation) || !pins) return null
    const known = earlier.some(
      (one) => one.quantity === 'resistance' && !isDriven(one) && pins.every((pin) => one.pair?.includes(pin)),
    )
    return known ? null : { severity: 'stop', params: { pins: pins.join(' ') } }
  },
}

/** A nominal 12 V system charges at 14.8 V: that is no overload. */
const ratingShare = 1.3

/**
 * A supply so far above the part's rating that it heats it by the square (METHODS 7; SENSE, set-up).
 * @example
 * highSupply({ care: { isolate: [], maxTestVolts: 500, cautions: [], ratedVolts: 12 } }, 14.8) // null
 */
export function highSupply({ care: { ratedVolts: rated } }: Pick<Card, 'care'>, volts: number): Found {
  if (rated === undefined || !above(volts, ratingShare * rated)) return null
  return { severity: 'stop', params: { volts, rated, times: (volts / rated) ** 2 } }
}

/** What is driven while such a supply stands unanswered waits with it. */
export const supplyHigh: ReadingRule = {
  id: 'supply-high',
  setting: ({ bench, evaluation }) => voltsOf(bench, evaluation)?.entry ?? 'stated',
  test: ({ bench, evaluation }) => {
    const supply = isDriven(evaluation) ? voltsOf(bench, evaluation) : undefined
    return supply ? highSupply(bench.run.card, supply.volts) : null
  },
}

/** A draw off volts over ohms by more than its allowance: low and high each have their own three explanations. */
export const expectedCurrent: ReadingRule = {
  id: 'expected-current',
  about: joinedBy('draw'),
  test: ({ relations }) => {
    for (const { relation, draw } of relations) {
      if (relation.kind !== 'draw' || !draw || !above(Math.abs(draw.deviationPct), relation.withinPct)) continue
      const { deviationPct, impliedSeriesOhms, impliedWindingC } = draw
      return {
        severity: 'warn',
        params: { relation: relation.id, percent: deviationPct, ohms: impliedSeriesOhms, celsius: impliedWindingC },
      }
    }
    return null
  },
}

/** A draw judged with the volts of a supply that was not loaded: it sags when it works. */
export const supplyUnloaded: ReadingRule = {
  id: 'supply-unloaded',
  about: joinedBy('draw'),
  test: ({ relations }) => {
    const unloaded = relations.find(({ relation, draw }) => relation.kind === 'draw' && draw && !draw.loaded)
    return unloaded?.draw ? { severity: 'warn', params: { volts: unloaded.draw.volts } } : null
  },
}

/** A frame contact on a lead that belongs to frame is harmless; which lead was it? */
export const groundSide: ReadingRule = {
  id: 'ground-side',
  about: ({ toFrame }) => toFrame,
  test: ({ bench, evaluation }) => {
    const { verdict, pair } = evaluation
    if (verdict !== 'outside' || !pair || isolationAt(bench.tape, evaluation.entry.n)?.state === 'in-circuit')
      return null
    const { terminals, windings } = bench.run.card
    const own = pair.find(
      (id) =>
        id !== 'frame' &&
        (terminals.some((terminal) => terminal.id === id && terminal.part === 'ground-lead') ||
          windings.some(({ from, to }) => [from, to].includes(id) && [from, to].includes('frame'))),
    )
    return own === undefined ? null : { severity: 'note', params: { terminal: own } }
  },
}
