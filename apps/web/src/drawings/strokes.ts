import { curveLinear, curveLinearClosed, line, path } from 'd3'

export type Point = [x: number, y: number]

const straight = line().curve(curveLinear)

/** A stroke from point to point, as path data. Empty where a point is nowhere. */
export function stroke(...points: Point[]): string {
  return points.flat().every(Number.isFinite) ? (straight(points) ?? '') : ''
}

/** A closed outline through the points, as path data. */
export const outline = (...points: Point[]): string => line().curve(curveLinearClosed)(points) ?? ''

/** A limit's bracket about a middle line: upright at `x`, its feet reaching towards the inside. Pixels. */
export function bracket(x: number, middle: number, half: number, reach: number): string {
  return stroke([x + reach, middle - half], [x, middle - half], [x, middle + half], [x + reach, middle + half])
}

/** Whiskers of a reading: an end on each side, joined. */
export function whiskers(from: number, to: number, middle: number, half: number): string {
  return [
    stroke([from, middle - half], [from, middle + half]),
    stroke([from, middle], [to, middle]),
    stroke([to, middle - half], [to, middle + half]),
  ].join('')
}

/** A point that goes on beyond the drawing: a head at `x`, towards the right (1) or the left (-1). */
export const arrowHead = (x: number, middle: number, size: number, towards: 1 | -1): string =>
  stroke([x - towards * size, middle - size * 0.75], [x, middle], [x - towards * size, middle + size * 0.75])

/** Where an axis is broken: two slanted strokes across it. */
export const breakSign = (x: number, middle: number, half: number): string =>
  [-3, 3].map((by) => stroke([x + by - 3, middle + half], [x + by + 3, middle - half])).join('')

/** So many drops can be told apart at a glance. */
const mostDrops = 6

/**
 * What a reading did while it was held: a bar from its least to its most; where it fell to no reading a broken line from there to the
 * strip's end, with a stroke across it for each time.
 * @param from where its least stands, px; @param to its most; @param end where the strip ends
 */
export function movedStrip(from: number, to: number, drops: number, middle: number, end: number) {
  const x = Math.min(from, to)
  const right = Math.max(from, to)
  const apart = (end - 16 - right) / (Math.min(drops, mostDrops) + 1)
  const marks = Array.from({ length: Math.min(drops, mostDrops) }, (_, i) => right + (i + 1) * apart)
  return {
    x,
    width: Math.max(2, right - x),
    drops: drops > 0 ? stroke([right, middle], [end, middle]) + arrowHead(end, middle, 8, 1) : '',
    marks: marks.map((one) => stroke([one - 3, middle + 8], [one + 3, middle - 8])).join(''),
  }
}

/** A winding between two points on one height: leads, and turns between them. */
export function turns(from: number, to: number, height: number, count = 4): string {
  const drawn = path()
  const lead = (to - from) * 0.16
  const turn = (to - from - 2 * lead) / count
  drawn.moveTo(from, height)
  drawn.lineTo(from + lead, height)
  for (let i = 0; i < count; i++) {
    const x = from + lead + i * turn
    drawn.quadraticCurveTo(x + turn / 2, height - 1.4 * turn, x + turn, height)
  }
  drawn.lineTo(to, height)
  return drawn.toString()
}
