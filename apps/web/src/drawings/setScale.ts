import type { ReadingSet } from '@sure-spool/core'
import { median, scaleLinear, scaleLog } from 'd3'

interface Ground {
  left: number
  right: number
  top: number
  bottom: number
}

export interface SetScale {
  across: (at: number) => number
  /** where a value stands, px; what is beyond the ground stands at its edge */
  up: (value: number) => number
  /** on which side a value is beyond the ground */
  beyond: (value: number) => 'high' | 'low' | undefined
  ticks: { across: number[]; up: number[] }
}

const roomAround = 0.6

/**
 * The ground of a set of readings, px: the limits, the curve or the bulk of the readings fill it, so that one that is far off does not
 * press the others flat.
 */
export function setScale({ points, band, curve, count }: ReadingSet, ground: Ground, logarithmic: boolean): SetScale {
  const places = curve.map(({ x }) => x)
  const wide: [number, number] =
    places.length > 0 ? [Math.min(...places), Math.max(...places)] : [0.5, Math.max(1, count) + 0.5]
  const across = scaleLinear(wide, [ground.left, ground.right])
  const stated = [band.min, band.max, ...curve.flatMap(({ min, max }) => [min, max])].filter(isFigure)
  const read = points.map(({ value }) => value).filter(isFigure)
  const figures = stated.length > 0 ? stated : bulkOf(read)
  const [low, high] = figures.length > 0 ? [Math.min(...figures), Math.max(...figures)] : [0, 1]
  const range: [number, number] = [ground.bottom, ground.top]
  const isLog = logarithmic && low > tiny
  const least = 1e-9 * Math.max(Math.abs(low), Math.abs(high), 1e-6)
  const room = roomAround * Math.max(high - low, least)
  const domain: [number, number] = isLog ? [low / 1.5, high * 1.5] : [low - room, high + room]
  const up = (isLog ? scaleLog(domain, range) : scaleLinear(domain, range)).clamp(true)
  return {
    across: (at) => Math.min(ground.right, Math.max(ground.left, across(at))),
    up: (value) => (Number.isFinite(value) ? up(value) : value > 0 ? ground.top : ground.bottom),
    beyond: (value) => (value > domain[1] ? 'high' : value < domain[0] ? 'low' : undefined),
    ticks: {
      across: across.ticks(6).filter((one) => places.length > 0 || Number.isInteger(one)),
      up: up.ticks(4).slice(0, 8),
    },
  }
}

/** beyond these no meter reads, and arithmetic on the scale runs over */
const huge = 1e100
const tiny = 1e-30
const isFigure = (one: number | undefined): one is number => one !== undefined && Math.abs(one) < huge

/** Where most of the readings are: about their median, as wide as they spread. A stray moves neither. */
function bulkOf(read: number[]): number[] {
  const middle = median(read)
  if (middle === undefined) return []
  const spread = median(read, (one) => Math.abs(one - middle)) ?? 0
  const half = Math.max(3 * spread, 0.05 * Math.abs(middle))
  return [middle - half, middle + half]
}
