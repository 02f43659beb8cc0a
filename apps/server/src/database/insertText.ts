import { getTableColumns, getTableName } from 'drizzle-orm'
import type { MySqlTable } from 'drizzle-orm/mysql-core'
import { format, type SqlValue } from 'mysql2'

/**
 * The text of one INSERT, for what a bench sends with every reading: written out faster than a query is built. The driver's own escaping writes
 * every value and name.
 * @param rows at least one, with the columns' names on this side; what one row leaves out, all do, and the table's default stands
 * @param replacing puts each row in place of one with the same key
 */
export function insertText<T extends MySqlTable>(table: T, rows: T['$inferInsert'][], replacing = false): string {
  const given = Object.keys(rows[0] ?? {})
  const columns = Object.entries(getTableColumns(table)).filter(([key]) => given.includes(key))
  const values = rows.map((row: Record<string, unknown>) =>
    columns.map(([key, column]): SqlValue => {
      const value = row[key] ?? null
      return value === null ? null : (column.mapToDriverValue(value) as SqlValue)
    }),
  )
  const names = columns.map(([, { name }]) => name)
  const insert = format('insert into ?? (??) values ?', [getTableName(table), names, values])
  if (!replacing) return insert
  return `${insert} on duplicate key update ${names.map((name) => format('?? = values(??)', [name, name])).join(', ')}`
}
