import {
  beta,
  coreVersion,
  isMetal,
  isUnzeroed,
  lastPlace,
  type Card,
  type Evaluation,
  type UncertaintyParts,
} from '@sure-spool/core'
import { gradeWords } from './kinds'
import type { Figures } from './figures'
import { takenUnder } from './takenUnder'

/** One line of a verdict's arithmetic: what it is, how it is made, what it gives. */
export interface Ground {
  name: string
  how: string
  gives: string
}

/** Every figure between a reading as taken and its verdict, so that a person can redo it by hand. */
export function groundsOf(evaluation: Evaluation, card: Card, figures: Figures): Ground[] {
  return [
    ...taken(evaluation, card, figures),
    ...corrected(evaluation, figures),
    ...limits(evaluation, card, figures),
    ...uncertainty(evaluation, figures),
    judged(evaluation, figures),
  ]
}

const fine = (value: number, figures: Figures, digits = 5) => figures.plain(value, digits)

function taken(evaluation: Evaluation, card: Card, figures: Figures): Ground[] {
  const { entry, instrument, leads, net, taken: figure, parallelOhms } = evaluation
  const said = [entry.reading.contact ?? '', takenUnder(card, evaluation, figures)].filter((one) => one !== '')
  const lines: Ground[] = [
    {
      name: 'as taken',
      how: [`“${entry.reading.text}” on ${instrument?.name ?? 'no named meter'}`, ...said].join(', '),
      gives:
        figure === undefined
          ? evaluation.bound === undefined
            ? ''
            : figures.bound(evaluation.bound, evaluation.quantity)
          : fine(figure, figures),
    },
  ]
  if (leads && net !== undefined && figure !== undefined) {
    const from = {
      zero: 'zeroed in the meter, nothing left to take off',
      subtract: 'measured and taken off',
      carried: 'carried over from another run: a value, not a zero, nothing taken off',
      assumed: 'never zeroed: nothing taken off',
      'four-wire': 'four wires, no leads in the reading',
    }[leads.from]
    lines.push({
      name: 'net of leads',
      how: `${from}: ${fine(Math.abs(figure), figures)} − ${fine(isUnzeroed(leads) ? 0 : leads.ohms, figures)}${parallelOhms === undefined ? '' : `, and ${fine(parallelOhms, figures)} in parallel taken out`}`,
      gives: fine(net, figures),
    })
  }
  return lines
}

/** The negated temperature at which the check's metal would read nothing, as it stands in the formula. */
function betaOf({ check }: Evaluation): number | undefined {
  return check.material !== undefined && isMetal(check.material) ? beta[check.material] : undefined
}

function corrected(evaluation: Evaluation, figures: Figures): Ground[] {
  const { temperature, reference, factor, judged: value, net } = evaluation
  const b = betaOf(evaluation)
  if (!reference || factor === undefined || value === undefined || temperature?.partC === undefined) return []
  const from = {
    measured: 'measured on the part',
    room: 'the room’s',
    assumed: 'assumed, nobody entered one',
    unknown: '',
  }[temperature.from]
  return [
    {
      name: `at ${figures.temperature(reference.c)}`,
      how: `${fine(net ?? 0, figures)} × (${b} + ${fine(reference.c, figures, 3)})/(${b} + ${fine(temperature.partC, figures, 3)}), ${evaluation.check.material}; part ${fine(temperature.partC, figures, 3)} °C, ${from}; reference ${reference.stated ? 'stated' : 'not stated, 20 °C taken'}`,
      gives: fine(value, figures),
    },
  ]
}

function limits({ limit, others, quantity }: Evaluation, card: Card, figures: Figures): Ground[] {
  if (!limit) return [{ name: 'limits', how: 'the card gives none that applies', gives: '' }]
  const source = card.sources.find((one) => one.id === limit.source)
  const { min, max } = limit.band
  const shown = [min, max].map((one) => (one === undefined ? '' : figures.bound(one, quantity)))
  const words = limit.text ?? (limit.stated === 'derived' ? 'derived from its windings' : '')
  return [
    {
      name: 'limits',
      how: `${words}${words ? '; ' : ''}${source?.title ?? 'no source'}, ${gradeWords[limit.grade]}${limit.for === 'any' ? '' : `, for ${limit.for} parts`}`,
      gives: limitSpan(shown[0], shown[1]),
    },
    ...others.map((other) => ({
      name: 'the other source',
      how: `${card.sources.find((one) => one.id === other.limit.source)?.title ?? ''} (${gradeWords[other.limit.grade]}) would have said`,
      gives: other.verdict,
    })),
  ]
}

