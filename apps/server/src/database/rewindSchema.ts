import type { Coil, Instrument, RewindBody } from '@sure-spool/core'
import { index, int, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { document, id, moment } from './columnTypes'

/** Between the run that found the dead coil and the run that proves the new one; its head never changes. */
export const rewinds = mysqlTable(
  'rewinds',
  {
    id: id('id').primaryKey(),
    unit: id('unit').notNull(),
    /** of the unit's card, so that a model's rewinds are found without its units */
    card: id('card').notNull(),
    before: id('run_before'),
    startedAt: moment('started_at').notNull(),
    startedBy: id('started_by').notNull(),
    instruments: document<Instrument[]>('instruments').notNull(),
    coils: document<Coil[]>('coils').notNull(),
  },
  (table) => [
    index('rewinds_by_unit').on(table.unit, table.startedAt, table.id),
    index('rewinds_by_card').on(table.card, table.startedAt, table.id),
  ],
)

/** Append-only, as a run's entries are. */
export const rewindEntries = mysqlTable(
  'rewind_entries',
  {
    id: id('id').primaryKey(),
    rewind: id('rewind').notNull(),
    n: int('n').notNull(),
    at: moment('at').notNull(),
    by: id('made_by').notNull(),
    kind: varchar('kind', { length: 16 }).notNull(),
    body: document<RewindBody>('body').notNull(),
    receivedAt: moment('received_at').notNull(),
    seat: id('seat'),
    seal: varchar('seal', { length: 64 }),
  },
  (table) => [index('rewind_entries_by_rewind').on(table.rewind, table.n)],
)
