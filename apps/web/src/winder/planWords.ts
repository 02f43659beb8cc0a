import type { CoilShape, KnownOhms } from '@sure-spool/core'
import { inWords } from '../words/capital'
import type { Figures } from '../words/figures'
import { wireWords } from '../words/rewind'
import { isProven, type WoundAlike } from './useWoundAlike'

/** What a plan can be aimed at. */
export const aims = [
  { value: 'turns', label: 'turns' },
  { value: 'ohms', label: 'ohms' },
  { value: 'henries', label: 'henries' },
  { value: 'output', label: 'output' },
] as const

/** What is measured of each room: one side, or two. */
export const dimsOf = (kind: (typeof kinds)[number]['value']): readonly string[] =>
  ({
    mean: ['mean turn, mm'],
    rule: ['ohms of a thousand'],
    round: ['core across, mm'],
    racetrack: ['core length, mm', 'core width, mm'],
    rectangle: ['one side, mm', 'other side, mm'],
  })[kind]

/** The room a coil has, as it is chosen. */
export const kinds = [
  { value: 'mean', label: 'mean turn known' },
  { value: 'rule', label: 'ohms a thousand turns' },
  { value: 'round', label: 'round core' },
  { value: 'racetrack', label: 'flat core, round ends' },
  { value: 'rectangle', label: 'square core' },
] as const

/** Where a plan comes from. */
export const sources = [
  { value: 'original', label: 'as it was' },
  { value: 'card', label: 'the card’s figure' },
  { value: 'twin', label: 'a twin' },
  { value: 'neighbours', label: 'its neighbours' },
  { value: 'rewinds', label: 'others of the model' },
  { value: 'told', label: 'told' },
  { value: 'estimate', label: 'estimated' },
] as const

/** A shape's first and second measure, mm. */
export const firstOf = (shape: CoilShape) =>
  shape.kind === 'round' ? shape.coreMm : shape.kind === 'racetrack' ? shape.coreLengthMm : shape.a
export const secondOf = (shape: CoilShape) =>
  shape.kind === 'round' ? undefined : shape.kind === 'racetrack' ? shape.coreWidthMm : shape.b

/** How another of the model was wound: `4600 turns, gauge 44`, and what it read since. */
export const woundWords = ({ turns, wire, ohms20, ...one }: WoundAlike, figures: Figures): string =>
  [
    `${turns} turns`,
    wire ? wireWords(wire, figures) : '',
    ohms20 === undefined ? '' : figures.bound(Number(ohms20.toPrecision(3))),
    isProven(one) ? 'proven' : one.after?.cameBack ? 'came back' : '',
  ]
    .filter((each) => each !== '')
    .join(', ')

/** What stands behind ohms that can be aimed at. */
export const knownWords = ({ from, of }: KnownOhms): string =>
  from === 'card' ? 'the card’s figure' : `${from === 'twin' ? 'read on' : 'as its neighbour reads,'} ${inWords(of)}`
