import type { Access } from '@sure-spool/contract'
import { refusalOf, type Entry, type Run } from '@sure-spool/core'
import { canonical } from '../canonical'
import { ProblemError } from '../http/problem'
import { mayDo } from './access'

/** The same entry, whatever the server added to it. */
export const sameEntry = (a: Entry, b: Entry): boolean => {
  const bare = ({ receivedAt: _receivedAt, ...entry }: Entry) => canonical(entry)
  return bare(a) === bare(b)
}

const refused = (field: string, sentence: string) => ({ kind: 'refused' as const, field, sentence })

/** Somebody of the shop made it; what decides and somebody who is learning made, a second person stands for. */
function strangerIn(people: ReadonlyMap<string, Access>, entry: Entry): ReturnType<typeof refused> | null {
  const access = people.get(entry.by)
  if (access === undefined)
    return refused('by', 'names a person this shop does not know; choose who is at the bench and enter it again')
  if (access === 'reader') return refused('by', 'names a person who only reads here')
  if (entry.kind !== 'decision') return null
  const { second } = entry
  if (second === undefined)
    return access === 'learner' ? refused('second', 'is wanting: who is learning decides with a second person') : null
  if (second === entry.by || !mayDo(people.get(second) ?? 'reader', 'technician'))
    return refused('second', 'names nobody who can stand for this: a technician or the owner can, and not oneself')
  return null
}

/**
 * Refuses an entry that cannot belong to this run, or that nobody of this shop made.
 * @throws ProblemError 409 or 422 with the path and what to do
 */
export function accept(
  run: Run,
  closed: boolean,
  people: ReadonlyMap<string, Access>,
  entry: Entry,
  path: string,
): void {
  const refusal = strangerIn(people, entry) ?? refusalOf(run, closed, entry)
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
