import type { CoilShape, KnownOhms } from '@sure-spool/core'
import { inWords } from '../words/capital'

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
  { value: 'told', label: 'told' },
  { value: 'estimate', label: 'estimated' },
] as const

/** A shape's first and second measure, mm. */
export const firstOf = (shape: CoilShape) =>
  shape.kind === 'round' ? shape.coreMm : shape.kind === 'racetrack' ? shape.coreLengthMm : shape.a
export const secondOf = (shape: CoilShape) =>
  shape.kind === 'round' ? undefined : shape.kind === 'racetrack' ? shape.coreWidthMm : shape.b

/** What stands behind ohms that can be aimed at. */
export const knownWords = ({ from, of }: KnownOhms): string =>
  from === 'card' ? 'the card’s figure' : `${from === 'twin' ? 'read on' : 'as its neighbour reads,'} ${inWords(of)}`
