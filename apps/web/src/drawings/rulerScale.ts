import { scaleLinear, scaleLog, scaleSymlog } from 'd3'

/** What stands on a ruler, in SI units; a bound is a reading that is more than it. */
export interface OnRuler {
  value?: number | undefined
  u?: number | undefined
  bound?: number | undefined
  min?: number | undefined
  max?: number | undefined
  /** earlier readings, a twin, an aim */
  others?: number[]
}

/** Where it may be drawn, px: the strip’s width, what its labels need at either end, and how wide a broken-off end is. */
export interface RulerRoom {
  width: number
  left: number
  right: number
  broken: number
}

export interface RulerScale {
  /** where a figure stands, px; always on the strip */
  at: (value: number) => number
  /** the figures that the axis is marked with, between the breaks */
  ticks: number[]
  /** where the axis is broken on its low and on its high side, px */
  breaks: { low: number | undefined; high: number | undefined }
  /** where the figures at the very ends stand */
  ends: [number, number]
}

/** beyond this no meter reads, and arithmetic on the scale runs over */
const huge = 1e100
const tiny = 1e-30
const isThere = (one: number | undefined): one is number => one !== undefined && Math.abs(one) < huge
/** limits this many times apart, or a lone limit and a reading, are drawn over decades */
const decadesApart = 20
const loneApart = 8
/** px that a figure keeps from a strip’s end, and from a break */
const edge = 10

/**
 * The ruler of a reading. Its limits keep their window, whatever was read: what is beyond it breaks the axis on its side. A single
 * limit far from its reading is drawn over decades.
 */
export function rulerScale(on: OnRuler, room: RulerRoom): RulerScale {
  const { window, decades } = windowOf(on)
  const shown = [on.value, on.bound, ...(on.others ?? [])].filter(isThere)
  const [low, high] = window
  const under = shown.filter((one) => one < low)
  const over = shown.filter((one) => one > high)
  const from = room.left + (under.length > 0 ? room.broken : 0)
  const to = Math.max(from + 2 * edge, room.width - room.right - (over.length > 0 ? room.broken : 0))
  const inside = decades ? scaleLog(window, [from, to]) : scaleLinear(window, [from, to])
  const size = high - low
  // a figure far off is told from one farther, and none leaves the strip
  const beyond = (distances: number[], near: number, far: number) =>
    scaleSymlog([0, Math.max(1, ...distances)], [near, far]).clamp(true)
  const lower = beyond(
    under.map((one) => (low - one) / size),
    from - edge,
    room.left + edge,
  )
  const upper = beyond(
    over.map((one) => (one - high) / size),
    to + edge,
    room.width - room.right - edge,
  )
  const onStrip = (x: number) => Math.min(room.width - 2, Math.max(2, x))
  return {
    at: (value) => {
      if (Number.isNaN(value)) return from
      if (value < low) return onStrip(under.length > 0 ? lower((low - value) / size) : from)
      if (value > high) return onStrip(over.length > 0 ? upper((value - high) / size) : to)
      return onStrip(inside(value))
    },
    ticks: decades ? decadesIn(window) : inside.ticks(6).filter((one) => one >= low && one <= high),
    breaks: { low: under.length > 0 ? from : undefined, high: over.length > 0 ? to : undefined },
    ends: [from, to],
  }
}

/** The figures between which the axis is whole. */
function windowOf(on: OnRuler): { window: [number, number]; decades: boolean } {
  const limits = [on.min, on.max].filter(isThere)
  const shown = [on.value, on.bound, ...(on.others ?? [])].filter(isThere)
  const doubt = isThere(on.u) ? 2.4 * on.u : 0
  if (limits.length === 2) {
    const [low, high] = limits.toSorted((a, b) => a - b) as [number, number]
    // the doubt of a figure far off reaches no limit, and leaves them their window
    const reaches = isThere(on.value) && on.value - doubt <= high && on.value + doubt >= low
    if (low > tiny && high / low > decadesApart) return { window: [low / 2, high * 2], decades: true }
    const least = leastOf(low, high)
    const width = high - low > least ? high - low : Math.max(Math.abs(high) * 0.1, least)
    const pad = Math.min(1.2 * width, Math.max(0.3 * width, reaches ? doubt : 0))
    return { window: [low - pad, high + pad], decades: false }
  }
  const all = [...limits, ...shown]
  const low = Math.min(...all, Infinity)
  const high = Math.max(...all, -Infinity)
  if (all.length === 0) return { window: [0, 1], decades: false }
  if (low > tiny && high / low > loneApart)
    return { window: [low / 2.5, high * (on.bound === undefined ? 2.5 : 12)], decades: true }
  const pad = Math.max(0.3 * (high - low), 0.3 * Math.abs(high), doubt, leastOf(low, high))
  return { window: [low - pad, high + pad], decades: false }
}

/** a window narrower than this is no window: there is nothing between its ends that could be told apart */
const leastOf = (low: number, high: number): number => 1e-9 * Math.max(Math.abs(low), Math.abs(high), 1e-6)

function decadesIn([low, high]: [number, number]): number[] {
  const first = Math.ceil(Math.log10(low))
  const last = Math.floor(Math.log10(high))
  const apart = Math.max(1, Math.ceil((last - first) / 8))
  return Array.from(
    { length: Math.max(0, Math.floor((last - first) / apart) + 1) },
    (_, i) => 10 ** (first + i * apart),
  )
}
