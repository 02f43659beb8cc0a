import { char, customType, int, mysqlTable, varchar } from 'drizzle-orm/mysql-core'
import { id, moment } from './columnTypes'

const picture = customType<{ data: Buffer; driverData: Buffer }>({ dataType: () => 'mediumblob' })

/** Photos of parts, as they came: what names one holds its id. Append-only. */
export const photos = mysqlTable('photos', {
  id: id('id').primaryKey(),
  at: moment('at').notNull(),
  by: id('made_by').notNull(),
  width: int('width').notNull(),
  height: int('height').notNull(),
  sha256: char('sha256', { length: 64 }).notNull(),
  bytes: picture('bytes').notNull(),
  receivedAt: moment('received_at').notNull(),
  seat: id('seat'),
  seal: varchar('seal', { length: 64 }),
})
