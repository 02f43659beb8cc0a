import type { Evaluation } from '../judgement'

/** The kinds of cause, in the order in which one is preferred to another (CARD). */
export const causeKinds = [
  'winding-open',
  'winding-low',
  'winding-high',
  'joint',
  'to-frame',
  'insulation-low',
  'bridged',
  'other-kind',
  'contact-open',
  'contact-closed',
  'contact-high',
  'wire',
  'does-not-operate',
  'output',
  'answer',
  'draw',
  'bars',
  'items',
  'unlike',
  'seen',
  'figure',
] as const
export type CauseKind = (typeof causeKinds)[number]

/** One fault of the part, and the checks and relations it accounts for (METHODS 11.21). */
export interface Cause {
  kind: CauseKind
  /** windings, terminals, blades, numbers, a check, a relation or a place, as the kind says (CARD) */
  of: string[]
  /** ids of checks and relations, sorted */
  explains: string[]
  /** of `winding-low`: the share of its ohms that is missing */
  share?: number
  ohms?: number
  volts?: number
  /** of `winding-open` and of a `joint` whose lead is broken: the two points between which no path is left */
  between?: [string, string]
  /** of `to-frame`: the lead that reached it while it was bent, and where it was bent */
  bent?: { lead: string; where?: string }
  /** of `to-frame`: where along the winding, if its two ends tell */
  along?: Along
}

/** A place along a winding: the share of its turns that lie between its start and the place, with the share's standard uncertainty. */
export interface Along {
  winding: string
  share: number
  u: number
}

/** A cause by itself, before it is known what it accounts for. */
export type BareCause = Omit<Cause, 'explains'>

export interface Candidate {
  cause: BareCause
  covers: (fact: Fact) => boolean
  /** the winding failed by a check of its own */
  own: boolean
}

/** Something that stands outside and wants a cause. */
export interface Fact {
  /** the check or relation it is of; a place for a look */
  id: string
  /** what this fact says by itself, without looking at the others */
  alone: BareCause
  /** windings on the path of what was read */
  windings: ReadonlySet<string>
  /** the reading, where it is one that stands outside */
  read?: Evaluation
  /** the quantity is alternating or moving, and follows its winding */
  follows: boolean
  /** too little comes out of the whole part, at points that no winding of it ends at: as a battery that is not charged */
  starved?: true
}
