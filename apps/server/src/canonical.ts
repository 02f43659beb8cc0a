import { canonical } from '@sure-spool/contract/canonical'
import { createHash } from 'node:crypto'

export { canonical }

/** SHA-256 of a document's canonical text, in hex. */
export const hashOf = (value: unknown): string => createHash('sha256').update(canonical(value)).digest('hex')
