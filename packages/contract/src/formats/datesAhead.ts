import type { PathProblem } from './sentences'

const dayMs = 86_400_000
/** How far clocks of one moment are apart on the earth, hours ahead of UTC at most. */
const mostAhead = 14 * 3_600_000

/**
 * Days that a person typed and that are beyond tomorrow, wherever on the earth it is: a year was mistyped.
 * @returns each with its place in the card
 */
export function datesAhead(card: { sources: readonly { date?: string | undefined }[] }, now: Date): PathProblem[] {
  const last = new Date(now.getTime() + dayMs + mostAhead).toISOString().slice(0, 10)
  return card.sources.flatMap(({ date }, i) =>
    date !== undefined && date > last
      ? [{ path: `sources[${i}].date`, detail: `is ${date}, which is yet to come: look at the year` }]
      : [],
  )
}
