import { keptAs } from '@sure-spool/core'

/** A reactive object as the plain one that a database can clone; signs that no database keeps, which a paste may carry along, are left out. */
export const plain = <T>(value: T): T =>
  JSON.parse(JSON.stringify(value), (_key, one: unknown) => (typeof one === 'string' ? keptAs(one) : one)) as T
