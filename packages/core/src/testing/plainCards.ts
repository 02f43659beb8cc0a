import type { Card, Check, Conditions, Limit, Relation } from '../document'

/** A card with only what a test is about; everything else is plain. All figures are made up. */
export function plainCard(parts: Partial<Card> & Pick<Card, 'family'>): Card {
  return {
    format: 'sure-spool/card',
    version: 1,
    id: '019a0000-9999-7000-8000-000000000001',
    revision: 1,
    state: 'published',
    name: { maker: 'Orrinvale', model: `test ${parts.family}`, partNumbers: [], fits: [] },
    variants: [],
    terminals: [],
    plugs: [],
    windings: [],
    checks: [],
    relations: [],
    sources: [
      { id: 's1', grade: 'maker', title: 'made up' },
      { id: 'g', grade: 'guess', title: 'a guess' },
    ],
    hints: [],
    care: { isolate: [], maxTestVolts: 500, cautions: [] },
    ...parts,
  }
}

const terminal = (id: string) => ({ id, label: id, aliases: [] })

/** Terminals that are called what they are named. */
export const plainTerminals = (...ids: string[]) => ids.map(terminal)

/** A check with one limit from the card's first source. */
export function plainCheck(
  id: string,
  kind: Check['kind'],
  at: Check['at'],
  limit?: Limit | 'derived',
  more: Partial<Check> & { source?: string } = {},
): Check {
  const { source = 's1', ...rest } = more
  const limits = limit === undefined ? [] : [{ id: 'l1', for: 'any' as const, limit, source }]
  return { id, label: id, kind, at, required: true, limits, ...rest }
}

/** A changeover relay: coil 85–86, contacts read at rest and driven. */
export function relayCard(changes: Partial<Card> = {}): Card {
  const blades = ['30', '85', '86', '87', '87a']
  const drive = { plus: '85', minus: '86' }
  return plainCard({
    family: 'relay',
    construction: 'changeover',
    terminals: blades.map(terminal),
    windings: [{ id: 'coil', label: 'coil', from: '85', to: '86', ohms: 90, tolerancePct: 10, material: 'copper' }],
    checks: [
      plainCheck('coil', 'resistance', { pair: ['85', '86'] }, { kind: 'band', min: 80, max: 100 }),
      plainCheck(
        'rest',
        'contacts',
        { among: blades },
        { kind: 'closed', atMost: 0.5 },
        { conditions: { drive: null } },
      ),
      plainCheck('driven', 'contacts', { among: blades }, { kind: 'closed', atMost: 0.5 }, { conditions: { drive } }),
    ],
    ...changes,
  })
}

/** A compressor with run and start winding between three pins. */
export function compressorCard(changes: Partial<Card> = {}): Card {
  const relations: Relation[] = [
    { id: 'kind', label: 'split phase', source: 's1', kind: 'kind-of-three', check: 'pins', must: 'split-phase' },
  ]
  return plainCard({
    family: 'compressor',
    construction: 'split-phase',
    terminals: ['C', 'R', 'S', 'frame'].map(terminal),
    windings: [
      { id: 'run', label: 'run', from: 'C', to: 'R', ohms: 4.9, tolerancePct: 10, material: 'copper' },
      { id: 'start', label: 'start', from: 'C', to: 'S', ohms: 11.7, tolerancePct: 10, material: 'copper' },
    ],
    checks: [plainCheck('pins', 'three-pins', { among: ['C', 'R', 'S'] }, 'derived')],
    relations,
    ...changes,
  })
}

/** Eight bars round an armature that should read alike. */
export const armatureCard = (): Card =>
  plainCard({
    family: 'armature',
    terminals: [terminal('shaft')],
    checks: [plainCheck('bars', 'bars', { ring: 8 }, { kind: 'alike', allowedPct: 8 })],
  })

/** Resistive leads of 15 kΩ a metre, still and bent. */
export function leadsCard(): Card {
  const limit: Limit = { kind: 'perMetre', value: 15_000, tolerancePct: 20 }
  const bent: Conditions = { state: ['flexed'] }
  const at = { place: 'each lead, end to end' }
  return plainCard({
    family: 'ignition-leads',
    terminals: [terminal('coil end'), terminal('plug end')],
    checks: [
      plainCheck('still', 'per-length', at, limit, { items: 3, x: 'length' }),
      plainCheck('bent', 'per-length', at, limit, { items: 3, x: 'length', conditions: bent }),
    ],
  })
}

/** A level sender, 10 to 190 Ω over its travel. */
export const senderCard = (): Card =>
  plainCard({
    family: 'sender',
    terminals: ['S', 'frame'].map(terminal),
    checks: [
      plainCheck(
        'travel',
        'curve',
        { pair: ['S', 'frame'] },
        {
          kind: 'curve',
          points: [
            { x: 0, ohms: 10 },
            { x: 50, ohms: 72 },
            { x: 100, ohms: 190 },
          ],
          tolerancePct: 10,
        },
        { x: 'position' },
      ),
    ],
  })

/** A valve solenoid: ohms, insulation at 500 V, draw, lamp, and whether it acts. */
export const valveCard = (changes: Partial<Card> = {}): Card =>
  plainCard({
    family: 'valve-solenoid',
    terminals: ['1', '2', 'frame'].map(terminal),
    windings: [{ id: 'coil', label: 'coil', from: '1', to: '2', ohms: 8, tolerancePct: 5, material: 'copper' }],
    checks: [
      plainCheck('coil', 'resistance', { pair: ['1', '2'] }, { kind: 'band', min: 7.6, max: 8.4 }),
      plainCheck(
        'shell',
        'insulation',
        { each: ['1'], to: 'frame' },
        { kind: 'insulation', minOhms: 1e8, minVolts: 475 },
        { conditions: { testVolts: 500 } },
      ),
      plainCheck('draw', 'current', { pair: ['1', '2'] }, undefined, { required: false }),
      plainCheck('lamp', 'lamp', { pair: ['1', '2'] }, { kind: 'answer', of: ['dark', 'dim', 'full'], right: ['dim'] }),
      plainCheck(
        'click',
        'act',
        { place: 'the plunger' },
        { kind: 'answer', of: ['clicks', 'silent'], right: ['clicks'] },
      ),
    ],
    relations: [
      {
        id: 'r1',
        label: 'draws what it should',
        source: 's1',
        kind: 'draw',
        amps: 'draw',
        ohms: 'coil',
        withinPct: 12,
      },
    ],
    ...changes,
  })

/** A two-coil pickup with four loose wires and a shield. */
export const pickupCard = (): Card =>
  plainCard({
    family: 'pickup',
    terminals: [
      ...['A', 'B', 'D', 'E'].map(terminal),
      { id: 'sh', label: 'shield', aliases: [], part: 'shield' as const },
    ],
    windings: [
      { id: 'north', label: 'north', from: 'A', to: 'B', ohms: 4000, tolerancePct: 10, material: 'copper' },
      { id: 'south', label: 'south', from: 'D', to: 'E', ohms: 5200, tolerancePct: 10, material: 'copper' },
    ],
    checks: [
      plainCheck('wires', 'pair-matrix', { among: ['A', 'B', 'D', 'E', 'sh'] }, 'derived'),
      plainCheck(
        'henries',
        'inductance',
        { pair: ['A', 'B'] },
        { kind: 'band', min: 2, max: 3 },
        {
          required: false,
          conditions: { hertz: 120 },
        },
      ),
    ],
  })
