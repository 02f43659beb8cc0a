import { entriesThatStand, isAsked, mendedSince, type Mended, type MendingWork, type RunState } from '@sure-spool/core'
import { capital } from './capital'
import { takenParts, type Figures } from './figures'
import { lookWords, workWords } from './kinds'
import { checkLabel } from './points'
import { workPlace } from './works'

/** What was seen at the part stands as evidence beside the cause; of a place the last look counts. */
export function seenBeside({ tape, causes }: RunState): string {
  const last = new Map(entriesThatStand(tape, 'look').map((one) => [one.place, one]))
  const seen = [...last.values()].filter(
    ({ place, what }) =>
      what.some((one) => one !== 'sound') && !causes.some(({ kind, of }) => kind === 'seen' && of.includes(place)),
  )
  return seen.map(({ place, what }) => `Seen at ${place}: ${what.map((one) => lookWords[one]).join(', ')}.`).join(' ')
}

/** What was wrong and is mended, by the work that mended it. */
const mendings: Record<MendingWork, string> = {
  reflow: 'Joint',
  splice: 'Lead',
  clean: 'Dirty contact',
}
export const mendedTitle = (state: RunState): string =>
  mendedSince(state)
    .filter(({ stood }) => stood)
    .map(
      ({ check, work }) =>
        `${mendings[work.what]} at ${workPlace(state.run.card, work.place) || checkLabel(state.run.card, check)}, mended.`,
    )
    .filter((one, i, all) => all.indexOf(one) === i)
    .join(' ')

export function mendedLine(state: RunState, figures: Figures): string {
  const read = (one: Mended['now']) => {
    const { digits, unit } = takenParts(one, figures)
    return `${digits}\u2009${unit}`
  }
  return mendedSince(state)
    .map(
      ({ check, work, before, now }) =>
        `${capital(checkLabel(state.run.card, check))}: ${read(before)} before it was ${workWords[work.what]}, ${read(now)} since.`,
    )
    .join(' ')
}

/** What was rewound, beside the one it is to be like: how much it reads, and how far off that is. */
export function rewoundLine({ tape, run, relations, checks }: RunState, figures: Figures): string {
  const wound = new Set(tape.works.filter(({ what }) => what === 'rewind').map(({ place }) => place))
  const read = (id: string) =>
    checks.flatMap(({ check, points: [point] }) => {
      const net = check.id === id ? point?.evaluation?.net : undefined
      return net === undefined ? [] : [{ label: checkLabel(run.card, id), touches: [...check.touches], net }]
    })
  return relations
    .flatMap(({ relation, verdict }) => {
      if (relation.kind !== 'equal' || verdict !== 'within') return []
      const [a, b, ...more] = relation.checks.flatMap(read)
      if (!a || !b || more.length > 0 || a.net === b.net) return []
      const [fresh, other] = b.touches.some((winding) => wound.has(winding)) ? [b, a] : [a, b]
      if (!fresh.touches.some((winding) => wound.has(winding))) return []
      const off = `${figures.plain((200 * Math.abs(a.net - b.net)) / (a.net + b.net), 2)}\u2009%`
      return [
        `${capital(fresh.label)} reads ${figures.bound(Number(fresh.net.toPrecision(3)))}, ${off} ${fresh.net > other.net ? 'over' : 'under'} ${other.label}.`,
      ]
    })
    .join(' ')
}

/** Magnets that were read beside the card's tests and read alike: none is weaker than the rest, which does not show all of them weak. */
export function magnetsBeside({ checks }: RunState, figures: Figures): string {
  const read = checks.flatMap(({ check, points: [point] }) =>
    check.kind === 'field' && isAsked(check.id) && point?.evaluation?.taken !== undefined
      ? [{ tesla: point.evaluation.taken, state: point.evaluation.entry.reading.conditions?.state?.join() ?? '' }]
      : [],
  )
  const [first, ...rest] = read
  if (!first || rest.length === 0) return ''
  const sizes = read.map(({ tesla }) => Math.abs(tesla))
  const isAlike = Math.min(...sizes) >= alikeShare * Math.max(...sizes)
  if (!isAlike || rest.some(({ state }) => state !== first.state)) return ''
  const poles = first.state === '' ? '' : `, ${rest.length === 1 ? 'both' : 'all'} ${first.state}`
  return `Magnets alike: ${sizes.map((one) => figures.bound(one, 'field')).join(', ')}${poles}. None is weaker than the rest.`
}
/** small magnets of one part, read by hand, come out so near to each other */
const alikeShare = 0.8
