import type { Conditions } from '../document'
import { lampInSeries } from '../function'
import { pairKey, quantityOf, readsFinite, voltsOf, type Evaluation } from '../judgement'
import { nextReading, type NextReading, type RunState } from '../state'
import type { Forecast } from './forecast'
import { ohmsAhead } from './ohmsAhead'

/**
 * What the display should show at the reading that is about to be taken, worked out from what was read before it: ohms through the
 * windings, amperes from volts over ohms (METHODS 7), alternating volts in proportion to the speed.
 * @param question the reading that is about to be taken
 * @returns undefined where nothing says more than the limits do, or the point was read already
 * @example
 * forecastOf(scenes.low().state, { check: 'low', at: '2026-03-02T10:00:00.000Z', by: 'p', pair: ['O', 'G'] }) // undefined
 */
export function forecastOf(state: RunState, question: NextReading): Forecast | undefined {
  const next = nextReading(state, question)
  if (!next) return undefined
  const { evaluation, bench } = next
  if (evaluation.check.kind === 'lamp') return lampAhead(state, evaluation, voltsOf(bench, evaluation)?.volts)
  switch (quantityOf(evaluation.check)) {
    case 'resistance':
      return ohmsAhead(state, evaluation)
    case 'current':
      return ampsAhead(state, evaluation, voltsOf(bench, evaluation)?.volts)
    case 'voltage':
      return voltsAhead(state, evaluation)
    default:
      return undefined
  }
}

/** Volts over the ohms this coil reads, as warm as it is; a lamp in series by its law. */
function ampsAhead(state: RunState, { check, entry }: Evaluation, volts: number | undefined): Forecast | undefined {
  const relation = state.run.card.relations.find((one) => one.kind === 'draw' && one.amps === check.id)
  if (relation?.kind !== 'draw' || volts === undefined) return undefined
  const coil = state.checks.find((one) => one.check.id === relation.ohms)?.points.find(({ held }) => !held)?.evaluation
  if (!coil || !readsFinite(coil) || coil.net === undefined || coil.net <= 0) return undefined
  return through(volts, coil.net, { ...check.conditions, ...entry.reading.conditions })
}

/** How bright a lamp in series should be, and what flows: by the ohms that were read between the same points. */
function lampAhead(state: RunState, { check, pair }: Evaluation, volts: number | undefined): Forecast | undefined {
  if (volts === undefined || !pair) return undefined
  const coil = state.checks
    .filter((one) => one.check.kind === 'resistance' && !one.check.toFrame)
    .flatMap(({ points }) => points.flatMap(({ evaluation, held }) => (held ? [] : (evaluation ?? []))))
    .findLast((one) => one.pair !== undefined && pairKey(one.pair) === pairKey(pair))
  if (!coil || !readsFinite(coil) || coil.net === undefined || coil.net <= 0) return undefined
  return through(volts, coil.net, check.conditions ?? {})
}

/** Volts over a coil's ohms and what stands in series with it. */
function through(volts: number, ohms: number, { lamp, seriesOhms = 0 }: Conditions): Forecast {
  const told = { quantity: 'current', from: 'volts', volts, ohms } as const
  if (lamp?.volts === undefined || lamp.watts === undefined) return { ...told, value: volts / (ohms + seriesOhms) }
  const lit = lampInSeries({ volts, coilOhms: ohms + seriesOhms, lampVolts: lamp.volts, lampWatts: lamp.watts })
  return { ...told, value: lit.amps, lampShare: lit.lampPowerFraction, coilVolts: lit.coilVolts }
}

/** Alternating volts rise with the speed: this pair's at another speed, or its like's, at the speed the card asks. */
function voltsAhead(state: RunState, { check, pair }: Evaluation): Forecast | undefined {
  const rpm = check.conditions?.rpm
  if (check.kind !== 'ac-output' || rpm === undefined || !pair) return undefined
  const alike = [...state.evaluations.values()].filter(
    (one) => one.check.id === check.id && one.net !== undefined && !state.tape.gone.has(one.entry.id),
  )
  const at = (one: Evaluation) => one.entry.reading.conditions?.rpm ?? 0
  const other = alike.findLast((one) => one.pair?.every((id) => pair.includes(id)) && at(one) > 0)
  if (!other || at(other) === rpm || other.net === undefined) return undefined
  return { quantity: 'voltage', from: 'speed', rpm, value: (other.net * rpm) / at(other) }
}
