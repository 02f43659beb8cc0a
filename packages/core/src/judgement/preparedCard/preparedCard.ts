import type { Card, CardLimit, Check, Grade, History, Material, Place, Relation } from '../../document'
import type { Band } from '../../conformance'

/** One limit ready to judge with: its band, what it expects, and who says so. */
export interface PreparedLimit extends Omit<CardLimit, 'limit'> {
  /** the limit as the card states it */
  stated: CardLimit['limit']
  kind: CardLimit['limit'] extends infer L ? (L extends { kind: infer K } ? K : never) | 'derived' : never
  band: Band
  grade: Grade
  expectOpen?: { atLeast: number }
  /** a derived limit of several points: each pair's own */
  byPair?: Map<string, PreparedLimit>
}

/** A point that the check needs read: a pair, or one of several. */
export interface NeededPoint {
  pair: [string, string]
  /** the terminals this point stands for */
  covers: string[]
}

/** What a card says of one check, worked out once: the check itself, with its limits as the card states them under `stated`. */
export interface PreparedCheck extends Omit<Check, 'limits'> {
  stated: CardLimit[]
  points: NeededPoint[]
  /** windings that carry current between the points read, or belong to the groups tested to frame */
  touches: Set<string>
  material: Material | undefined
  limits: Record<History, PreparedLimit[]>
  toFrame: boolean
}

export interface PreparedCard {
  card: Card
  /** where the part is: checks of the other place wait, and none of them is required */
  place: Place
  checks: Map<string, PreparedCheck>
  /** the relations that join a check, by check id */
  relationsOf: Map<string, Relation[]>
  /** what the card's windings join */
  groups: string[][]
  groupOf: (terminal: string) => string[]
  /** what they join in this unit: a winding that was found open joins nothing */
  unitGroups: string[][]
}
