import { refusalOf, type Entry, type Run } from '@sure-spool/core'
import { canonical } from '../canonical'
import { ProblemError } from '../http/problem'

/** The same entry, whatever the server added to it. */
export const sameEntry = (a: Entry, b: Entry): boolean => {
  const bare = ({ receivedAt: _receivedAt, ...entry }: Entry) => canonical(entry)
  return bare(a) === bare(b)
}

/**
 * Refuses an entry that cannot belong to this run, or that nobody of this shop made.
 * @throws ProblemError 409 or 422 with the path and what to do
 */
export function accept(run: Run, closed: boolean, people: Set<string>, entry: Entry, path: string): void {
  const stranger = people.has(entry.by)
    ? null
    : {
        kind: 'refused' as const,
        field: 'by',
        sentence: 'names a person this shop does not know; choose who is at the bench and enter it again',
      }
  const refusal = stranger ?? refusalOf(run, closed, entry)
  if (!refusal) return
  const where = `${path}.${refusal.field}`
  const [status, kind] = refusal.kind === 'conflict' ? [409, 'conflict'] : [422, 'entry-refused']
  throw new ProblemError(
    Number(status),
    String(kind),
    `Nothing of this request was kept: ${where} ${refusal.sentence}.`,
    [{ path: where, detail: refusal.sentence }],
  )
}
