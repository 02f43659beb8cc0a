import {
  cardTemplate,
  families,
  freeId,
  limitText,
  parseKindLimit,
  type Quantity,
  type Card,
  type CardLimit,
  type Check,
  type CheckKind,
  type Family,
  type Grade,
  type Limit,
} from '@sure-spool/core'
import type { FigureRow } from '../api/bodies'
import { limitContradiction, limitSchema, most, sentencesOf } from '../formats'
import { readUnit, type FigureLine } from './columns'

/** What one line did to a card, or why it is refused; a refused line leaves the card as it is. */
export type Applied = { what: Exclude<FigureRow['what'], 'refused' | 'new-card'>; detail: string } | { problem: string }

const kinds: CheckKind[] = [
  'resistance',
  'continuity',
  'insulation',
  'inductance',
  'capacitance',
  'current',
  'ac-output',
  'dc-output',
]
const histories: CardLimit['for'][] = ['any', 'new', 'used', 'rewound']
const grades: Grade[] = ['maker', 'trade', 'measured', 'told', 'guess']

/**
 * A card being filled with lines of figures, one after another, in a copy of its own: a file of any length costs what its lines cost.
 * A check is found by its id, else by its label or its kind and ends, else made with the terminals it needs; a limit of the same
 * source and condition is replaced, another stands beside it, never merged.
 */
export class FiguresDraft {
  readonly card: Card
  changed = false

  /** @param card a valid card; it is left as it is */
  constructor(card: Card) {
    this.card = structuredClone(card)
  }

  /** @param decimalComma whether the comma is the decimal mark in the line's figures */
  apply(line: FigureLine, decimalComma: boolean): Applied {
    const { card } = this
    const read = readLine(card, line)
    if ('problem' in read) return read
    const { known, wanted, history, grade, reference } = read
    if (known && standsAlready(card, known, line, history)) return same
    const limit = limitOf(known?.kind ?? wanted, line, read.head, decimalComma)
    if ('problem' in limit) return limit
    const wrong = limitProblem(card, limit) ?? fullProblem(card, known, line, grade)
    if (wrong !== undefined) return { problem: wrong }
    const check = known ?? newCheck(card, line, wanted)
    if (typeof check === 'string') return { problem: check }
    const source = sourceOf(card, line.source, grade)
    const before = check.limits.find((one) => one.source === source && one.for === history)
    const referenceC = reference ?? before?.referenceC
    if (before && sameLimit(before.limit, limit) && before.referenceC === referenceC) return same
    this.changed = true
    const made: CardLimit = {
      id: before?.id ?? freeId('l', check.limits),
      for: history,
      limit,
      text: line.limit.slice(0, 200),
      source,
      ...(referenceC === undefined ? {} : { referenceC }),
    }
    if (before) {
      check.limits[check.limits.indexOf(before)] = made
      const was = before.limit === 'derived' ? 'derived' : (before.text ?? limitText(before.limit))
      return { what: 'changed', detail: `was ${was}` }
    }
    check.limits.push(made)
    const beside =
      check.limits.length > 1 ? `stands beside ${check.limits.length - 1} of other sources` : `${line.limit}`
    return { what: known ? 'another-limit' : 'new-check', detail: beside }
  }
}

const same: Applied = { what: 'same', detail: 'stands there already' }

type ReadFigures = {
  head: NonNullable<ReturnType<typeof readUnit>>
  known: Check | undefined
  wanted: CheckKind
  history: CardLimit['for']
  grade: Grade
  reference: number | undefined
}

/** The words of a line, each as one of those that may stand there. */
function readLine(card: Card, line: FigureLine): ReadFigures | { problem: string } {
  const head = readUnit(line.unit)
  if (!head) return { problem: `has a limit in ${line.unit}, which is no unit known here` }
  const wanted = (line.kind === '' ? head.kind : line.kind) as CheckKind
  const known = checkOf(card, line, wanted)
  if (!known && !kinds.includes(wanted))
    return { problem: `names the kind "${line.kind}"; a file can make ${kinds.join(', ')}` }
  const history = (line.for === '' ? 'any' : line.for) as CardLimit['for']
  if (!histories.includes(history)) return { problem: `is for "${line.for}"; say any, new, used or rewound` }
  const grade = (line.grade === '' ? 'told' : line.grade) as Grade
  if (!grades.includes(grade)) return { problem: `has the grade "${line.grade}"; say ${grades.join(', ')}` }
  const reference = line.referenceC === '' ? undefined : Number(line.referenceC.replace(',', '.'))
  if (reference !== undefined && !(reference > -90 && reference < 400))
    return { problem: 'has a reference that is no temperature' }
  return { head, known, wanted, history, grade, reference }
}

/** What a card's own schema would say against this limit. */
function limitProblem(card: Card, limit: Limit): string | undefined {
  const fits = limitSchema.safeParse(limit)
  const first = fits.success ? undefined : sentencesOf(fits.error)[0]
  const wrong = first ? `${first.path} ${first.detail}` : limitContradiction(limit, card)
  return wrong === undefined ? undefined : `would make a card that cannot be: its limit ${wrong}`
}

/** What a card holds as much of as it may. */
function fullProblem(card: Card, known: Check | undefined, line: FigureLine, grade: Grade): string | undefined {
  const full = (what: string, count: number) => `would give the card more than ${count} ${what}`
  if (!known && card.checks.length >= most.checks) return full('checks', most.checks)
  if (!known && card.terminals.length + 2 > most.terminals) return full('terminals', most.terminals)
  if (known && known.limits.length >= most.limitsOfOne) return full('limits of one check', most.limitsOfOne)
  const fresh = !card.sources.some((one) => one.title === titleOf(line.source) && one.grade === grade)
  return fresh && card.sources.length >= most.sources ? full('sources', most.sources) : undefined
}

