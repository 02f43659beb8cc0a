import type { Access } from '@sure-spool/contract'
import type { Queries } from '../database/connect'
import { here } from '../here'
import { ProblemError } from '../http/problem'
import { findPerson } from '../repositories/people'
import { seated } from './door/seats'

const ranks: Record<Access, number> = { reader: 0, learner: 1, technician: 2, owner: 3 }
const words: Record<Access, string> = {
  reader: 'everybody may read',
  learner: 'who only reads changes nothing',
  technician: 'it takes a technician',
  owner: 'it takes the owner',
}

/** Whether somebody may do what takes at least so much. */
export const mayDo = (access: Access, least: Access): boolean => ranks[access] >= ranks[least]

/** @throws ProblemError 403 where this takes more than they may */
export function needs(access: Access, least: Access): void {
  if (!mayDo(access, least))
    throw new ProblemError(403, 'not-allowed', `Nothing was kept: ${words[least]}. Ask one at the bench.`)
}

/**
 * Holds that somebody of this shop did it who may do it.
 * @param least what it takes at least
 * @throws ProblemError 422 where nobody of this shop has the id, 403 where they may not
 */
export async function allowed(queries: Queries, id: string, least: Access, path = 'by'): Promise<void> {
  const person = await findPerson(queries, id)
  if (!person) {
    const detail = 'names a person this shop does not know; choose who is at the bench'
    throw new ProblemError(422, 'refused', `Nothing was kept: ${path} ${detail}.`, [{ path, detail }])
  }
  needs(person.access, least)
}

/**
 * Holds that whoever asks may do it, where the request names nobody.
 * @returns who; nobody in an open house
 * @throws ProblemError 401, 403
 */
export function working(least: Access): string | null {
  const from = here()
  if (from?.open) return null
  const { person, access } = seated(from)
  needs(access, least)
  return person
}
