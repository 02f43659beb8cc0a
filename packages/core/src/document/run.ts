/** The run: one session of a unit on the bench. Its entries are the only thing kept; all else is computed from them. */
import type { Card, Check, Conditions, Limit, Place, Rule, Terminal } from './card'
import type { CautionId, ComplaintId, DecisionId, Isolation, LookId, Quantity, WorkId } from './ids'

export interface Run {
  format: 'sure-spool/run'
  version: 1
  id: string
  unit: {
    id: string
    tag: string
    serial?: string
    /** how many items it has, where that is another number than its card's: six odd leads */
    items?: number
    variant?: string
    history: History
    complaint: ComplaintId[]
    words: string
  }
  card: Card
  rule: Rule
  instruments: Instrument[]
  startedAt: string
  /** of this unit alone, and only where the card has none for any part or for rewound ones */
  limits?: UnitLimit[]
  compare?: Comparison[]
  entries: Entry[]
}
export type History = 'new' | 'used' | 'rewound'

/** What one unit is to read: by the plan of its rewind, or as it was told. */
export interface UnitLimit {
  check: string
  limit: Limit
  source: 'rewind' | 'told'
  text?: string
}

/** Figures of another part or another day, net of leads, metal at 20 °C. */
export interface Comparison {
  as: 'twin' | 'neighbour' | 'earlier' | 'new'
  tag: string
  run?: string
  figures: { check: string; pair?: [string, string]; index?: number; value: number; u: number }[]
  /** of an earlier run: checks that were outside, which the next run takes first */
  failed?: string[]
}

export interface Instrument {
  id: string
  name: string
  overSign: 'OL' | '1' | '>'
  ranging: 'auto' | 'hand'
  fourWire?: true
  /** ohms under which its beeper sounds */
  beepsBelow?: number
  /** how its leads are zeroed: by its own key, or taken off by the bench */
  zero?: 'hardware' | 'subtract'
  /** the day its calibration is due, as 2027-03-02 */
  dueOn?: string
  functions: { quantity: Quantity; ranges: MeterRange[] }[]
}

/** fullScale and resolution in SI units of the function's quantity. */
export interface MeterRange {
  fullScale: number
  resolution: number
  percentOfReading?: number
  counts?: number
}

export interface EntryHead {
  id: string
  run: string
  n: number
  at: string
  by: string
  receivedAt?: string
  /** seconds by which the bench's clock was off; `at` is right by them */
  clock?: number
}

/** A place on a photo, as shares of its width and height from the upper left. */
export interface Spot {
  x: number
  y: number
}

export type EntryBody =
  | { kind: 'reading'; check: string; reading: Reading }
  | {
      kind: 'lead-check'
      instrument: string
      leads?: string
      text: string
      ohms: number
      u: number
      how: 'hardware' | 'subtract' | 'carried'
      /** a zero that serves several runs of one tray: where it was made, and when */
      from?: { run: string; at: string }
    }
  | {
      kind: 'proof'
      instrument?: string
      of: 'tips' | 'same-metal' | 'open-leads' | 'jack'
      terminal?: string
      text?: string
    }
  | { kind: 'supply'; text: string; volts: number; u: number; while: 'off' | 'on'; limitAmps?: number; check?: string }
  | { kind: 'temperature'; part: 'room' | 'measured' | 'hot' | 'cold'; partC?: number; uPartC?: number; roomC?: number }
  | { kind: 'isolation'; state: Isolation; lifted?: string[]; parallelOhms?: number }
  | { kind: 'wires'; map: Record<string, string> }
  | { kind: 'caution'; caution: CautionId }
  | {
      kind: 'look'
      check?: string
      place: string
      what: LookId[]
      words?: string
      photo?: string
      spot?: Spot
      fault?: true
    }
  | { kind: 'note'; words: string; about?: string; photo?: string; spot?: Spot }
  | { kind: 'work'; what: WorkId; place: string; undoes?: string; rewind?: string; words?: string }
  /** a check of this run alone; its id begins with `ask-` */
  | { kind: 'ask'; check: Check }
  /** a point off the card, as a coil’s tail; `on` the terminal whose lead it lies on; its id begins with `point-` */
  | { kind: 'point'; terminal: Terminal; on: string }
  /** a twin, neighbour or earlier run taken as reference at the bench */
  | { kind: 'compare'; with: Comparison }
  /** where the part is from here on; until one says otherwise it is on the bench */
  | { kind: 'place'; where: Place }
  | { kind: 'skip'; check: string; reason: string }
  | { kind: 'answer'; remark: string; reason: string }
  | { kind: 'take-back'; entry: string; reason: string }
  | { kind: 'decision'; what: DecisionId; about?: (string | number)[]; why: string; second?: string }
  | { kind: 'outcome'; what: 'ran-well' | 'came-back'; words: string }

export type Entry = EntryHead & EntryBody
export type EntryOf<K extends EntryBody['kind']> = EntryHead & Extract<EntryBody, { kind: K }>

export interface Reading {
  taken: 'typed' | 'meter' | 'pedal'
  instrument?: string
  leads?: string
  contact?: 'tips' | 'clips' | 'stubs'
  text: string
  decimalComma: boolean
  kind: 'value' | 'over' | 'above' | 'below' | 'spread' | 'answer'
  value?: number
  low?: number
  high?: number
  answer?: string
  range?: number
  conditions?: Conditions
  samples?: number
  settled?: boolean
  drops?: number
  pair?: [string, string]
  index?: number
  x?: number
  xText?: string
  /** the place that was bent */
  where?: string
  /** a beep is below the meter's `beepsBelow`, no beep above it; its text is not parsed */
  method?: 'beeper' | 'volts-over-amps'
  /** of `volts-over-amps`: both figures; `value` is what they make */
  volts?: number
  amps?: number
  supersedes?: string
  mistyped?: true
  reason?: string
}