const sameLimit = (a: Limit | 'derived', b: Limit): boolean => a !== 'derived' && inOrder(a) === inOrder(b)
const inOrder = (limit: Limit): string => JSON.stringify(limit, Object.keys(limit).sort())

/** What our own export wrote for this limit: nothing is to be read from it. */
const standsAlready = (card: Card, check: Check, line: FigureLine, history: CardLimit['for']): boolean =>
  check.limits.some((one) => {
    const title = card.sources.find(({ id }) => id === one.source)?.title ?? ''
    const text = one.limit === 'derived' ? 'derived' : limitText(one.limit) || 'none'
    return one.for === history && title === line.source && text === line.limit && /^(derived|none)$/.test(text)
  })

function limitOf(
  kind: CheckKind,
  line: FigureLine,
  { quantity, factor }: { quantity: Quantity; factor: number },
  decimalComma: boolean,
): Limit | { problem: string } {
  if (line.limit === '') return { problem: 'has no limit' }
  const parsed = parseKindLimit(kind, { text: line.limit, quantity, decimalComma })
  if ('problem' in parsed)
    return {
      problem: `has the limit "${line.limit.slice(0, 60)}", which cannot be read: ${limitProblems[parsed.problem] ?? 'write it as 318 ±10%, 0.66–0.90, > 20M or open'}`,
    }
  const ownPrefix = /\d\s*[mkMGµun]|[ΩVAHF]|ohm/.test(line.limit)
  return factor === 1 || ownPrefix ? parsed : scaled(parsed, factor)
}

const limitProblems: Partial<Record<string, string>> = {
  'tolerance-missing': 'a lone figure says no limit; give a tolerance, a range or a bound',
  percent: 'the percentage cannot be',
  'milli-or-mega': 'm may be milli or mega; write it in full',
}

function scaled(limit: Limit, factor: number): Limit {
  const times = (value: number) => Number((value * factor).toPrecision(12))
  switch (limit.kind) {
    case 'band':
      return { kind: 'band', min: times(limit.min), max: times(limit.max) }
    case 'nominal':
    case 'atLeast':
    case 'atMost':
      return { ...limit, value: times(limit.value) }
    case 'insulation':
      return { ...limit, minOhms: times(limit.minOhms) }
    default:
      return limit
  }
}

function checkOf(card: Card, line: FigureLine, kind: CheckKind): Check | undefined {
  const byId = card.checks.find(({ id }) => id === line.checkId)
  if (byId) return byId
  const label = line.check.toLowerCase()
  const byLabel = card.checks.find((check) => check.label.toLowerCase() === label)
  if (byLabel) return byLabel
  const [from, to] = [terminalOf(card, line.from), terminalOf(card, line.to)]
  return card.checks.find(
    ({ at, kind: own }) =>
      own === kind &&
      from !== undefined &&
      to !== undefined &&
      'pair' in at &&
      at.pair.includes(from) &&
      at.pair.includes(to),
  )
}

const terminalOf = (card: Card, text: string): string | undefined => {
  const name = text.trim().toLowerCase()
  return card.terminals.find(({ id, label, aliases }) =>
    [id, label, ...aliases].some((one) => one.toLowerCase() === name),
  )?.id
}

/** A check between two terminals, made with those that are missing. @returns a sentence where it cannot be */
function newCheck(card: Card, line: FigureLine, kind: CheckKind): Check | string {
  if (line.from === '' || line.to === '')
    return 'is a check that this card does not have, and says not from where to where'
  if (line.from.toLowerCase() === line.to.toLowerCase()) return 'goes from a point to the same point'
  const pair = [line.from, line.to].map((name) => {
    const known = terminalOf(card, name)
    if (known !== undefined) return known
    const id = name.toLowerCase() === 'frame' ? 'frame' : freeId('t', card.terminals)
    card.terminals.push({ id, label: name.slice(0, 200), aliases: [] })
    return id
  }) as [string, string]
  const check: Check = {
    id: freeId('c', card.checks),
    label: line.check.slice(0, 200),
    kind,
    at: { pair },
    required: true,
    limits: [],
  }
  card.checks.push(check)
  return check
}

const titleOf = (title: string): string => (title === '' ? 'from a file of figures' : title.slice(0, 200))

function sourceOf(card: Card, title: string, grade: Grade): string {
  const name = titleOf(title)
  const known = card.sources.find((one) => one.title === name && one.grade === grade)
  if (known) return known.id
  const id = freeId('s', card.sources)
  card.sources.push({ id, grade, title: name })
  return id
}

/** The draft a model begins with that a file names first: its family's template. @returns a sentence where its family is not one */
export function draftFor(line: FigureLine, id: string): Card | string {
  const family = (line.family === '' ? 'other' : line.family.toLowerCase().trim().replace(/\s+/g, '-')) as Family
  if (!families.includes(family))
    return `names the family "${line.family.slice(0, 60)}", which is not one of ${families.join(', ')}`
  const template = cardTemplate(id, family)
  const partNumbers = line.partNumbers
    .split(';')
    .flatMap((one) => (one.trim() === '' ? [] : [one.trim().slice(0, 200)]))
  return {
    ...template,
    name: { ...template.name, maker: line.maker.slice(0, 200), model: line.model.slice(0, 200), partNumbers },
  }
}
