import { randomInt } from 'node:crypto'
import { v7 } from 'uuid'
import { inTransaction, type Database } from '../../database/connect'
import { note } from '../../repositories/audit'
import { endSeats } from '../../repositories/benches'
import { allPeople, putPerson, putSecrets } from '../../repositories/people'
import { hashSecret, newCode } from './secret'

/**
 * Makes somebody an owner with a new PIN and password, told this once; all their seats end. Whoever may do this has the machine and the
 * database in hand already; it stands in the list of changes.
 * @param name somebody who is here, or somebody new
 */
export async function recoverOwner(
  database: Database,
  name: string,
): Promise<{ name: string; pin: string; password: string }> {
  const pin = String(randomInt(1_000_000)).padStart(6, '0')
  const password = `${newCode()}-${newCode()}`
  const hashed = { pin: await hashSecret(pin), password: await hashSecret(password) }
  return inTransaction(database, async (queries) => {
    const before = (await allPeople(queries)).find((one) => one.name.toLowerCase() === name.toLowerCase())
    const owner = { id: before?.id ?? v7(), name: before?.name ?? name, role: before?.role ?? 'owner' }
    const now = new Date().toISOString()
    await putPerson(queries, { ...owner, access: 'owner' })
    await putSecrets(queries, owner.id, hashed, now)
    await endSeats(queries, { person: owner.id }, now, true)
    await note(queries, 'recovered', owner.name, null)
    return { name: owner.name, pin, password }
  })
}
