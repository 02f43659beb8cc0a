import type { CardRecord } from '@sure-spool/contract'
import { prepareCard, quantityOf, type Card, type History, type PreparedLimit } from '@sure-spool/core'
import type { Figures } from '../words/figures'
import { pairLabel } from '../words/points'

const histories: History[] = ['used', 'new', 'rewound']

/** One check of a card as its page shows it: each limit once, with who says so and whom it is for, and what this shop's units read. */
export function limitRows(card: Card, readings: CardRecord['readings']) {
  return [...prepareCard(card).checks.values()]
    .filter((check) => check.kind !== 'look')
    .map((check) => {
      const seen = new Map<string, PreparedLimit & { forHistory: PreparedLimit['for'] }>()
      for (const history of histories)
        for (const limit of check.limits[history]) {
          const key = `${limit.id} ${limit.band.min} ${limit.band.max}`
          const forHistory = limit.for === 'any' && history !== 'used' ? history : limit.for
          if (!seen.has(key)) seen.set(key, { ...limit, forHistory })
        }
      return {
        id: check.id,
        label: check.label,
        points: check.points.map((point) => pairLabel(card, point.pair)).join(', '),
        quantity: quantityOf(check),
        conditions: check.conditions,
        readings: readings.filter((reading) => reading.check === check.id),
        limits: [...seen.values()].map((limit) => ({
          limit,
          source: card.sources.find((source) => source.id === limit.source),
        })),
      }
    })
}
export type LimitRow = ReturnType<typeof limitRows>[number]

/** A limit's band in words. */
export function bandText({ band, stated }: PreparedLimit, quantity: LimitRow['quantity'], figures: Figures): string {
  const { min, max } = band
  if (min !== undefined && max !== undefined) return `${figures.bound(min, quantity)} – ${figures.bound(max, quantity)}`
  if (min !== undefined)
    return stated !== 'derived' && stated.kind === 'open'
      ? `open, ${figures.bound(min, quantity)} or more`
      : `at least ${figures.bound(min, quantity)}`
  return max === undefined ? 'no figure' : `at most ${figures.bound(max, quantity)}`
}
