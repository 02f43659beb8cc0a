import type { Check, Family, Limit } from '../document'
import { plainDefaults } from './template'

/** A terminal of a sketch: a name a person reads off the part. */
export interface SketchTerminal {
  id: string
  label: string
}

const coils = new Set<Family>(['solenoid', 'valve-solenoid', 'injector-solenoid', 'solenoid-set', 'relay'])
const runs = new Set<Family>(['charging-stator', 'low-ohm-stator', 'speed-sensor'])
const insulated = new Set<Family>(['compressor', 'motor'])

/**
 * What hands do with a part of a family besides its ohms, where nobody has figures: what it draws and whether it acts, what it gives while it
 * runs, insulation to its frame. None of it is required; what the usual says of it names the source `usual`.
 * @param ends what can be touched of its windings
 * @param framed whether it has a frame
 * @returns in working order; none for a family without such steps, or a part with one end
 * @example
 * familySteps('solenoid', [{ id: 'a', label: 'red' }, { id: 'b', label: 'black' }], true, 's2').map(({ id }) => id)
 * // [ 'draw', 'acts' ]
 */
export function familySteps(family: Family, ends: SketchTerminal[], framed: boolean, usual: string): Check[] {
  const [first, second, ...more] = ends
  if (!first || !second) return []
  const optional = (
    id: string,
    label: string,
    kind: Check['kind'],
    rest: Pick<Check, 'at'> & Partial<Check>,
  ): Check => ({
    id,
    label,
    kind,
    required: false,
    limits: [],
    ...rest,
  })
  const only = more.length === 0
  const right = (of: string[]): Limit => ({ kind: 'answer', of, right: of.slice(0, 1) })
  const said = (limit: Limit) => [{ id: 'l1', for: 'any' as const, limit, source: usual }]
  return [
    ...(coils.has(family) && only
      ? [optional('draw', 'draw', 'current', { at: { pair: [first.id, second.id] } })]
      : []),
    ...(coils.has(family)
      ? [
          optional('acts', family === 'relay' ? 'it clicks' : 'it moves', 'act', {
            at: { place: family === 'relay' ? 'the coil, switched on' : 'the plunger, switched on and off' },
            limits: said(right(family === 'relay' ? ['clicks', 'silent'] : ['both ways', 'sticks', 'does not move'])),
          }),
        ]
      : []),
    ...(runs.has(family) && more.length < 2
      ? pairsOf(ends).map(([a, b]) =>
          optional(`volts-${a.id}-${b.id}`, `${a.label} to ${b.label}, running`, 'ac-output', {
            at: { pair: [a.id, b.id] },
            ...(family === 'speed-sensor' ? {} : { where: 'machine' as const }),
          }),
        )
      : []),
    ...(insulated.has(family) && framed
      ? [
          optional('insulation', 'insulation to frame', 'insulation', {
            at: { each: ends.map(({ id }) => id), to: 'frame' },
            limits: said({
              kind: 'insulation',
              minOhms: plainDefaults.insulationOhms,
              testVolts: plainDefaults.testVolts,
            }),
          }),
        ]
      : []),
  ]
}

/**
 * Three pins of a compressor or a motor are read together: what adds up tells which of them is common.
 * @example
 * isThreePinned('compressor', []) // false
 */
export const isThreePinned = (family: Family, ends: readonly SketchTerminal[]): boolean =>
  insulated.has(family) && ends.length === 3

const pairsOf = <T>(all: readonly T[]): [T, T][] => all.flatMap((a, i) => all.slice(i + 1).map((b): [T, T] => [a, b]))
