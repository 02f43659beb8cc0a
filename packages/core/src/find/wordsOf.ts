import { colours, type Card, type Plug } from '../document'

/** What a card can be found by in words: its names, what it fits, its wires, and how many ways its plugs have. */
export interface CardWords {
  name: string
  part: string
  fits: string
  kind: string
  wires: string
  plugs: string
}

/**
 * @returns each field as plain text; wires by colour and as `violet/white`, plugs as `6way`
 * @example
 * wordsOf(twinCard()).wires
 * // 'orange orange grey grey tan tan violet violet violet/white violet violet/white frame core plate'
 */
export function wordsOf(card: Card): CardWords {
  const { maker, model, partNumbers, fits, note } = card.name
  return {
    name: `${maker} ${model}`,
    part: partNumbers.flatMap((one) => [one, one.replace(/[^\p{L}\p{N}]/gu, '')]).join(' '),
    fits: [...fits, note ?? ''].join(' '),
    kind: [card.family.replace(/-/g, ' '), card.construction ?? '', ...card.windings.map((one) => one.label)].join(' '),
    wires: card.terminals
      .flatMap(({ label, aliases, wire }) => [
        label,
        ...aliases,
        ...(wire ? [wire.base, ...(wire.tracer ? [`${wire.base}/${wire.tracer}`] : [])] : []),
      ])
      .join(' '),
    plugs: card.plugs.map(waysOf).join(' '),
  }
}

const waysOf = ({ size, cavities, shape }: Plug): string => {
  const ways = 'count' in size ? size.count : size.columns * size.rows
  const used = cavities.filter((one) => one.terminal !== null).length
  return [...new Set([ways, used])].map((one) => `${one}way`).join(' ') + ` ${shape}`
}

/** A search text with its counts of cavities in the one form that cards are kept under: `6 pin`, `6-way` is `6way`. */
const searchText = (text: string): string =>
  text.replace(/(\d{1,3})\s*-?\s*(?:ways?|cavit(?:y|ies)|pins?|wires?|holes?|blades?)\b/gi, '$1way')

const colourWords = new Set<string>(colours)
/** A wire by its colours or a count of cavities: a card has it or has it not, nothing about it is near. */
const isMark = (word: string): boolean =>
  /^\d{1,3}way$/.test(word) || word.split('/').every((part) => colourWords.has(part))

/**
 * What of a search text a card must have as it is (`violet/white`, `6way`), and the words that are left.
 * @example
 * searchTerms('violet/white 6 way') // { marks: [ 'violet/white', '6way' ], words: '' }
 */
export function searchTerms(text: string): { marks: string[]; words: string } {
  const all = searchText(text.toLowerCase())
    .split(/[\s,;]+/)
    .filter((word) => word !== '')
  return { marks: all.filter(isMark), words: all.filter((word) => !isMark(word)).join(' ') }
}

/**
 * The marks of a card, each once: its wires' colours, its plugs' ways, and a colour that is part of its name.
 * @example
 * marksOf(wordsOf(twinCard())).slice(0, 2) // [ 'orange', 'grey' ]
 */
export const marksOf = ({ name, wires, plugs }: CardWords): string[] => [
  ...new Set(
    `${name} ${wires} ${plugs}`
      .toLowerCase()
      .split(/\s+/)
      .filter((word) => word !== '' && isMark(word)),
  ),
]
