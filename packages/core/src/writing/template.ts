import type { Card, CautionId, Check, Family, Limit, Source } from '../document'

/** What the shop takes where nobody says otherwise. */
export interface CardDefaults {
  tolerancePct: number
  openOhms: number
  insulationOhms: number
  testVolts: number
}
export const plainDefaults: CardDefaults = { tolerancePct: 10, openOhms: 1e6, insulationOhms: 20e6, testVolts: 500 }

const cold: CautionId[] = ['supply-off']
const cautionsOf: Partial<Record<Family, CautionId[]>> = {
  'ignition-stator': ['battery-lead-off', 'discharge-first', 'running-engine', 'hot-exhaust'],
  'charging-stator': ['battery-lead-off', 'running-engine', 'hot-exhaust'],
  'low-ohm-stator': ['battery-lead-off', 'running-engine', 'hot-exhaust'],
  'ignition-coil': ['battery-lead-off', 'discharge-first', 'ignition-secondary', 'never-spark'],
  'coil-pack': ['battery-lead-off', 'discharge-first', 'ignition-secondary', 'never-spark'],
  'ignition-leads': ['discharge-first', 'ignition-secondary', 'never-spark'],
  'injector-solenoid': ['supply-off', 'discharge-first'],
  'valve-solenoid': ['supply-off', 'test-voltage-bites'],
  compressor: [
    'supply-off',
    'discharge-first',
    'compressor-unplugged',
    'under-vacuum',
    'test-voltage-bites',
    'licensed-work',
  ],
  motor: ['supply-off', 'discharge-first', 'test-voltage-bites'],
}
/** Families with electronics at hand, or none that bears test volts. */
const noTestVolts = new Set<Family>(['pickup', 'speed-sensor', 'sender', 'thermistor', 'coil-pack', 'ignition-leads'])

/** The constructions that decide a family's rules. */
export const constructionsOf: Partial<Record<Family, string[]>> = {
  compressor: ['split-phase', 'inverter', 'single-winding'],
  relay: ['make', 'changeover'],
}

/**
 * A draft to begin a card with: what every part of its family needs and nothing that would have to be guessed. It has the frame,
 * a look, one source without a title of its own, and the family's cautions.
 * @param id a UUIDv7 made by the caller
 * @example
 * cardTemplate('new', 'compressor').care.maxTestVolts // 500
 */
export function cardTemplate(id: string, family: Family, { testVolts }: CardDefaults = plainDefaults): Card {
  return {
    format: 'sure-spool/card',
    version: 1,
    id,
    revision: 1,
    state: 'draft',
    family,
    name: { maker: '', model: '', partNumbers: [], fits: [] },
    variants: [],
    terminals: [{ id: 'frame', label: 'frame', aliases: [] }],
    plugs: [],
    windings: [],
    checks: [
      {
        id: 'look',
        label: 'burnt, cracked or chafed places',
        kind: 'look',
        at: { place: 'the part, its leads and its plug' },
        required: false,
        limits: [],
      },
    ],
    relations: [],
    sources: [],
    hints: [],
    care: {
      isolate: [],
      maxTestVolts: noTestVolts.has(family) ? 0 : testVolts,
      cautions: cautionsOf[family] ?? cold,
    },
  }
}

/** A terminal of a sketch: a name a person reads off the part. */
export interface SketchTerminal {
  id: string
  label: string
}

const mostPairs = 15
/** A bare lead that belongs to the frame, by what people call it: it is no end of a winding. */
const shielding = /^(?:bare )?(?:shield|screen|braid)$/i

/**
 * A sketch of a part that nobody has figures for (CARD, states): each pair of its terminals to be read without a limit, and each
 * of them to the frame where it has one. With more than fifteen pairs only neighbours are asked for. A shield is asked for to the frame alone,
 * and may be joined to it.
 * @param terminals named as on the part; without `frame`
 * @example
 * sketchCard('new', 'solenoid', 'brass clicker', [{ id: 't1', label: 'red' }, { id: 't2', label: 'black' }], true).checks.length
 * // 3
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
  const usual: Source = { id: 's2', grade: 'trade', title: 'the usual: no path to the frame' }
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
    checks: [...template.checks, ...pairs.map(([a, b]) => between(a, b, true)), ...framing],
    sources: [source, ...(framed ? [usual] : [])],
  }
}
