import type { Winding } from '../document'
import { readsFinite, type Evaluation } from '../judgement'
import { rectangular } from '../uncertainty'
import type { Along, BareCause } from './cause'
import type { CauseInput } from './factsOf'
import { ownReading } from './windingCauses'

/** No place is named that the meter could not tell from a quarter of the winding away. */
const sureWithin = 0.25

/**
 * Where along a winding it reaches the frame, by its two ends: each reads its own part of the turns and the fault, so that
 * x = (a − b + r)/2r (Kirchhoff; the fault's own ohms cancel).
 * @returns undefined where the ends were not both read, where the figures do not fit one place, or where the meter cannot tell
 * @example
 * alongWinding(scenes.low().causing, { kind: 'to-frame', of: ['low'] }) // undefined
 */
export function alongWinding(input: CauseInput, { kind, of }: BareCause): Along | undefined {
  if (kind !== 'to-frame') return undefined
  for (const id of of) {
    const winding = input.prepared.card.windings.find((one) => one.id === id)
    if (!winding) continue
    const [a, b] = [toFrame(input, winding.from), toFrame(input, winding.to)]
    const own = ownOhms(input, winding)
    if (!a || !b || !own || own.ohms <= 0) continue
    const difference = (a.net ?? 0) - (b.net ?? 0)
    const share = (difference + own.ohms) / (2 * own.ohms)
    const u = Math.hypot(a.netU ?? 0, b.netU ?? 0, (own.u * difference) / own.ohms) / (2 * own.ohms)
    if (2 * u > sureWithin || share < -2 * u || share > 1 + 2 * u) continue
    return { winding: id, share: Math.min(1, Math.max(0, share)), u }
  }
  return undefined
}

function toFrame({ checks }: CauseInput, terminal: string): Evaluation | undefined {
  return checks
    .filter(({ check }) => check.toFrame)
    .flatMap(({ points }) => points.flatMap(({ evaluation }) => evaluation ?? []))
    .findLast(({ pair, ...one }) => pair?.includes(terminal) === true && pair.includes('frame') && readsFinite(one))
}

/** As it reads by itself; where nobody read it, as the card has it, with the card's tolerance for its doubt. */
function ownOhms(input: CauseInput, { id, ohms, tolerancePct }: Winding): { ohms: number; u: number } | undefined {
  const read = ownReading(input, id)
  if (read) return readsFinite(read) && read.net !== undefined ? { ohms: read.net, u: read.netU ?? 0 } : undefined
  if (ohms === undefined || tolerancePct === undefined) return undefined
  return { ohms, u: ((tolerancePct / 100) * ohms) / rectangular }
}
