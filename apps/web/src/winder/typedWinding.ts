import {
  parseReading,
  resistanceAt,
  typedReading,
  type CoilFacts,
  type Reading,
  type RewindBody,
  type RewindStepId,
  type WireLeft,
} from '@sure-spool/core'

interface Typing {
  decimalComma: boolean
}

const number = (text: string): number => Number(text.replace(',', '.'))

/**
 * Turns as they are typed, in layers too: `31`, `12, 11, 8` (added up), `12 + 11 + 8`.
 * @returns null where it is no count
 */
export function typedTurns(text: string): { turns: number; layers?: number } | null {
  const parts = text.split(/[,+;]|\s+/).filter((part) => part !== '')
  const counts = parts.map(number)
  if (counts.length === 0 || counts.some((one) => !(one >= 0) || one > 1e6)) return null
  const turns = counts.reduce((sum, one) => sum + one, 0)
  return { turns, ...(counts.length > 1 ? { layers: counts.length } : {}) }
}

/** How a coil lies: `cw from outside`, `counter-clockwise seen from the cover`; null where it says neither way. */
export function typedLay(text: string): Pick<CoilFacts, 'lay' | 'seenFrom'> | null {
  const found =
    /^\s*(ccw|counter[- ]?clockwise|anti[- ]?clockwise|cw|clockwise)\b[\s,]*(?:seen\s+)?(?:from\s+)?(.*)$/i.exec(text)
  if (!found) return null
  const lay = /^(cw|clockwise)$/i.test(found[1] ?? '') ? 'cw' : 'ccw'
  const seenFrom = found[2]?.trim()
  return { lay, ...(seenFrom ? { seenFrom } : {}) }
}

/** Start and finish: `deep at the right lug; over the top to the left lug`. */
export function typedEnds(text: string): Pick<CoilFacts, 'start' | 'finish'> | null {
  const [start = '', finish = ''] = text.split(/;|\bfinish(?:es)?\b:?/i).map((part) =>
    part
      .replace(/^[\s,]*(?:start(?:s)?\b:?)?/i, '')
      .replace(/[\s,]+$/, '')
      .trim(),
  )
  return start === '' ? null : { start, ...(finish === '' ? {} : { finish }) }
}

