import {
  formatBound,
  formatFigure,
  formatParts,
  plainUnits,
  type Evaluation,
  type FormattedFigure,
  type Quantity,
  type ShownUnits,
} from '@sure-spool/core'
import { useShop } from '../store/shop'

/** How figures are written: the prefix that fits, the meter's digits, the decimal mark. */
export interface Figures {
  figure: (value: number, quantity?: Quantity, resolution?: number) => string
  parts: (value: number, quantity?: Quantity, resolution?: number) => FormattedFigure
  bound: (value: number, quantity?: Quantity) => string
  /** an expanded uncertainty from u: two significant digits are all it is worth */
  expanded: (u: number, quantity?: Quantity) => string
  plain: (value: number, digits?: number) => string
  /** a temperature to a tenth, in the shop's unit; °C in */
  temperature: (celsius: number) => string
}

/** Figures with the decimal mark and the units that are in force when they are written. */
export function figuresWith(isComma: () => boolean, units: () => ShownUnits = () => plainUnits): Figures {
  const mark = () => ({ decimalComma: isComma(), units: units() })
  const detail = (resolution: number | undefined) => ({
    ...mark(),
    ...(resolution === undefined ? {} : { resolution }),
  })
  return {
    figure: (value, quantity = 'resistance', resolution) => formatFigure(value, quantity, detail(resolution)),
    parts: (value, quantity = 'resistance', resolution) => formatParts(value, quantity, detail(resolution)),
    bound: (value, quantity = 'resistance') => formatBound(value, quantity, mark()),
    expanded: (u, quantity = 'resistance') =>
      formatBound(Number((2 * u).toPrecision(2)), quantity, { decimalComma: isComma() }),
    plain: (value, digits = 4) => {
      const text = Number(value.toPrecision(digits)).toString()
      return isComma() ? text.replace('.', ',') : text
    },
    temperature: (celsius) => {
      const { digits, unit } = formatParts(celsius, 'temperature', { ...mark(), resolution: 0.1 })
      return `${digits.replace(/[.,]0$/, '')}\u2009${unit}`
    },
  }
}

/** Figures as this shop writes them. */
export function useFigures(): Figures {
  const shop = useShop()
  return figuresWith(
    () => shop.settings.decimalComma,
    () => shop.units,
  )
}

/** `moves` says what it did besides, in words: it fell to no reading. */
export interface TakenParts {
  digits: string
  unit: string
  moves?: string
}

/** A reading as taken: the figure with the meter's digits, or what stands for it. */
export function takenParts(evaluation: Evaluation, figures: Figures): TakenParts {
  const { reading } = evaluation.entry
  const quantity = evaluation.quantity ?? 'resistance'
  if (reading.kind === 'answer') return { digits: reading.answer ?? '', unit: '' }
  if (reading.kind === 'spread' && reading.low !== undefined && reading.high !== undefined)
    return spreadParts(figures.bound(reading.low, quantity), figures.bound(reading.high, quantity))
  if (reading.kind === 'spread' && reading.low !== undefined) {
    const drops = dropWords(reading.drops)
    return { digits: figures.bound(reading.low, quantity), unit: '', ...(drops === '' ? {} : { moves: drops }) }
  }
  if (reading.kind === 'value' && evaluation.taken !== undefined)
    return figures.parts(evaluation.taken, quantity, evaluation.parsed?.resolution ?? evaluation.resolution)
  const sign = reading.kind === 'below' ? '<' : '>'
  if (evaluation.bound === undefined) return { digits: 'over range', unit: '' }
  const [digits = '', unit = ''] = figures.bound(evaluation.bound, quantity).split('\u2009')
  return { digits: `${sign}${digits}`, unit }
}

const dropWords = (drops = 1): string => (drops > 1 ? `drops out ${drops} times` : drops === 1 ? 'drops out' : '')

/** Both ends of a spread; where they have one unit it stands once. */
function spreadParts(low: string, high: string): TakenParts {
  const [[from = '', unit = ''], [to = '', other = '']] = [low, high].map((one) => one.split('\u2009')) as [
    string[],
    string[],
  ]
  return unit === other ? { digits: `${from}–${to}`, unit } : { digits: `${low}–${high}`, unit: '' }
}

/** `takenParts` as one text. */
export function takenText(evaluation: Evaluation, figures: Figures): string {
  const { digits, unit, moves } = takenParts(evaluation, figures)
  const figure = unit === '' ? digits : `${digits}\u2009${unit}`
  return moves === undefined ? figure : `${figure}, ${moves}`
}
