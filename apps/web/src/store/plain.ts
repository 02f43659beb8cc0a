/** A reactive object as the plain one that a database can clone. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
