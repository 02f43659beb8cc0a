import { pairKey, readsFinite, readsOpen, type Evaluation } from '../judgement'
import type { BareCause, Cause } from './cause'
import type { CauseInput } from './factsOf'

/** A lead from its pin to its tail reads no more, ohms. */
const plainLead = 5

/**
 * Where on the way from pin to pin an open winding is broken, by points off the card (a coil's tails): in the lead between pin and tail, which
 * makes it no fault of the winding, or in the winding itself, between the tails.
 * @returns the cause as it is after that: of a broken lead a joint at its terminal; nothing where no point tells
 * @example
 * openBetween(scenes.low().causing, { kind: 'winding-open', of: ['low'] }) // {}
 */
export function openBetween(input: CauseInput, { of: [id] }: BareCause): Pick<Cause, 'between'> & Partial<BareCause> {
  const winding = input.prepared.card.windings.find((one) => one.id === id)
  if (!winding) return {}
  const ends = [winding.from, winding.to].map((pin) => {
    const points = [...input.points].flatMap(([point, on]) => (on === pin ? [point] : []))
    const read = (test: (one: Evaluation) => boolean) =>
      points.find((point) => {
        const one = readBetween(input, pin, point)
        return one !== undefined && test(one)
      })
    return {
      pin,
      broken: read(readsOpen),
      tail: read((one) => readsFinite(one) && (one.net ?? Infinity) < plainLead),
    }
  })
  const broken = ends.find((end) => end.broken !== undefined)
  if (broken?.broken !== undefined) return { kind: 'joint', of: [broken.pin], between: [broken.pin, broken.broken] }
  const [from = '', to = ''] = ends.map(({ pin, tail }) => tail ?? pin)
  const between = ends.some(({ tail }) => tail !== undefined) ? readBetween(input, from, to) : undefined
  return between && readsOpen(between) ? { between: [from, to] } : {}
}

function readBetween({ checks }: CauseInput, a: string, b: string): Evaluation | undefined {
  return checks
    .flatMap(({ points }) => points.flatMap(({ evaluation, held }) => (evaluation && !held ? [evaluation] : [])))
    .findLast(({ pair }) => pair !== undefined && pairKey(pair) === pairKey([a, b]))
}
