import { createHash } from 'node:crypto'

/** JSON with sorted keys and without what is undefined: the same document gives the same text. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`
  if (value === null || typeof value !== 'object') return JSON.stringify(value) ?? 'null'
  const fields = Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${fields.map(([key, one]) => `${JSON.stringify(key)}:${canonical(one)}`).join(',')}}`
}

/** SHA-256 of a document's canonical text, in hex. */
export const hashOf = (value: unknown): string => createHash('sha256').update(canonical(value)).digest('hex')
