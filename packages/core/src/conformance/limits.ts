import type { CardLimit, Check, Grade, History, Limit, Source } from '../document'

export interface Band {
  min?: number
  max?: number
}

/**
 * 12 significant digits: a limit computed from a nominal must not carry a floating-point tail.
 * @example
 * rounded(318 * 1.1) // 349.8
 */
export const rounded = (value: number): number => Number(value.toPrecision(12))

/**
 * The band a one-figure limit stands for, in the check's unit.
 * @returns an empty band for limits that are not a band (curve, alike, per metre, answer, none)
 * @example
 * bandOf({ kind: 'nominal', value: 318, plusPct: 10, minusPct: 10 }) // { min: 286.2, max: 349.8 }
 */
export function bandOf(limit: Limit): Band {
  switch (limit.kind) {
    case 'band':
      return { min: limit.min, max: limit.max }
    case 'nominal': {
      const ends = [limit.value * (1 - limit.minusPct / 100), limit.value * (1 + limit.plusPct / 100)].map(rounded)
      return { min: Math.min(...ends), max: Math.max(...ends) }
    }
    case 'atLeast':
      return { min: limit.value }
    case 'atMost':
      return { max: limit.value }
    case 'open':
      return { min: limit.atLeast }
    case 'closed':
      return { max: limit.atMost }
    case 'insulation':
      return { min: limit.minOhms }
    default:
      return {}
  }
}

const strength: Record<Grade, number> = { maker: 0, trade: 1, measured: 2, told: 3, guess: 4 }

/**
 * The weaker of two grades.
 * @example
 * weaker('maker', 'told') // 'told'
 */
export const weaker = (a: Grade, b: Grade): Grade => (strength[a] >= strength[b] ? a : b)

/**
 * The grade a limit is judged with: its source's, or `guess` where the shop assumed the figure.
 * @example
 * gradeOf(twinCard().checks[1].limits[0], twinCard().sources) // 'maker'
 */
export function gradeOf(limit: CardLimit, sources: Source[]): Grade {
  if (limit.assumed) return 'guess'
  return sources.find((source) => source.id === limit.source)?.grade ?? 'guess'
}

/**
 * The limits that apply to a unit of this history, the one that judges first (METHODS 4, choosing the limit): its own
 * history before `any`, never another's; of those left the stronger grade, among equals the narrower band.
 * @param width the width of a limit's band, Infinity for an open side
 * @example
 * limitsFor(twinCard().checks.find(({ id }) => id === 'low'), 'used', twinCard().sources, () => 1)[0].source // 's1'
 */
export function limitsFor(
  check: Check,
  history: History,
  sources: Source[],
  width: (limit: CardLimit) => number,
): CardLimit[] {
  const own = check.limits.filter((limit) => limit.for === history)
  const left = own.length > 0 ? own : check.limits.filter((limit) => limit.for === 'any')
  return [...left].sort((a, b) => strength[gradeOf(a, sources)] - strength[gradeOf(b, sources)] || width(a) - width(b))
}

/**
 * The middle of a band, or its one limit: what a reading is expected to be near; undefined without a limit.
 * @example
 * expectedOf({ min: 286.2, max: 349.8 }) // 318
 */
export function expectedOf({ min, max }: Band): number | undefined {
  return min !== undefined && max !== undefined ? (min + max) / 2 : (max ?? min)
}
