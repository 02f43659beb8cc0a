import type { Card, CardFigures, CardWords, Comparison, EntryBody, Instrument, UnitLimit } from '@sure-spool/core'
import type { ShopSettings, Standing } from '@sure-spool/contract'
import type { Summary } from '@sure-spool/core'
import { sql } from 'drizzle-orm'
import {
  boolean,
  double,
  index,
  int,
  longtext,
  mysqlTable,
  primaryKey,
  uniqueIndex,
  varchar,
} from 'drizzle-orm/mysql-core'
import { document, id, moment } from './columnTypes'

export * from './doorSchema'
export * from './photoSchema'
export * from './rewindSchema'
export * from './tagSchema'
export * from './tallySchema'

export const people = mysqlTable('people', {
  id: id('id').primaryKey(),
  name: varchar('name', { length: 200 }).notNull(),
  role: varchar('role', { length: 200 }).notNull(),
  access: varchar('access', { length: 12 }).notNull().default('technician'),
})

export const instruments = mysqlTable('instruments', {
  id: varchar('id', { length: 64 }).primaryKey(),
  /** the shop's own order: the first is taken where nobody chose */
  place: int('place').notNull(),
  body: document<Instrument>('body').notNull(),
})

/** One row: the shop's habits. */
export const settings = mysqlTable('settings', {
  id: int('id').primaryKey(),
  body: document<ShopSettings>('body').notNull(),
})

export interface CardSearch {
  revision: number
  partNumbers: string[]
  words: CardWords
  figures: CardFigures
}

export const cards = mysqlTable(
  'cards',
  {
    id: id('id').primaryKey(),
    maker: varchar('maker', { length: 200 }).notNull(),
    model: varchar('model', { length: 200 }).notNull(),
    family: varchar('family', { length: 40 }).notNull(),
    /** the newest published revision; null while there are only drafts or a sketch */
    published: int('published'),
    /** what the newest published revision can be found by */
    search: document<CardSearch>('search'),
    changedAt: moment('changed_at')
      .notNull()
      .default(sql`current_timestamp(3)`),
  },
  (table) => [
    index('cards_by_name').on(table.maker, table.model, table.id),
    index('cards_by_change').on(table.changedAt),
  ],
)

export const cardRevisions = mysqlTable(
  'card_revisions',
  {
    card: id('card').notNull(),
    revision: int('revision').notNull(),
    state: varchar('state', { length: 12 }).notNull(),
    hash: varchar('hash', { length: 64 }).notNull(),
    body: document<Card>('body').notNull(),
    /** who wrote it last and when; a card that came in a file has neither */
    by: id('made_by'),
    at: moment('made_at'),
  },
  (table) => [
    primaryKey({ columns: [table.card, table.revision] }),
    index('card_revisions_by_state').on(table.state, table.card),
  ],
)

export const units = mysqlTable(
  'units',
  {
    id: id('id').primaryKey(),
    tag: varchar('tag', { length: 200 }).notNull(),
    serial: varchar('serial', { length: 200 }),
    variant: varchar('variant', { length: 64 }),
    /** how many items it has, where that is another number than its card's */
    items: int('items'),
    history: varchar('history', { length: 12 }).notNull(),
    complaint: document<string[]>('complaint').notNull(),
    words: varchar('words', { length: 2000 }).notNull(),
    from: varchar('came_from', { length: 200 }),
    card: id('card').notNull(),
    revision: int('revision').notNull(),
    place: varchar('place', { length: 12 }).notNull(),
    blockedBy: varchar('blocked_by', { length: 200 }),
    takenInAt: moment('taken_in_at').notNull(),
    takenInBy: id('taken_in_by').notNull(),
    /** the run that counts for lists: the last one started */
    run: id('run'),
    /** taken in together with others of one card */
    tray: id('tray'),
  },
  (table) => [
    index('units_by_tray').on(table.tray, table.id),
    uniqueIndex('units_by_tag').on(table.tag),
    index('units_by_place').on(table.place, table.takenInAt, table.id),
    index('units_by_card').on(table.card, table.id),
    index('units_by_time').on(table.takenInAt, table.id, table.tag),
  ],
)

export const runs = mysqlTable(
  'runs',
  {
    id: id('id').primaryKey(),
    unit: id('unit').notNull(),
    card: id('card').notNull(),
    revision: int('revision').notNull(),
    history: varchar('history', { length: 12 }).notNull(),
    rule: varchar('rule', { length: 12 }).notNull(),
    instruments: document<Instrument[]>('instruments').notNull(),
    startedAt: moment('started_at').notNull(),
    startedBy: id('started_by').notNull(),
    /** of this unit alone, by the plan of its rewind */
    limits: document<UnitLimit[]>('limits'),
    /** what the unit read before, a twin, a neighbour */
    compare: document<Comparison[]>('compare'),
  },
  (table) => [index('runs_by_unit').on(table.unit, table.startedAt), index('runs_by_card').on(table.card, table.id)],
)

