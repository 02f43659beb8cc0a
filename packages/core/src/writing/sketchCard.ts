import type { Card, Check, Family, Limit, Source } from '../document'
import { familySteps, isThreePinned, type SketchTerminal } from './familySteps'
import { cardTemplate, plainDefaults } from './template'

const mostPairs = 15
/** A bare lead that belongs to the frame, by what people call it: it is no end of a winding. */
const shielding = /^(?:bare )?(?:shield|screen|braid)$/i

/**
 * A sketch of a part that nobody has figures for (CARD, states): each pair of its terminals to be read without a limit, and each
 * of them to the frame where it has one. With more than fifteen pairs only neighbours are asked for. A shield is asked for to the frame alone,
 * and may be joined to it. Beside them stand the family's usual steps.
 * @param terminals named as on the part; without `frame`
 * @example
 * sketchCard('new', 'solenoid', 'brass clicker', [{ id: 't1', label: 'red' }, { id: 't2', label: 'black' }], true).checks.length
 * // 5
 */
export function sketchCard(
  id: string,
  family: Family,
  model: string,
  terminals: SketchTerminal[],
  framed: boolean,
): Card {
  const template = cardTemplate(id, family)
  const shields = terminals.filter(({ label }) => shielding.test(label))
  const ends = terminals.filter((one) => !shields.includes(one))
  const all = ends.flatMap((a, i) => ends.slice(i + 1).map((b) => [a, b] as const))
  const pairs = all.length > mostPairs ? ends.slice(1).map((b, i) => [ends[i] ?? b, b] as const) : all
  const source: Source = { id: 's1', grade: 'guess', title: 'no figures: measured first' }
  const usual: Source = {
    id: 's2',
    grade: 'trade',
    title: 'the usual: no path to the frame, and it does what it is for',
  }
  const between = (a: SketchTerminal, b: SketchTerminal, required: boolean): Check => ({
    id: `${a.id}-${b.id}`,
    label: `${a.label} to ${b.label}`,
    kind: 'resistance',
    at: { pair: [a.id, b.id] },
    required,
    limits: [],
  })
  const open: Limit = { kind: 'open', atLeast: plainDefaults.openOhms }
  const ground: Check = {
    id: 'frame',
    label: 'open to frame',
    kind: 'resistance',
    at: { each: ends.map((one) => one.id), to: 'frame' },
    required: true,
    limits: [{ id: 'l1', for: 'any', limit: open, source: 's2' }],
  }
  // a beep tells whether a shield is joined
  const shielded = shields.map((one): Check => ({
    ...between(one, { id: 'frame', label: 'frame' }, false),
    kind: 'continuity',
  }))
  const framing = framed ? [...shielded, ground] : []
  const besides = familySteps(family, ends, framed, usual.id)
  const pins: Check = {
    id: 'pins',
    label: 'three pins',
    kind: 'three-pins',
    at: { among: ends.map((one) => one.id) },
    required: true,
    limits: [],
  }
  const read = isThreePinned(family, ends) ? [pins] : pairs.map(([a, b]) => between(a, b, true))
  return {
    ...template,
    state: 'sketch',
    name: { ...template.name, model },
    terminals: [
      ...terminals.map((one) => ({
        ...one,
        aliases: [],
        ...(shields.includes(one) ? { part: 'shield' as const } : {}),
      })),
      ...template.terminals.filter(() => framed),
    ],
    checks: [...template.checks, ...read, ...framing, ...besides],
    sources: [source, ...([...framing, ...besides].some(({ limits }) => limits.length > 0) ? [usual] : [])],
  }
}
