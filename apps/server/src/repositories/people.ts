import type { Access, Person } from '@sure-spool/contract'
import { asc, eq } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { people, secrets } from '../database/schema'

/** Somebody of the shop, with what they may do. */
export type Known = Person & { access: Access }

const asKnown = (row: typeof people.$inferSelect): Known => ({ ...row, access: row.access as Access })

export const allPeople = async (queries: Queries): Promise<Known[]> =>
  (await queries.select().from(people).orderBy(asc(people.id))).map(asKnown)

export async function findPerson(queries: Queries, id: string): Promise<Known | undefined> {
  const [row] = await queries.select().from(people).where(eq(people.id, id))
  return row && asKnown(row)
}

export async function insertPeople(queries: Queries, fresh: Person[]): Promise<void> {
  if (fresh.length > 0) await queries.insert(people).values(fresh)
}

/** Keeps a person, new or changed; what they may do stays where nothing is said of it. */
export async function putPerson(queries: Queries, person: Person): Promise<void> {
  const { id: _id, ...set } = person
  await queries.insert(people).values(person).onDuplicateKeyUpdate({ set })
}

export interface Secrets {
  pin: string | null
  password: string | null
}

export async function secretsOf(queries: Queries, person: string): Promise<Secrets | undefined> {
  const [row] = await queries.select().from(secrets).where(eq(secrets.person, person))
  return row
}

export async function putSecrets(
  queries: Queries,
  person: string,
  fresh: Partial<Secrets>,
  now: string,
): Promise<void> {
  await queries
    .insert(secrets)
    .values({ person, ...fresh, changedAt: now })
    .onDuplicateKeyUpdate({ set: { ...fresh, changedAt: now } })
}

/** Whether anybody can come in at all: an owner who has something to prove themselves by. */
export async function hasOwner(queries: Queries): Promise<boolean> {
  const [row] = await queries
    .select({ id: people.id })
    .from(people)
    .innerJoin(secrets, eq(secrets.person, people.id))
    .where(eq(people.access, 'owner'))
    .limit(1)
  return row !== undefined
}
