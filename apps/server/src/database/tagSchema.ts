import { int, mysqlTable, primaryKey, varchar } from 'drizzle-orm/mysql-core'
import { id, moment } from './columnTypes'

/** Numbers of tags that one bench alone gives: no two blocks of a prefix begin at the same one. Append-only. */
export const tagBlocks = mysqlTable(
  'tag_blocks',
  {
    prefix: varchar('prefix', { length: 20 }).notNull(),
    from: int('first').notNull(),
    to: int('last').notNull(),
    by: id('reserved_by').notNull(),
    at: moment('at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.prefix, table.from] })],
)
