import type { Queries } from '../database/connect'
import { ProblemError } from '../http/problem'
import { allPeople } from '../repositories/shop'

/** @throws ProblemError 422 where nobody of this shop has the id */
export async function knownPerson(queries: Queries, id: string, path = 'by'): Promise<void> {
  const people = await allPeople(queries)
  if (people.some((person) => person.id === id)) return
  const detail = 'names a person this shop does not know; choose who is at the bench'
  throw new ProblemError(422, 'refused', `Nothing was kept: ${path} ${detail}.`, [{ path, detail }])
}
