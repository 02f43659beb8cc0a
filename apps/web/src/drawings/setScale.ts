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
export function setScale(set: ReadingSet, ground: Ground, logarithmic: boolean): SetScale {
  const { points, band, curve } = set
  const isResponse = set.response !== undefined
  const across = acrossOf(set, [ground.left, ground.right])
  const stated = [band.min, band.max, ...curve.flatMap(({ min, max }) => [min, max])].filter(isFigure)
  const read = points.map(({ value }) => value).filter(isFigure)
  const figures =
    stated.length > 0 ? stated : isResponse ? [...(read.every((one) => one >= 0) ? [0] : []), ...read] : bulkOf(read)
  const [low, high] = figures.length > 0 ? [Math.min(...figures), Math.max(...figures)] : [0, 1]
  const range: [number, number] = [ground.bottom, ground.top]
  const isLog = logarithmic && low > tiny
  const least = 1e-9 * Math.max(Math.abs(low), Math.abs(high), 1e-6)
  const room = roomAround * Math.max(high - low, least)
  const domain: [number, number] = isLog
    ? [low / 1.5, high * 1.5]
    : isResponse
      ? [low, high + 0.2 * Math.max(high - low, least)]
      : [low - room, high + room]
  const up = (isLog ? scaleLog(domain, range) : scaleLinear(domain, range)).clamp(true)
  return {
    across: (at) => Math.min(ground.right, Math.max(ground.left, across(at))),
    up: (value) => (Number.isFinite(value) ? up(value) : value > 0 ? ground.top : ground.bottom),
    beyond: (value) => (value > domain[1] ? 'high' : value < domain[0] ? 'low' : undefined),
    ticks: {
      across: isResponse
        ? decades(across.domain() as [number, number])
        : across.ticks(6).filter((one) => curve.length > 0 || Number.isInteger(one)),
      up: up.ticks(4).slice(0, 8),
    },
  }
}

/** Items side by side, places from end to end of their curve, frequencies by their logarithm with some room at either end. */
function acrossOf({ points, curve, count, response }: ReadingSet, range: [number, number]) {
  if (response !== undefined) {
    const hertz = points.map(({ at }) => at).filter((one) => one > 0)
    const [low, high] = hertz.length > 0 ? [Math.min(...hertz), Math.max(...hertz)] : [100, 10_000]
    return scaleLog([low / 1.5, high * 1.5], range)
  }
  const places = curve.map(({ x }) => x)
  return scaleLinear(
    places.length > 0 ? [Math.min(...places), Math.max(...places)] : [0.5, Math.max(1, count) + 0.5],
    range,
  )
}

/** 1, 2 and 5 of each decade; where that is much, the decades alone. */
function decades([low, high]: [number, number]): number[] {
  const from = Math.floor(Math.log10(low))
  const count = Math.ceil(Math.log10(high)) - from + 1
  const steps = count > 4 ? [1] : count > 2 ? [1, 3] : [1, 2, 5]
  return Array.from({ length: count }, (_, i) => steps.map((one) => one * 10 ** (from + i)))
    .flat()
    .filter((one) => one >= low && one <= high)
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
