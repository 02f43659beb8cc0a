import { boolean, index, int, mysqlTable, uniqueIndex, varchar } from 'drizzle-orm/mysql-core'
import { id, moment } from './columnTypes'

/** What people prove themselves by, as Argon2id hashes; apart from the people, so that no list and no export carries it. */
export const secrets = mysqlTable('secrets', {
  person: id('person').primaryKey(),
  pin: varchar('pin', { length: 200 }),
  password: varchar('password', { length: 200 }),
  changedAt: moment('changed_at').notNull(),
})

/** A browser that belongs to the shop, or one in which somebody is signed in away from it. */
export const benches = mysqlTable(
  'benches',
  {
    id: id('id').primaryKey(),
    name: varchar('name', { length: 200 }).notNull(),
    kind: varchar('kind', { length: 12 }).notNull(),
    /** SHA-256 of the token in its cookie */
    token: varchar('token', { length: 64 }).notNull(),
    joinedAt: moment('joined_at').notNull(),
    seenAt: moment('seen_at').notNull(),
    endedAt: moment('ended_at'),
  },
  (table) => [uniqueIndex('benches_by_token').on(table.token)],
)

/** A person's session on a bench. It stays after its end: entries that were sealed with its key may still come. */
export const seats = mysqlTable(
  'seats',
  {
    id: id('id').primaryKey(),
    bench: id('bench').notNull(),
    person: id('person').notNull(),
    key: varchar('seal_key', { length: 64 }).notNull(),
    begunAt: moment('begun_at').notNull(),
    seenAt: moment('seen_at').notNull(),
    endsAt: moment('ends_at').notNull(),
    endedAt: moment('ended_at'),
    /** ended because somebody else may have its key: nothing sealed with it is taken any more */
    revoked: boolean('revoked').notNull().default(false),
  },
  (table) => [index('seats_by_bench').on(table.bench, table.endedAt), index('seats_by_person').on(table.person)],
)

/** The owner's codes that make a browser a bench: once each, SHA-256 of them. */
export const joinCodes = mysqlTable('join_codes', {
  code: varchar('code', { length: 64 }).primaryKey(),
  by: id('made_by').notNull(),
  endsAt: moment('ends_at').notNull(),
  usedAt: moment('used_at'),
})

/** Wrong guesses at a person's secrets or from an address, and until when no more are heard. */
export const guesses = mysqlTable('guesses', {
  who: varchar('who', { length: 100 }).primaryKey(),
  failures: int('failures').notNull(),
  until: moment('until').notNull(),
})