/** A micrometer over so many strands side by side: `0.968`, `5x 4.81`, `4.81 x5`; in mm where nothing else is said. */
export function typedStrands(text: string, { decimalComma }: Typing): { strands: number; reading: Reading } | null {
  const found = /^\s*(?:(\d+)\s*[x×*]\s*)?([\d.,]+\s*(?:mm|cm|m|in|")?)\s*(?:[x×*]\s*(\d+))?\s*$/i.exec(text)
  const strands = Number(found?.[1] ?? found?.[3] ?? 1)
  const size = found?.[2]?.trim() ?? ''
  if (size === '' || !(strands >= 1) || strands > 1000) return null
  const made = typedReading(/[a-z"]$/i.test(size) ? size : `${size} mm`, 'length', decimalComma)
  return 'problem' in made || made.reading.kind !== 'value' || !((made.reading.value ?? 0) > 0)
    ? null
    : { strands, reading: made.reading }
}

const known = {
  m: (value: number) => ({ metres: value }),
  g: (value: number) => ({ grams: value }),
  kg: (value: number) => ({ grams: 1000 * value }),
} as const

/** What came off a coil: its length, ohms and mass in any order, ohms at their warmth; henries of the whole. */
export interface TypedLeft {
  left?: WireLeft
  henries?: number
}

/**
 * What came off, as it is typed: `17.2 m 0.466 ohm @ 22`, `154 g`, `2.4 H`. Ohms want their warmth: nobody is taken to have said 20 °C.
 * @returns null where a part of it is none of these
 */
export function typedLeft(text: string, { decimalComma }: Typing): TypedLeft | null {
  const [front = '', behind] = text.split('@')
  const warm = behind === undefined ? undefined : typedWarmth(behind, decimalComma)
  const parts = front.match(/[\d.,]+\s*[a-zµΩ]+(?:\s*ohms?\b|\s*henr(?:y|ies)\b)?/gi) ?? []
  if (warm === null || parts.length === 0 || parts.join('').replace(/\s/g, '') !== front.replace(/[\s;]|,\s/g, ''))
    return null
  const found: TypedLeft = {}
  for (const part of parts) {
    const one = leftPart(part, decimalComma, warm)
    if (!one) return null
    if (one.left) found.left = { ...found.left, ...one.left }
    if (one.henries !== undefined) found.henries = one.henries
  }
  return found
}

function leftPart(part: string, decimalComma: boolean, warm: number | undefined): TypedLeft | null {
  const plain = /^([\d.,]+)\s*(kg|g|m)$/.exec(part.trim())
  if (plain) {
    const value = number(plain[1] ?? '')
    return value > 0 ? { left: known[plain[2] as keyof typeof known](value) } : null
  }
  const figure = (quantity: 'resistance' | 'inductance') => {
    const read = parseReading({ text: part, quantity, decimalComma })
    return read.kind === 'value' && !read.problem && (read.value ?? 0) > 0 ? read.value : undefined
  }
  const henries = /h(?:enr(?:y|ies))?$/i.test(part) ? figure('inductance') : undefined
  if (henries !== undefined) return { henries }
  const ohms = figure('resistance')
  return ohms === undefined || warm === undefined
    ? null
    : { left: { ohms20: resistanceAt({ ohms, fromC: warm, toC: 20, material: 'copper' }) } }
}

/** A temperature behind an `@`: °C where nothing else is said; null where it is none. */
function typedWarmth(text: string, decimalComma: boolean): number | null {
  const warm = parseReading({
    text: text.trim().replace(/^([\d.,-]+)$/, '$1 C'),
    quantity: 'temperature',
    decimalComma,
  })
  return warm.kind === 'value' && warm.value !== undefined ? warm.value : null
}

/** What is said while winding: turns so far, or with them the ohms and the winding's warmth: `1200`, `2400 2.74k @ 22`. */
export type TypedWinding = { turns: number } | { turns: number; reading: Reading; partC?: number }
export function typedWinding(text: string, { decimalComma }: Typing, meter: string | undefined): TypedWinding | null {
  const [front = '', behind] = text.split('@')
  const parts = front.trim().split(/\s+/)
  const turns = number(parts[0] ?? '')
  if (parts[0] === '' || !(turns >= 0) || turns > 1e6) return null
  if (parts.length === 1) return behind === undefined ? { turns } : null
  const made = typedReading(
    parts.slice(1).join(' '),
    'resistance',
    decimalComma,
    meter === undefined ? {} : { instrument: meter },
  )
  if ('problem' in made || made.reading.kind !== 'value' || !((made.reading.value ?? 0) > 0)) return null
  if (behind === undefined) return { turns, reading: made.reading }
  const partC = typedWarmth(behind, decimalComma)
  return partC === null ? null : { turns, reading: made.reading, partC }
}

const stepWords: [RegExp, RewindStepId][] = [
  [/^(strip)/i, 'strip'],
  [/^(edge|deburr)/i, 'edges'],
  [/^(mount|refit)/i, 'mount'],
  [/^(insulat|paper|film)/i, 'insulate'],
  [/^(lead|solder|tail|sleeve)/i, 'leads'],
  [/^(tape|bind)/i, 'tape'],
  [/^(wax|varnish|shellac|epoxy|resin|lacquer|bake|dip|no fixing|fix)/i, 'fix'],
  [/^(label|tag)/i, 'label'],
  [/^(assembl|close)/i, 'assemble'],
]

/**
 * A step beside the winding, with its warmth and how long: `wax, 66 C, 8 min`, `leads soldered and sleeved`, `bake 110 C 2 h`.
 * @returns null where the first word is none of them
 */
export function typedStep(text: string): Extract<RewindBody, { kind: 'step' }> | null {
  const words = text.trim()
  const what = stepWords.find(([pattern]) => pattern.test(words))?.[1]
  if (!what) return null
  const warm = /(-?\d+(?:[.,]\d+)?)\s*°?\s*([CF])\b/.exec(words)
  const long = /(\d+(?:[.,]\d+)?)\s*(h|hours?|min|minutes?|s|sec|seconds?)\b/i.exec(words)
  const scale = long?.[2]?.toLowerCase().startsWith('h') ? 3600 : long?.[2]?.toLowerCase().startsWith('m') ? 60 : 1
  const degrees = warm ? number(warm[1] ?? '') : undefined
  const material = what === 'fix' ? /^[a-z ]+/i.exec(words)?.[0].trim() : undefined
  return {
    kind: 'step',
    what,
    ...(material ? { material } : {}),
    ...(degrees === undefined ? {} : { atC: warm?.[2] === 'F' ? ((degrees - 32) * 5) / 9 : degrees }),
    ...(long ? { seconds: number(long[1] ?? '') * scale } : {}),
    words,
  }
}
