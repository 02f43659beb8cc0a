import { isCounted, pairKey, type Card, type Evaluation, type RunState } from '@sure-spool/core'
import type { Figures } from './figures'
import { terminalLabel } from './points'

/** One pair of a part whose points are told by elimination. */
export interface PairCell {
  a: string
  b: string
  /** at rest: a path of hardly any ohms, a winding, none; not read; or of no more use */
  rest: 'joined' | 'wound' | 'none' | 'unread' | 'spared'
  /** with the coil driven, where that was read */
  driven?: 'joined' | 'none'
  here: boolean
  said: string
}

const joinedBelow = 5
const openFrom = 1e6

/** Every pair of a part whose points are told by elimination, or measured first, in the order of a triangle; empty for any other. */
export function pairCells(state: RunState, here: [string, string] | undefined, figures: Figures): PairCell[] {
  const { card } = state.run
  const read = [...state.evaluations.values()].filter(({ entry }) => !state.tape.gone.has(entry.id))
  const of = (key: string, driven: boolean) =>
    read.findLast((one) => one.pair && pairKey(one.pair) === key && isOhms(one) && isDriven(one) === driven)
  const asked = new Set(
    state.steps.flatMap(({ step }) => (step.kind === 'reading' && step.point.pair ? pairKey(step.point.pair) : [])),
  )
  return pairsTold(card).map(([a, b]): PairCell => {
    const key = pairKey([a, b])
    const [rest, driven] = [of(key, false), of(key, true)]
    const seen = rest && seenAs(rest)
    return {
      a,
      b,
      rest: seen ?? (asked.has(key) ? 'unread' : 'spared'),
      ...(driven ? { driven: seenAs(driven) === 'none' ? ('none' as const) : ('joined' as const) } : {}),
      here: here !== undefined && pairKey(here) === key,
      said: `${terminalLabel(card, a)}–${terminalLabel(card, b)}: ${saidOf(rest, driven, asked.has(key), figures)}`,
    }
  })
}

const fewestOfSketch = 3

/** Of a relay without markings and of loose wires every pair; of a part that is measured first the pairs it is read by. */
function pairsTold(card: Card): [string, string][] {
  const among = card.checks.find(({ kind }) => kind === 'contacts' || kind === 'pair-matrix')
  if (among && 'among' in among.at && (isCounted(card) || among.kind === 'pair-matrix'))
    return among.at.among.flatMap((a, i, all) => all.slice(i + 1).map((b): [string, string] => [a, b]))
  if (card.state !== 'sketch') return []
  const order = card.terminals.map(({ id }) => id)
  const read = card.checks.flatMap(({ kind, at }) =>
    kind === 'resistance' && 'pair' in at && !at.pair.includes('frame') ? [at.pair] : [],
  )
  const pairs = [...new Map(read.map((pair) => [pairKey(pair), pair])).values()].map(([a, b]): [string, string] =>
    order.indexOf(a) < order.indexOf(b) ? [a, b] : [b, a],
  )
  return pairs.length < fewestOfSketch
    ? []
    : pairs.sort(([a, b], [c, d]) => order.indexOf(a) - order.indexOf(c) || order.indexOf(b) - order.indexOf(d))
}

const isOhms = ({ quantity }: Evaluation): boolean => quantity === 'resistance'
const isDriven = ({ check, entry }: Evaluation): boolean => {
  const { drive } = entry.reading.conditions ?? {}
  return ((drive === undefined ? check.conditions?.drive : drive) ?? null) !== null
}

function seenAs({ entry: { reading }, net, bound }: Evaluation): 'joined' | 'wound' | 'none' {
  if (reading.method === 'beeper') return reading.kind === 'below' ? 'joined' : 'none'
  if (net === undefined) return bound === undefined || reading.kind === 'over' || bound >= openFrom ? 'none' : 'wound'
  return net < joinedBelow ? 'joined' : net >= openFrom ? 'none' : 'wound'
}

function saidOf(
  rest: Evaluation | undefined,
  driven: Evaluation | undefined,
  asked: boolean,
  figures: Figures,
): string {
  const one = (evaluation: Evaluation) =>
    ({ joined: 'joined', wound: figures.bound(evaluation.net ?? 0), none: 'no path' })[seenAs(evaluation)]
  const words = [rest ? one(rest) : asked ? 'not read yet' : 'not needed', driven ? `driven ${one(driven)}` : '']
  return words.filter((word) => word !== '').join(', ')
}
