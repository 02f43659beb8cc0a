import type { CheckKind, Quantity } from '@sure-spool/core'

/** One row of a file of figures: one limit of one check. Text as it stands in the cells. */
export interface FigureLine {
  maker: string
  model: string
  partNumbers: string
  family: string
  check: string
  kind: string
  from: string
  to: string
  for: string
  /** the limit as written, and the unit its column is headed with */
  limit: string
  unit: string
  source: string
  grade: string
  referenceC: string
  cardId: string
  revision: string
  checkId: string
}

/** The text columns, under the names that a file's first row gives them. */
export const textColumns: { key: Exclude<keyof FigureLine, 'limit' | 'unit'>; head: string }[] = [
  { key: 'maker', head: 'maker' },
  { key: 'model', head: 'model' },
  { key: 'partNumbers', head: 'part numbers' },
  { key: 'family', head: 'family' },
  { key: 'check', head: 'check' },
  { key: 'kind', head: 'kind' },
  { key: 'from', head: 'from' },
  { key: 'to', head: 'to' },
  { key: 'for', head: 'for' },
  { key: 'source', head: 'source' },
  { key: 'grade', head: 'grade' },
  { key: 'referenceC', head: 'reference (°C)' },
  { key: 'cardId', head: 'card id' },
  { key: 'revision', head: 'revision' },
  { key: 'checkId', head: 'check id' },
]

/** The units a limit's column may be headed with, each with its quantity and the kind of check it means where none is said. */
export const units: Record<string, { quantity: Quantity; kind: CheckKind }> = {
  Ω: { quantity: 'resistance', kind: 'resistance' },
  'insulation Ω': { quantity: 'insulation', kind: 'insulation' },
  V: { quantity: 'voltage', kind: 'ac-output' },
  A: { quantity: 'current', kind: 'current' },
  H: { quantity: 'inductance', kind: 'inductance' },
  F: { quantity: 'capacitance', kind: 'capacitance' },
}
const prefixes: Record<string, number> = { '': 1, m: 1e-3, k: 1e3, M: 1e6, µ: 1e-6, n: 1e-9, p: 1e-12 }

/** A headed unit, as `kΩ` or `insulation MΩ`, with the factor of its prefix. @returns undefined for one that is not known */
export function readUnit(
  unit: string,
): { unit: string; quantity: Quantity; kind: CheckKind; factor: number } | undefined {
  const plain = unit
    .trim()
    .replace(/ohms?|\u2126/i, 'Ω')
    .replace(/[u\u03bc](?=[ΩVAHF]$)/, 'µ')
  const match = /^(insulation\s+)?([mkMµnp]?)(Ω|V|A|H|F)$/.exec(plain)
  if (!match) return undefined
  const [, insulation, prefix = '', base = ''] = match
  const name = insulation ? `insulation ${base}` : base
  const known = units[name]
  const factor = prefixes[prefix]
  return known && factor !== undefined ? { unit: name, ...known, factor } : undefined
}

/** `limit (kΩ)` → `kΩ`; undefined for any other column. */
export const limitColumn = (head: string): string | undefined => /^limit\s*\((.+)\)$/i.exec(head.trim())?.[1]
