import type { z } from 'zod'
import { exactMomentSchema, uuidSchema } from '../formats'

const moments = new Set(['at', 'startedAt', 'takenInAt', 'receivedAt'])
/** Under these keys stand ids of rows, wherever they are nested; a card's own words stand under others. */
const rows = new Set([
  'run',
  'by',
  'takenInBy',
  'startedBy',
  'supersedes',
  'undoes',
  'tray',
  'second',
  'unit',
  'before',
])
/** Lists whose members are rows of the database. */
const lists = new Set(['entries', 'people', 'units', 'runs', 'cards', 'rewinds', 'photos'])
/** Members that are rows themselves. */
const single = new Set(['card', 'rewind'])

/** Holds a body to what the database keeps: row ids are UUIDs and moments carry milliseconds. */
export function asKept<S extends z.ZodType>(schema: S): S {
  return schema.superRefine((body, context) => {
    check(body, [], true, (path, problem) => context.addIssue({ code: 'custom', path, message: problem }))
  }) as S
}

/** Holds one member of a list to the same: as it would stand in that list of a document. */
export function asKeptMember<S extends z.ZodType>(list: string, schema: S): S {
  return schema.superRefine((member, context) => {
    checkMember(list, member, [], (path, problem) => context.addIssue({ code: 'custom', path, message: problem }))
  }) as S
}

function check(
  value: unknown,
  path: (string | number)[],
  isRow: boolean,
  tell: (path: (string | number)[], problem: string) => void,
): void {
  if (value === null || typeof value !== 'object') return
  for (const [key, one] of Object.entries(value)) {
    const here = [...path, key]
    const schema = moments.has(key)
      ? exactMomentSchema
      : (isRow && key === 'id') || rows.has(key)
        ? uuidSchema
        : undefined
    if (typeof one === 'string' && schema) {
      const result = schema.safeParse(one)
      if (!result.success) tell(here, result.error.issues[0]?.message ?? 'is not valid')
    }
    if (single.has(key) && one !== null && typeof one === 'object') check(one, here, true, tell)
    if (lists.has(key) && Array.isArray(one)) one.forEach((member, i) => checkMember(key, member, [...here, i], tell))
  }
}

/** A card's inside holds its own short words: only its own id is a row. */
function checkMember(
  list: string,
  member: unknown,
  path: (string | number)[],
  tell: (path: (string | number)[], problem: string) => void,
): void {
  if (member === null || typeof member !== 'object') return
  const { reading, ...rest } = member as Record<string, unknown>
  const inside = list === 'cards' ? { id: rest['id'] } : rest
  check(inside, path, true, tell)
  if (list === 'entries' && reading !== undefined) check(reading, [...path, 'reading'], false, tell)
}
