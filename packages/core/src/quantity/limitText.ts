import type { Limit } from '../document'

/**
 * A limit as people write it, so that `parseKindLimit` reads the same limit back; figures in SI without a prefix.
 * @returns '' for `none`
 * @example
 * limitText({ kind: 'band', min: 286.2, max: 349.8 }) // '286.2–349.8'
 */
export function limitText(limit: Limit): string {
  switch (limit.kind) {
    case 'band':
      return `${plain(limit.min)}–${plain(limit.max)}`
    case 'nominal': {
      const { value, minusPct, plusPct } = limit
      return minusPct === plusPct
        ? `${plain(value)} ±${plain(plusPct)}%`
        : `${plain(value)} +${plain(plusPct)}/-${plain(minusPct)}%`
    }
    case 'atLeast':
      return `> ${plain(limit.value)}`
    case 'atMost':
      return `< ${plain(limit.value)}`
    case 'open':
      return `open > ${plain(limit.atLeast)}`
    case 'closed':
      return `closed < ${plain(limit.atMost)}`
    case 'insulation':
      return `> ${plain(limit.minOhms)}${voltsText(limit)}`
    case 'alike':
      return `alike ${plain(limit.allowedPct)}%`
    case 'perMetre':
      return `${plain(limit.value)} ±${plain(limit.tolerancePct)}%`
    case 'curve': {
      const points = limit.points.map(({ x, ohms }) => `${plain(x)}: ${plain(ohms)}`).join('; ')
      return `${points} ±${plain(limit.tolerancePct)}%${limit.scale === 'log' ? ' log' : ''}`
    }
    case 'answer':
      return limit.of.map((one) => (limit.right.includes(one) ? `${one}*` : one)).join('; ')
    default:
      return ''
  }
}

const voltsText = ({ minVolts, testVolts }: Extract<Limit, { kind: 'insulation' }>): string =>
  minVolts !== undefined ? ` @ min ${plain(minVolts)}V` : testVolts !== undefined ? ` @ ${plain(testVolts)}V` : ''

/** Digits without an exponent, which a limit's text does not know. */
const plain = (value: number): string =>
  Math.abs(value) >= 1e21 || (value !== 0 && Math.abs(value) < 1e-6)
    ? value.toFixed(12).replace(/0+$/, '')
    : String(value)
