import type { CautionId } from '../document'
import type { Drive } from '../function'

export type StepGroup = 'meet' | 'safe' | 'leads' | 'windings' | 'ground' | 'act' | 'asked' | 'finding'

/** Where one reading is taken: between two terminals, at one of several items, at a place on a curve, driven one way. */
export interface StepPoint {
  pair?: [string, string]
  /** terminals that this pair stands for */
  covers: string[]
  index?: number
  x?: number
  /** a contact's coil: null at rest, else how it is driven; absent on all else */
  drive?: Drive | null
}

/**
 * One thing to do, in working order. `id` is stable for a card, so that a run is left and entered at the same step. `coil` is the winding it
 * is of, where a person works coil by coil.
 */
export type Step = { id: string; group: StepGroup; cautions: CautionId[]; coil?: string } & (
  | { kind: 'look'; check?: string; place: string }
  | { kind: 'isolate' }
  | { kind: 'temperature' }
  | { kind: 'leads' }
  | { kind: 'frame-proof' }
  | { kind: 'supply' }
  | { kind: 'reading'; check: string; point: StepPoint; required: boolean }
  | { kind: 'answer'; check: string; required: boolean }
  | { kind: 'finding' }
)
