import { nameTokens as tokensOf, terminalNamed, type Card } from '../document'
import type { AskedKind } from './askedOf'
import type { ToldFigure } from './toldOnSketch'
import { isTrial, type Trial } from './trials'

/**
 * Two points as a person typed them, and what is to be read there where they said so; a new point, and the terminal on whose lead it lies; a
 * place where a magnet's field is read; a trial that is no figure; or a sentence on what cannot be read.
 */
export type TypedPoints =
  | { pair: [string, string]; kind?: AskedKind; told?: ToldFigure }
  | { point: string; on: string }
  | { field: string }
  | { trial: Trial; at: { pair: [string, string] } | { place: string } }
  | { problem: string }

const words: [RegExp, AskedKind][] = [
  [/^(ohms?|ω|r|resistance)$/, 'resistance'],
  [/^(v|volts?|vdc|dcv|dc)$/, 'dc-output'],
  [/^(vac|acv|ac)$/, 'ac-output'],
  [/^(a|amps?|amperes?)$/, 'current'],
  [/^(h|henr(y|ys|ies))$/, 'inductance'],
  [/^(f|farads?)$/, 'capacitance'],
  [/^(insulation|megohms?|megs?)$/, 'insulation'],
  [/^(response|frequency|frequencies)$/, 'response'],
]
const joins = new Set(['and', 'to', 'between', 'in', ''])

/**
 * Reads two terminals of a card, by label, alias or id, and a quantity behind them: `grey tan`, `orange to frame insulation`, `yellow 1 and
 * yellow 2 vac`; a point that the card does not know: `new tan tail on tan`; a magnet: `field first coil`; a trial:
 * `lamp grey tan`, `tap first coil`, `blade slot 14`. The longest name that fits is taken, so `violet/white` is not `violet`.
 * @param text as typed; case and what stands between the names do not matter
 * @example
 * typedPoints('grey and tan', scenes.low().run.card).pair // [ 'G', 'T' ]
 */
export function typedPoints(text: string, card: Card): TypedPoints {
  const names = card.terminals
    .flatMap(({ id, label, aliases }) => [label, ...aliases, id].map((name) => ({ id, tokens: tokensOf(name) })))
    .filter(({ tokens }) => tokens.length > 0)
    .sort((a, b) => b.tokens.length - a.tokens.length)
  const fresh = newPoint.exec(text.normalize('NFC').trim())
  if (fresh) return pointOn(fresh[1] ?? '', fresh[2] ?? '', card)
  const [, front, tail] = /^(.*?)\btold\b(.*)$/i.exec(text.normalize('NFC')) ?? []
  if (front !== undefined && tail !== undefined) return withTold(typedPoints(front, card), tail, card)
  const magnet = /^field\b\s*(?:at|of|over|in)?\s*(.*)$/i.exec(text.normalize('NFC').trim())
  if (magnet) return magnet[1] ? { field: magnet[1] } : { problem: 'Say where the field is read: field first coil.' }
  const [, trial = '', where = ''] =
    /^(\w+)\b\s*(?:at|of|over|on|between)?\s*(.*)$/i.exec(text.normalize('NFC').trim()) ?? []
  const name = trial.toLowerCase()
  // a part may have a lead that is called so
  if (isTrial(name) && !terminalNamed(name, card)) return trialAt(name, where, card)
  const points: string[] = []
  let kind: AskedKind | undefined
  const typed = tokensOf(text)
  for (let i = 0; i < typed.length;) {
    const named = names.find(({ tokens }) => tokens.every((token, k) => typed[i + k] === token))
    if (named) {
      points.push(named.id)
      i += named.tokens.length
      continue
    }
    const token = typed[i] ?? ''
    const said = words.find(([pattern]) => pattern.test(token))?.[1]
    if (!said && !joins.has(token)) return { problem: `“${token}” is no point of this part and no quantity.` }
    kind = said ?? kind
    i++
  }
  const [a, b, ...more] = points
  if (a === undefined || b === undefined || more.length > 0)
    return {
      problem: `Type two points, as ${example(card)}; ${points.length} ${points.length === 1 ? 'is' : 'are'} named.`,
    }
  if (a === b) return { problem: 'Both are the same point: touch two.' }
  return { pair: [a, b], ...(kind ? { kind } : {}) }
}

/** A trial at two points where the words name them, else at a place by its name. */
function trialAt(trial: Trial, where: string, card: Card): TypedPoints {
  if (where === '') return { problem: `Say where: ${trial} ${example(card)}, or a place.` }
  const points = typedPoints(where, card)
  return { trial, at: 'pair' in points && !points.kind ? { pair: points.pair } : { place: where } }
}

/** What stands behind `told`: a figure, and apart by commas a name for what is between, and two points that are joined meanwhile. */
function withTold(points: TypedPoints, tail: string, card: Card): TypedPoints {
  if (!('pair' in points)) return 'problem' in points ? points : { problem: 'Say between which two points.' }
  const [text = '', ...more] = tail.split(/,\s+/).map((one) => one.trim())
  const told: ToldFigure = { text }
  for (const words of more) {
    const [, joint] = /^(.*?)\s+joined$/i.exec(words) ?? []
    const pair = joint === undefined ? undefined : typedTerminals(joint.replace(/\s+(?:and\s+)?/, ', '), card)
    const [a, b] = pair && 'terminals' in pair ? pair.terminals : []
    if (joint === undefined) told.label = words
    else if (a !== undefined && b !== undefined) told.joined = [a, b]
    else return { problem: `“${joint}” are not two points of this part.` }
  }
  return text === '' ? { problem: 'Say what was told, as told 11.6k.' } : { ...points, told }
}

/**
 * Reads several points, apart by commas or `and`: the leads that are lifted.
 * @example
 * typedTerminals('grey, tan', scenes.low().run.card) // { terminals: [ 'G', 'T' ] }
 */
export function typedTerminals(text: string, card: Card): { terminals: string[] } | { problem: string } {
  const said = text
    .split(/,|\band\b/)
    .map((one) => one.trim())
    .filter((one) => one !== '')
  const found = said.map((one) => terminalNamed(one, card))
  const strange = said.find((_one, i) => !found[i])
  if (strange !== undefined) return { problem: `“${strange}” is no point of this part.` }
  const terminals = [...new Set(found.flatMap((one) => one?.id ?? []))]
  return terminals.length > 0 ? { terminals } : { problem: 'No point is named.' }
}

const newPoint = /^new\s+(.+)\s+on\s+(.+)$/i

function pointOn(label: string, where: string, card: Card): TypedPoints {
  const on = terminalNamed(where, card)
  if (!on) return { problem: `“${where}” is no point of this part, so nothing can lie on it.` }
  if (terminalNamed(label, card)) return { problem: `“${label}” is a point of this part already.` }
  return { point: label, on: on.id }
}

const example = ({ terminals: [a, b] }: Card): string => (a && b ? `${a.label} ${b.label}` : 'grey tan')
