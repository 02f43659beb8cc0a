import { gaugeFits, type RewindBody, type WireLeft } from '@sure-spool/core'
import { notKnown } from '../words/rewind'
import {
  typedEnds,
  typedLay,
  typedLeft,
  typedStep,
  typedStrands,
  typedTurns,
  typedWinding,
  type TypedLeft,
} from './typedWinding'

/** Where the winder is while something is typed, and what it does with it. */
export interface At {
  kind: () => string
  coil: () => string
  /** the film that is looked for */
  build: () => 'single' | 'heavy' | undefined
  meter: () => string | undefined
  /** what came off so far */
  left: () => WireLeft | undefined
  decimalComma: () => boolean
  keep: (body: RewindBody) => void
  set: (turns: number) => void
  done: () => void
  cannotBeKnown: () => void
}

/** What is typed into the line and said in words at the winder, made entries. */
export function saying(at: At) {
  /** @returns what is wrong with it; empty where it was kept */
  function keptAs(text: string): string {
    const typing = { decimalComma: at.decimalComma() }
    if (at.kind() === 'turns') {
      const found = typedTurns(text)
      if (!found) return 'Type the turns, layer by layer where you can: 12, 11, 8.'
      at.set(found.turns)
      at.keep({ kind: 'original', coil: at.coil(), facts: found })
      at.done()
      return ''
    }
    if (at.kind() === 'wire') {
      const found = typedStrands(text, typing)
      const left = found ? null : typedLeft(text, typing)
      if (left) at.keep({ kind: 'original', coil: at.coil(), facts: withBefore(left) })
      if (left) return ''
      if (!found)
        return 'Type the micrometer, with the strands that lay side by side: 5x 4.81; or what came off, ohms with their warmth: 17.2 m 0.466 ohm @ 22, 154 g.'
      const overallMm = (1000 * (found.reading.value ?? 0)) / found.strands
      const film = at.build() === undefined ? {} : { build: at.build() }
      const candidates = gaugeFits({ overallMm, strands: found.strands, ...film }).map(({ awg, bareMm }) =>
        awg === undefined ? { bareMm } : { awg },
      )
      at.keep({ kind: 'gauge', coil: at.coil(), ...found, ...film, candidates })
      return ''
    }
    const found = typedWinding(text, typing, at.meter())
    if (!found) return 'Type turns so far, or with them ohms and warmth: 2400 2.74k @ 22.'
    at.set(found.turns)
    if ('reading' in found) at.keep({ kind: 'mid-wind', coil: at.coil(), ...found })
    else at.keep({ kind: 'count', coil: at.coil(), of: 'wind', turns: found.turns })
    return ''
  }

  /** What came off is told bit by bit: a later one adds to an earlier. */
  const withBefore = ({ left, henries }: TypedLeft) => ({
    ...(left ? { left: { ...at.left(), ...left } } : {}),
    ...(henries === undefined ? {} : { henries }),
  })

  /** Words for a step that wants them. @returns what is wrong with them; empty where they were kept */
  function say(words: string): string {
    if (words.trim() === notKnown) {
      at.cannotBeKnown()
      return ''
    }
    if (at.kind() === 'lay') {
      const found = typedLay(words)
      if (!found) return 'Say cw or ccw, and from where it is seen: cw from outside.'
      at.keep({ kind: 'original', coil: at.coil(), facts: found })
    } else if (at.kind() === 'ends') {
      const found = typedEnds(words)
      if (!found) return 'Say where the start is; a semicolon; where the finish is.'
      at.keep({ kind: 'original', coil: at.coil(), facts: found })
    } else {
      const found = typedStep(words)
      if (!found)
        return 'Begin with what was done: leads, insulated, taped, wax, varnish, epoxy, bake, label, no fixing.'
      at.keep(found)
    }
    at.done()
    return ''
  }

  return { keptAs, say }
}