/** An end that the limit has, or both. Words without an end (an answer, a kind) give nothing to compute with. */
const limitSpan = (min = '', max = ''): string =>
  min && max ? `${min} – ${max}` : min ? `from ${min}` : max ? `to ${max}` : ''

function uncertainty(evaluation: Evaluation, figures: Figures): Ground[] {
  const {
    parts,
    range,
    resolution = 0,
    rounding = 0,
    u,
    temperatureU,
    factor,
    accuracyAssumed,
    leads,
    taken: figure = 0,
  } = evaluation
  if (!parts || u === undefined) return []
  const percent = range?.percentOfReading ?? (accuracyAssumed ? 1 : 0)
  const counts = range?.counts ?? (accuracyAssumed ? 3 : 0)
  const ofMeter: Ground[] = [
    {
      name: 'u, meter',
      how: `(${fine(percent, figures, 3)} % of ${fine(Math.abs(figure), figures)} + ${counts} × ${fine(resolution, figures)})/√3${accuracyAssumed ? '; accuracy assumed, the meter states none' : ''}`,
      gives: fine(parts.accuracy, figures, 4),
    },
    {
      name: 'u, digits',
      how: `${fine(lastPlace(evaluation), figures)}/√12${rounding > resolution ? ', rounded as typed' : ''}`,
      gives: fine(parts.resolution, figures, 4),
    },
  ]
  return [
    ...(isOfBoth(evaluation) ? ofBoth(parts, accuracyAssumed, figures) : ofMeter),
    ...(parts.spread > 0
      ? [{ name: 'u, spread', how: '(high − low)/√12', gives: fine(parts.spread, figures, 4) }]
      : []),
    ...(leads && !isUnzeroed(leads)
      ? [
          {
            name: 'u, leads',
            how: 'of the zero',
            gives: fine(parts.lead, figures, 4),
          },
        ]
      : []),
    ...(temperatureU
      ? [
          {
            name: 'u, part',
            how: `figure × uncertainty of the part’s temperature/(${betaOf(evaluation)} + part)`,
            gives: fine(temperatureU.part, figures, 4),
          },
        ]
      : []),
    ...(temperatureU && temperatureU.reference > 0
      ? [
          {
            name: 'u, reference',
            how: `figure × (5/√3)/(${betaOf(evaluation)} + part)`,
            gives: fine(temperatureU.reference, figures, 4),
          },
        ]
      : []),
    {
      name: 'u',
      how:
        factor === undefined || factor === 1
          ? 'the parts squared, added, rooted'
          : `all but the temperature’s parts × ${fine(factor, figures)}, then squared, added, rooted`,
      gives: fine(u, figures, 4),
    },
  ]
}

const isOfBoth = ({ entry }: Evaluation): boolean => entry.reading.method === 'volts-over-amps'

/** Ohms by volts over amperes: the parts of both meters. */
const ofBoth = (parts: UncertaintyParts, assumed: boolean, figures: Figures): Ground[] => [
  {
    name: 'u, meters',
    how: `of volts and of amperes, relative, squared, added, rooted${assumed ? '; accuracy assumed, a meter states none' : ''}`,
    gives: fine(parts.accuracy, figures, 4),
  },
  { name: 'u, digits', how: 'of both, likewise', gives: fine(parts.resolution, figures, 4) },
]

function judged(evaluation: Evaluation, figures: Figures): Ground {
  const { judged: value, u, rule, conformance, verdict } = evaluation
  const span =
    value !== undefined && u !== undefined ? `${fine(value - 2 * u, figures)} to ${fine(value + 2 * u, figures)}, ` : ''
  const sure =
    conformance === undefined || conformance === 1 || conformance === 0
      ? ''
      : `, ${(100 * conformance).toFixed(1)} % sure to conform`
  return {
    name: 'verdict',
    how: `${span}${rule} rule${sure}, core ${coreVersion}`,
    gives: verdict === 'none' ? 'not judged' : verdict,
  }
}
