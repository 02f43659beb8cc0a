/** The card: what a model should read, how to hold it, and who says so. Numbers are SI; docs/formats.md has an example. */
import type { CautionId, Colour, ComplaintId, Family, Quantity } from './ids'

export interface Card {
  format: 'sure-spool/card'
  version: 1
  id: string
  revision: number
  state: 'sketch' | 'draft' | 'published'
  family: Family
  construction?: string
  name: { maker: string; model: string; partNumbers: string[]; fits: string[]; note?: string }
  variants: { id: string; label: string }[]
  terminals: Terminal[]
  plugs: Plug[]
  windings: Winding[]
  checks: Check[]
  relations: Relation[]
  sources: Source[]
  hints: Hint[]
  care: {
    isolate: string[]
    ratedVolts?: number
    maxTestVolts: number
    electronicsBetween?: [string, string][]
    cautions: CautionId[]
  }
}

/** An electrical point. `frame` is there where the part has one; a `joint` (star point) has no pin. */
export interface Terminal {
  id: string
  label: string
  aliases: string[]
  wire?: { base: Colour; tracer?: Colour }
  part?: 'shield' | 'ground-lead' | 'joint'
}

export type PlugShape =
  'grid' | 'row' | 'triangle' | 'circle' | 'posts' | 'blades' | 'lugs' | 'sockets' | 'loose-wires' | 'bars'
export type Side = 'top' | 'right' | 'bottom' | 'left'

/** A connector as drawn. `at` is [column, row] from the top left as seen from `drawnFrom`. */
export interface Plug {
  id: string
  label: string
  only?: string[]
  shape: PlugShape
  size: { columns: number; rows: number } | { count: number }
  key: { kind: 'latch' | 'tab' | 'notch' | 'flat' | 'none'; side: Side }
  drawnFrom: 'wire side' | 'mating side' | 'outside'
  cavities: Cavity[]
  adaptor?: string
}

export interface Cavity {
  at: [number, number]
  terminal: string | null
  /** what is counted or stamped there, on a part that does not say which terminal it is */
  mark?: string
  gender?: 'male' | 'female'
}

/** `from` is the winding's start; either end may be 'frame'. Windings on one `core` share a temperature. */
export interface Winding {
  id: string
  label: string
  from: string
  to: string
  ohms?: number
  tolerancePct?: number
  material: Material
  core?: string
}
export type Material = 'copper' | 'aluminium' | 'resistive'

export interface Check {
  id: string
  label: string
  kind: CheckKind
  at: At
  required: boolean
  only?: string[]
  /** on the machine, or on the bench: while the run is at the other place it waits, and holds nothing */
  where?: Place
  quantity?: Quantity
  x?: Quantity
  items?: number
  limits: CardLimit[]
  conditions?: Conditions
  how?: { range?: string; either?: boolean; note?: string }
}

/** Where a part is while it is read: in its machine, or taken off it. */
export type Place = 'machine' | 'bench'

export interface CardLimit {
  id: string
  for: 'any' | 'new' | 'used' | 'rewound'
  limit: Limit | 'derived'
  text?: string
  source: string
  referenceC?: number
  rule?: Rule
  assumed?: true
}

export type Rule = 'guarded' | 'simple'

export type CheckKind =
  | 'resistance'
  | 'continuity'
  | 'insulation'
  | 'inductance'
  | 'capacitance'
  | 'current'
  | 'lamp'
  | 'ac-output'
  | 'dc-output'
  | 'field'
  | 'curve'
  | 'bars'
  | 'per-length'
  | 'contacts'
  | 'pair-matrix'
  | 'three-pins'
  | 'look'
  | 'act'
  | 'response'

export type At =
  | { pair: [string, string] }
  | { each: string[]; to: string }
  | { among: string[] }
  | { ring: number }
  | { place: string }

export interface Conditions {
  volts?: number
  rpm?: number
  hertz?: number
  testVolts?: number
  peak?: true
  seriesOhms?: number
  lamp?: { volts?: number; watts?: number }
  load?: string
  state?: string[]
  joined?: [string, string][]
  drive?: { plus: string; minus: string } | null
}

export type Limit =
  | { kind: 'band'; min: number; max: number }
  | { kind: 'nominal'; value: number; minusPct: number; plusPct: number }
  | { kind: 'atLeast'; value: number }
  | { kind: 'atMost'; value: number }
  | { kind: 'open'; atLeast: number }
  | { kind: 'closed'; atMost: number }
  | { kind: 'insulation'; minOhms: number; minVolts?: number; testVolts?: number }
  | { kind: 'curve'; points: { x: number; ohms: number }[]; tolerancePct: number; scale?: 'log' }
  | { kind: 'alike'; allowedPct: number }
  | { kind: 'perMetre'; value: number; tolerancePct: number }
  | { kind: 'answer'; of: string[]; right: string[] }
  | { kind: 'none' }

export type Relation = { id: string; label: string; source: string } & (
  | { kind: 'sum'; parts: string[]; whole: string }
  | { kind: 'equal'; checks: string[]; withinPct: number }
  | { kind: 'ratio'; of: string; to: string; ratio: number; withinPct: number }
  | { kind: 'unbalance'; checks: string[]; maxPct: number }
  | { kind: 'twin'; check: string; withinPct: number }
  | { kind: 'above'; check: string; than: string; by: number }
  | { kind: 'draw'; amps: string; ohms: string; withinPct: number }
  | { kind: 'kind-of-three'; check: string; must: 'split-phase' | 'balanced' | 'single' }
)

export type Grade = 'maker' | 'trade' | 'measured' | 'told' | 'guess'

export interface Source {
  id: string
  grade: Grade
  title: string
  date?: string
  note?: string
  units?: number
}

/** What a complaint, or a reading, points at: winding ids, or a place. */
export interface Hint {
  when: ComplaintId | { check: string; verdict: 'within' | 'outside' }
  suspects: string[]
  clears?: string[]
  text: string
}
