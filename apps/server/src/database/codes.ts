import { isNativeError } from 'node:util/types'

/** The database's own code for an error (`ER_DUP_ENTRY`, `ECONNREFUSED` …), wherever in the chain it stands. */
export function databaseCode(error: unknown): string | undefined {
  for (let one = error, depth = 0; isNativeError(one) && depth < 5; one = one.cause, depth++)
    if ('code' in one && typeof one.code === 'string') return one.code
  return undefined
}
