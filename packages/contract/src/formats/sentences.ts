import type { z } from 'zod'

/** One thing that is wrong with a document, where it stands and what it should be. */
export interface PathProblem {
  path: string
  detail: string
}

/** A Zod error as sentences with a path a person can follow: `windings[1].to`. At most 20, the rest counted. */
export function sentencesOf(error: z.ZodError): PathProblem[] {
  const all = error.issues.flatMap((issue) => {
    const path = written(issue.path)
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({ path: join(path, key), detail: 'is not a field of this document' }))
    return [{ path: path || '(the document)', detail: issue.message }]
  })
  const shown = all.slice(0, 20)
  return all.length > 20 ? [...shown, { path: '(more)', detail: `${all.length - 20} further problems` }] : shown
}

function written(path: PropertyKey[]): string {
  return path.reduce<string>(
    (text, part) => (typeof part === 'number' ? `${text}[${part}]` : join(text, String(part))),
    '',
  )
}

const join = (path: string, key: string): string => (path === '' ? key : `${path}.${key}`)
