import { pairKey, type Evaluation, type RunState } from '@sure-spool/core'
import { takenParts, type Figures } from './figures'
import { terminalLabel } from './points'

/** One of three pins, and what the readings say it is. */
export interface PinCorner {
  id: string
  label: string
  role: string
}
/** What lies between two of them: a winding, two of them in a row, no path; not read yet. */
export interface PinSide {
  a: string
  b: string
  kind: 'winding' | 'sum' | 'open' | 'unread'
  text: string
  here: boolean
}
export interface PinTriangle {
  pins: [PinCorner, PinCorner, PinCorner]
  sides: [PinSide, PinSide, PinSide]
  said: string
}

/** Three pins as a triangle: what each side reads, and what each pin is as soon as that is known; undefined for any other part. */
export function pinTriangle(
  state: RunState,
  here: [string, string] | undefined,
  figures: Figures,
): PinTriangle | undefined {
  const found = state.checks.find(({ check }) => check.kind === 'three-pins')
  const [a, b, c, more] = found && 'among' in found.check.at ? found.check.at.among : []
  if (!found || a === undefined || b === undefined || c === undefined || more !== undefined) return undefined
  const read = found.points.flatMap(({ evaluation }) => evaluation ?? [])
  const roles = pinRoles(state, found.check.id)
  const corner = (id: string): PinCorner => ({
    id,
    label: terminalLabel(state.run.card, id),
    role: roles.get(id) ?? '',
  })
  const side = (one: string, other: string): PinSide => {
    const key = pairKey([one, other])
    const evaluation = read.find(({ pair }) => pair && pairKey(pair) === key)
    const isSum = roles.get(one) !== 'common' && roles.get(other) !== 'common' && roles.has(one) && roles.has(other)
    return {
      a: one,
      b: other,
      here: here !== undefined && pairKey(here) === key,
      ...sideOf(evaluation, isSum, figures),
    }
  }
  const pins: PinTriangle['pins'] = [corner(a), corner(b), corner(c)]
  const sides: PinTriangle['sides'] = [side(a, b), side(b, c), side(c, a)]
  const said = sides.map((one) => `${name(pins, one.a)}–${name(pins, one.b)} ${one.text}`).join('; ')
  return { pins, sides, said }
}

const name = (pins: PinTriangle['pins'], id: string): string => pins.find((one) => one.id === id)?.label ?? id

function sideOf(evaluation: Evaluation | undefined, isSum: boolean, figures: Figures): Pick<PinSide, 'kind' | 'text'> {
  if (!evaluation) return { kind: 'unread', text: 'to read' }
  if (evaluation.net === undefined) return { kind: 'open', text: 'open' }
  const { digits, unit } = takenParts(evaluation, figures)
  return { kind: isSum ? 'sum' : 'winding', text: `${digits}\u2009${unit}` }
}

/** Common, run and start, where the three read as a run and a start winding. */
function pinRoles({ roles }: RunState, check: string): ReadonlyMap<string, string> {
  const three = roles.find((one) => one.kind === 'pins' && one.check === check)
  const split =
    three?.kind === 'pins' ? three.constructions.find((one) => one.kind === 'split-phase' && one.fits) : undefined
  if (three?.kind !== 'pins' || split?.kind !== 'split-phase') return new Map()
  const { common, main, auxiliary } = split
  const named = [
    [common, 'common'],
    [main, 'run'],
    [auxiliary, 'start'],
  ] as const
  return new Map(named.flatMap(([pin, role]) => (pin ? [[three.pins[pin], role] as const] : [])))
}
