import type { Queue, QueueUnit, Unit, UnitPlace } from '@sure-spool/contract'
import { and, asc, desc, eq, gt, inArray, lt, or, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { cards, runStates, units } from '../database/schema'

type UnitRow = typeof units.$inferSelect

const asUnit = ({
  card,
  revision,
  run: _run,
  serial,
  variant,
  items,
  from,
  blockedBy,
  tray,
  ...row
}: UnitRow): Unit => ({
  ...row,
  history: row.history as Unit['history'],
  complaint: row.complaint as Unit['complaint'],
  place: row.place as UnitPlace,
  card: { id: card, revision },
  ...(serial === null ? {} : { serial }),
  ...(variant === null ? {} : { variant }),
  ...(items === null ? {} : { items }),
  ...(from === null ? {} : { from }),
  ...(blockedBy === null ? {} : { blockedBy }),
  ...(tray === null ? {} : { tray }),
})

const asRow = ({ card, ...unit }: Unit) => ({ ...unit, card: card.id, revision: card.revision })

export async function insertUnit(queries: Queries, unit: Unit): Promise<void> {
  await queries.insert(units).values(asRow(unit))
}

/** @param lock keeps others from it until the transaction ends */
export async function readUnit(queries: Queries, id: string, lock = false): Promise<Unit | undefined> {
  const query = queries.select().from(units).where(eq(units.id, id))
  const [row] = await (lock ? query.for('update') : query)
  return row && asUnit(row)
}

export async function moveUnit(
  queries: Queries,
  id: string,
  place: UnitPlace,
  blockedBy: string | null,
  run?: string,
): Promise<void> {
  await queries
    .update(units)
    .set({ place, blockedBy, ...(run === undefined ? {} : { run }) })
    .where(eq(units.id, id))
}

/** The condition a repair left the unit in. */
export async function setHistory(queries: Queries, id: string, history: string): Promise<void> {
  await queries.update(units).set({ history }).where(eq(units.id, id))
}

export interface QueuePage {
  place?: UnitPlace | undefined
  after?: { takenInAt: string; id: string } | undefined
  limit: number
  id?: string
  tray?: string | undefined
  tag?: string | undefined
}

/**
 * Units with their card's name and where their last run stands, newest first, a page at a time. The page is read by its own index
 * alone and what belongs to it after: a join would let the database begin at the cards and sort every unit there is.
 */
export async function listUnits(
  queries: Queries,
  { place, after, limit, id, tray, tag }: QueuePage,
): Promise<QueueUnit[]> {
  const page = await queries
    .select()
    .from(units)
    .where(
      and(
        place === undefined ? undefined : eq(units.place, place),
        id === undefined ? undefined : eq(units.id, id),
        tray === undefined ? undefined : eq(units.tray, tray),
        tag === undefined ? undefined : eq(units.tag, tag),
        after === undefined
          ? undefined
          : or(lt(units.takenInAt, after.takenInAt), and(eq(units.takenInAt, after.takenInAt), lt(units.id, after.id))),
      ),
    )
    .orderBy(desc(units.takenInAt), desc(units.id))
    .limit(limit)
  if (page.length === 0) return []
  const runs = page.flatMap((unit) => unit.run ?? [])
  const [names, states] = await Promise.all([
    queries
      .select({ id: cards.id, maker: cards.maker, model: cards.model, family: cards.family })
      .from(cards)
      .where(inArray(cards.id, [...new Set(page.map((unit) => unit.card))])),
    runs.length === 0
      ? []
      : queries
          .select({ run: runStates.run, standing: runStates.standing })
          .from(runStates)
          .where(inArray(runStates.run, runs)),
  ])
  const nameOf = new Map(names.map(({ id: card, ...name }) => [card, name]))
  const standingOf = new Map(states.map(({ run, standing }) => [run, standing]))
  return page.map((unit) => {
    const standing = unit.run === null ? undefined : standingOf.get(unit.run)
    return {
      ...asUnit(unit),
      ...(nameOf.get(unit.card) ?? { maker: '', model: '', family: '' }),
      ...(standing ? { standing } : {}),
    }
  })
}

const countedUpTo = 200

/** How many units stand at each place, in one question that stays as fast however many there are. */
export async function countPlaces(queries: Queries): Promise<Queue['counts']> {
  const count = (place: UnitPlace) =>
    sql<number>`(select count(*) from (select 1 from ${units} where ${units.place} = ${place} limit ${countedUpTo}) as few)`.mapWith(
      Number,
    )
  const counts = { waiting: count('waiting'), bench: count('bench'), blocked: count('blocked'), done: count('done') }
  const [row] = await queries.select(counts).from(sql`(select 1) as one`)
  return { ...(row ?? { waiting: 0, bench: 0, blocked: 0, done: 0 }), upTo: countedUpTo }
}

export async function tagTaken(queries: Queries, tag: string): Promise<boolean> {
  const [row] = await queries.select({ id: units.id }).from(units).where(eq(units.tag, tag))
  return row !== undefined
}

/** The highest number behind a prefix among the newest tags, or 0. */
export async function lastTagNumber(queries: Queries, prefix: string): Promise<number> {
  const newest = queries
    .select({ tag: units.tag })
    .from(units)
    .orderBy(desc(units.takenInAt), desc(units.id))
    .limit(500)
    .as('newest')
  const digits = sql`substr(${newest.tag}, char_length(${prefix}) + 1)`
  const [row] = await queries
    .select({ last: sql<number | null>`max(cast(${digits} as unsigned))` })
    .from(newest)
    .where(and(sql`left(${newest.tag}, char_length(${prefix})) = ${prefix}`, sql`${digits} regexp '^[0-9]{1,9}$'`))
  return Number(row?.last ?? 0)
}

/** Every unit in the order of their ids, a page at a time. */
export async function unitsPage(queries: Queries, after: string | undefined, limit: number): Promise<Unit[]> {
  const rows = await queries
    .select()
    .from(units)
    .where(after === undefined ? undefined : gt(units.id, after))
    .orderBy(asc(units.id))
    .limit(limit)
  return rows.map(asUnit)
}
