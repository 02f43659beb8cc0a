import type { Card, CautionId, Family } from '../document'

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
