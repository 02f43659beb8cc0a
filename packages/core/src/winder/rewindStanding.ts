import type { Coil, CoilFacts, CoilPlan, Rewind, RewindEntryOf, UnknownFact } from '../document'
import type { LeftTells, MidWind, PlannedCoil, WireFit } from '../rewind'

/** What a careful colleague would say over a rewind. */
export interface RewindRemark {
  id:
    | 'gauges-too-near'
    | 'wire-unlike'
    | 'wire-disagrees'
    | 'does-not-fit'
    | 'just-fits'
    | 'out-of-phase'
    | 'hum-adds'
    | 'odd-poles'
    | 'winder-direction'
    | 'laid-alike'
    | 'turns-off'
    | 'ground-beeps'
    | 'ends-outside'
  severity: 'stop' | 'warn' | 'note'
  coil?: string
  params: Record<string, string | number>
  /** what an answer names */
  key: string
  answered?: true
}

/** A micrometer's reading of the old wire, and what it could be. */
export interface GaugeRead {
  entry: string
  strands: number
  /** of one strand, mm */
  overallMm: number
  fits: WireFit[]
  others: WireFit[]
  /** strands side by side that would tell them apart */
  wanted: number
  /** none of them is the copper that ohms, length and mass tell */
  unlikeLeft?: true
}

/** A check half way, as it was read and where it leads. */
export interface MidCheck extends MidWind {
  entry: string
  turns: number
  ohms: number
  atC: number
  /** nobody measured it: 20 °C was taken */
  assumedC?: true
}

export interface CoilState {
  coil: Coil
  original: CoilFacts
  /** what of it nobody can tell any more */
  unknown: ReadonlySet<UnknownFact>
  /** turns counted so far while unwinding */
  stripped: number
  gauges: GaugeRead[]
  /** what ohms, length and mass of the old wire tell */
  left: LeftTells
  plan?: CoilPlan
  planned?: PlannedCoil
  /** to be expected on the new coil */
  henries?: number
  /** the lay it is to have */
  lay?: 'cw' | 'ccw'
  /** turns on it so far */
  turns: number
  mid: MidCheck[]
  wound?: RewindEntryOf<'wound'>
  phase?: RewindEntryOf<'phase'>
  /** turns at which the live ground beeped, and whether it was mended */
  beeps: { turns: number; mended: boolean; entry: string }[]
}

export type RewindPhase = 'strip' | 'plan' | 'direction' | 'wind' | 'finish' | 'prove'
export interface RewindStep {
  id: string
  phase: RewindPhase
  coil?: string
  status: 'to-do' | 'done' | 'again'
}

/** What the coils of one winding come to together. */
export interface WholeWinding {
  winding: string
  coils: number
  turns: number
  ohms20: number
  low: number
  high: number
  metres: number
  grams: number
  /** turns that are on it */
  wound: number
}

export interface RewindState {
  rewind: Rewind
  coils: CoilState[]
  steps: RewindStep[]
  step: string
  remarks: RewindRemark[]
  wholes: WholeWinding[]
  ground: 'off' | 'on' | 'beep'
  direction?: RewindEntryOf<'direction'>
  finished: RewindEntryOf<'step'>[]
  takenBack: ReadonlySet<string>
}
