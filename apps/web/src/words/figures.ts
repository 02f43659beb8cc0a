import { formatBound, formatFigure, formatParts, parsedText, type Evaluation, type Quantity } from '@sure-spool/core'
import { useShop } from '../store/shop'

/** Figures as this shop writes them. */
export function useFigures() {
  const shop = useShop()
  const mark = () => ({ decimalComma: shop.settings.decimalComma })
  return {
    figure: (value: number, quantity: Quantity = 'resistance', resolution?: number) =>
      formatFigure(value, quantity, { ...mark(), ...(resolution === undefined ? {} : { resolution }) }),
    parts: (value: number, quantity: Quantity = 'resistance', resolution?: number) =>
      formatParts(value, quantity, { ...mark(), ...(resolution === undefined ? {} : { resolution }) }),
    bound: (value: number, quantity: Quantity = 'resistance') => formatBound(value, quantity, mark()),
    /** an expanded uncertainty: two significant digits are all it is worth */
    expanded: (u: number, quantity: Quantity = 'resistance') => {
      const two = Number((2 * u).toPrecision(2))
      return formatBound(two, quantity, mark())
    },
    plain: (value: number, digits = 4) => {
      const text = Number(value.toPrecision(digits)).toString()
      return shop.settings.decimalComma ? text.replace('.', ',') : text
    },
  }
}

/** A reading as taken: the figure with the meter's digits, or what stands for it. */
export function takenParts(
  evaluation: Evaluation,
  figures: ReturnType<typeof useFigures>,
): { digits: string; unit: string } {
  const { reading } = evaluation.entry
  const quantity = evaluation.quantity ?? 'resistance'
  if (reading.kind === 'answer') return { digits: reading.answer ?? '', unit: '' }
  if (reading.kind === 'spread' && reading.low !== undefined && reading.high !== undefined)
    return { digits: `${figures.bound(reading.low, quantity)}–${figures.bound(reading.high, quantity)}`, unit: '' }
  if (reading.kind === 'value' && evaluation.taken !== undefined)
    return figures.parts(evaluation.taken, quantity, parsedText(reading, quantity).resolution ?? evaluation.resolution)
  const sign = reading.kind === 'below' ? '<' : '>'
  if (evaluation.bound === undefined) return { digits: 'over range', unit: '' }
  const [digits = '', unit = ''] = figures.bound(evaluation.bound, quantity).split('\u2009')
  return { digits: `${sign}${digits}`, unit }
}

/** `takenParts` as one text. */
export function takenText(evaluation: Evaluation, figures: ReturnType<typeof useFigures>): string {
  const { digits, unit } = takenParts(evaluation, figures)
  return unit === '' ? digits : `${digits}\u2009${unit}`
}
