import { createHash } from 'node:crypto'
import { configure } from 'safe-stable-stringify'

const sorted = configure({ deterministic: true, circularValue: Error })

/** JSON with sorted keys and without what is undefined: the same document gives the same text. */
export const canonical = (value: unknown): string => sorted(value) ?? 'null'

/** SHA-256 of a document's canonical text, in hex. */
export const hashOf = (value: unknown): string => createHash('sha256').update(canonical(value)).digest('hex')
