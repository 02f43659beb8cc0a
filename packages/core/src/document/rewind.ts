import type { EntryHead, Instrument, Reading, Spot } from './run'

/** The core or bobbin the first turn lies on, in mm. */
export type CoilShape =
  | { kind: 'round'; coreMm: number }
  | { kind: 'racetrack'; coreLengthMm: number; coreWidthMm: number }
  | { kind: 'rectangle'; a: number; b: number }

/** A coil's wire as far as it is known: its gauge or bare diameter, over its film, the film's build, how many strands are laid together. */
export interface CoilWire {
  awg?: number
  bareMm?: number
  overallMm?: number
  build?: 'single' | 'heavy'
  film?: string
  strands?: number
}

/** What came off a coil: its ohms at 20 °C from end to end, how long it is, what it weighs. */
export interface WireLeft {
  ohms20?: number
  metres?: number
  grams?: number
}

/** What is known of a coil: as it was, or as it is to be. */
export interface CoilFacts {
  turns?: number
  layers?: number
  ohms20?: number
  ohmsPerTurn?: number
  henries?: number
  wire?: CoilWire
  lay?: 'cw' | 'ccw'
  seenFrom?: string
  start?: string
  finish?: string
  pole?: 'north' | 'south'
  fixing?: string
  left?: WireLeft
}

/** What is to be wound, where that comes from, and the room it has. */
export interface CoilPlan extends CoilFacts {
  /** `rewinds`: as others of the model were wound */
  from: 'original' | 'card' | 'twin' | 'neighbours' | 'rewinds' | 'told' | 'estimate'
  why: string
  shape?: CoilShape
  traverseMm?: number
  /** how high it may build, mm */
  windowMm?: number
  /** a fraction, 1 = square stacking */
  packing?: number
  /** measured or told, where the core's shape is not; or `ohmsPerTurn`, a rule of thumb */
  meanTurnMm?: number
}

export interface Coil {
  id: string
  /** the winding of the card that it is, or is part of */
  winding: string
  label: string
  /** of two coils of a pickup: the other one, by its label; they are to add */
  sister?: string
}

/** A rewind: between the run that found the dead coil and the run that proves the new one (CARD, "Rewind"). */
export interface Rewind {
  format: 'sure-spool/rewind'
  version: 1
  id: string
  unit: string
  before?: string
  startedAt: string
  instruments: Instrument[]
  coils: Coil[]
  entries: RewindEntry[]
}

/** What is done beside the winding itself, in the order in which it is usually done. */
export const rewindSteps = ['strip', 'edges', 'mount', 'insulate', 'leads', 'tape', 'fix', 'label', 'assemble'] as const
export type RewindStepId = (typeof rewindSteps)[number]

/** What stripping can fail to tell: the coil is cut, burnt to one lump, or gone. */
export const unknownFacts = ['turns', 'lay', 'ends', 'wire'] as const
export type UnknownFact = (typeof unknownFacts)[number]

export type RewindBody =
  /** what the stripping shows; a later fact goes before an earlier one */
  | { kind: 'original'; coil: string; facts: CoilFacts; photo?: string; spot?: Spot }
  | { kind: 'unknown'; coil: string; of: UnknownFact }
  /** `build`: the film that was looked for */
  | {
      kind: 'gauge'
      coil: string
      strands: number
      reading: Reading
      build?: 'single' | 'heavy'
      candidates: { awg?: number; bareMm?: number }[]
    }
  | { kind: 'plan'; coil: string; plan: CoilPlan }
  /** a turn by hand: which way the machine went, and the lay that it made */
  | { kind: 'direction'; machine: 'cw' | 'ccw'; lay: 'cw' | 'ccw' }
  /** turns so far, while stripping or winding: what a pause goes on from */
  | { kind: 'count'; coil: string; of: 'strip' | 'wind'; turns: number }
  | { kind: 'mid-wind'; coil: string; turns: number; reading: Reading; partC?: number }
  | { kind: 'live-ground'; state: 'on' | 'beep' | 'mended' | 'off'; coil?: string; turns?: number; words?: string }
  /** the wire broke: it goes on behind a splice, or from the first turn */
  | { kind: 'broke'; coil: string; turns: number; then: 'splice' | 'again' }
  | {
      kind: 'wound'
      coil: string
      turns: number
      machine?: 'cw' | 'ccw'
      lay?: 'cw' | 'ccw'
      metres?: number
      words?: string
    }
  | {
      kind: 'step'
      what: RewindStepId
      coil?: string
      material?: string
      atC?: number
      seconds?: number
      words?: string
      photo?: string
      spot?: Spot
    }
  /** iron touched to the one coil and to its sister: which way the meter swings, and how their magnets stand */
  | { kind: 'phase'; coil: string; swing: 'same' | 'opposite'; magnets: 'alike' | 'opposite' | 'unknown' }
  | { kind: 'answer'; remark: string; reason: string }
  | { kind: 'note'; words: string; about?: string; photo?: string; spot?: Spot }
  | { kind: 'take-back'; entry: string; reason: string }

export type RewindHead = Omit<EntryHead, 'run'> & { rewind: string }
export type RewindEntry = RewindHead & RewindBody
export type RewindEntryOf<K extends RewindBody['kind']> = RewindHead & Extract<RewindBody, { kind: K }>