/** Append-only. A row is never changed and never removed. */
export const entries = mysqlTable(
  'entries',
  {
    id: id('id').primaryKey(),
    run: id('run').notNull(),
    n: int('n').notNull(),
    at: moment('at').notNull(),
    by: id('made_by').notNull(),
    kind: varchar('kind', { length: 16 }).notNull(),
    body: document<EntryBody>('body').notNull(),
    receivedAt: moment('received_at').notNull(),
    /** the seat it was made in, and what proves it; neither in an open house or a file */
    seat: id('seat'),
    seal: varchar('seal', { length: 64 }),
  },
  (table) => [index('entries_by_run').on(table.run, table.n)],
)

/** The figures of the readings as columns, for spreads and searches; the entry is the source. */
export const readings = mysqlTable(
  'readings',
  {
    entry: id('entry').primaryKey(),
    run: id('run').notNull(),
    check: varchar('check_id', { length: 64 }).notNull(),
    kind: varchar('kind', { length: 12 }).notNull(),
    text: varchar('text', { length: 200 }).notNull(),
    value: double('value'),
    low: double('low'),
    high: double('high'),
    instrument: varchar('instrument', { length: 64 }),
  },
  (table) => [index('readings_by_run').on(table.run, table.check)],
)

/** What core computes from a run's entries: kept for lists, rebuilt at will, never a source. */
export const runStates = mysqlTable(
  'run_states',
  {
    run: id('run').primaryKey(),
    /** the run's own, here too so that a card's newest closed runs are read by one index */
    card: id('card').notNull(),
    startedAt: moment('started_at').notNull(),
    entryCount: int('entry_count').notNull(),
    finding: varchar('finding', { length: 20 }).notNull(),
    closed: boolean('closed').notNull(),
    cameBack: boolean('came_back').notNull(),
    /** no fault was found, and its exchange cured what it came from */
    cured: boolean('cured').notNull(),
    core: varchar('core', { length: 20 }).notNull(),
    summary: document<Summary>('summary').notNull(),
    standing: document<Standing>('standing').notNull(),
  },
  (table) => [index('run_states_by_card').on(table.card, table.closed, table.startedAt, table.run)],
)

export const checkStates = mysqlTable(
  'check_states',
  {
    run: id('run').notNull(),
    check: varchar('check_id', { length: 64 }).notNull(),
    verdict: varchar('verdict', { length: 12 }).notNull(),
    reason: varchar('reason', { length: 40 }),
    /** the judged figure of the check's worst point, at its reference; null where there is none */
    judged: double('judged'),
    /** its standard uncertainty */
    judgedU: double('judged_u'),
    open: boolean('open').notNull(),
  },
  (table) => [primaryKey({ columns: [table.run, table.check] })],
)

/** Append-only: what was found when a run was closed, by which core and card revision. */
export const findings = mysqlTable(
  'findings',
  {
    entry: id('entry').primaryKey(),
    run: id('run').notNull(),
    card: id('card').notNull(),
    revision: int('revision').notNull(),
    core: varchar('core', { length: 20 }).notNull(),
    finding: varchar('finding', { length: 20 }).notNull(),
    decision: varchar('decision', { length: 20 }).notNull(),
    summary: document<Summary>('summary').notNull(),
    at: moment('at').notNull(),
  },
  (table) => [index('findings_by_run').on(table.run, table.at)],
)

/** Who moved what, outside the runs' own tapes. */
export const audit = mysqlTable(
  'audit',
  {
    id: id('id').primaryKey(),
    at: moment('at').notNull(),
    by: id('made_by'),
    bench: id('bench'),
    what: varchar('what', { length: 40 }).notNull(),
    about: varchar('about', { length: 200 }).notNull(),
    detail: document<Record<string, unknown>>('detail').notNull(),
  },
  (table) => [index('audit_by_time').on(table.at)],
)

/** A file of figures that was shown and waits to be kept: for a day, then it goes. */
export const heldFiles = mysqlTable(
  'held_files',
  {
    id: id('id').primaryKey(),
    at: moment('at').notNull(),
    by: id('made_by').notNull(),
    body: longtext('body').notNull(),
    /** SHA-256 of what was said of it; keeping must come to the same */
    said: varchar('said', { length: 64 }).notNull(),
  },
  (table) => [index('held_files_by_time').on(table.at)],
)
