import { customType } from 'drizzle-orm/mysql-core'
import { parse, stringify } from 'uuid'

/** A UUID in 16 bytes; version 7 keeps them in the order in which they were made. */
export const id = customType<{ data: string; driverData: Buffer }>({
  dataType: () => 'binary(16)',
  toDriver: (value) => Buffer.from(parse(value)),
  fromDriver: (value) => stringify(value),
})

/** A JSON document. MariaDB keeps it as checked text, so it is written and read here and nowhere else. */
export const document = <T>(name: string) =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'json',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (value: unknown) => (typeof value === 'string' ? JSON.parse(value) : value) as T,
  })(name)

/** A moment in UTC with milliseconds, as ISO text on this side. */
export const moment = customType<{ data: string; driverData: string | Date }>({
  dataType: () => 'datetime(3)',
  toDriver: (value) => value.replace('T', ' ').replace('Z', ''),
  fromDriver: (value) => (value instanceof Date ? value : new Date(`${value.replace(' ', 'T')}Z`)).toISOString(),
})
