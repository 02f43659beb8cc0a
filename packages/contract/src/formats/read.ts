import type { z } from 'zod'
import { sentencesOf, type PathProblem } from './sentences'

export type ReadResult<T> = { ok: true; value: T } | { ok: false; problems: PathProblem[] }

/** Reads a JSON text as one of the open formats: what is wrong comes as sentences with paths, nothing throws. */
export function readDocument<S extends z.ZodType>(text: string, schema: S): ReadResult<z.infer<S>> {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (error) {
    const detail = `is not JSON: ${error instanceof Error ? error.message : String(error)}. The file may be cut off; export it again.`
    return { ok: false, problems: [{ path: '(the document)', detail }] }
  }
  const parsed = schema.safeParse(json)
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, problems: sentencesOf(parsed.error) }
}
