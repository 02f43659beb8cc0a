import { and, eq, inArray, ne, sql } from 'drizzle-orm'
import type { Queries } from '../database/connect'
import { cardTallies, runs, runStates, units } from '../database/schema'

export type Tallies = Omit<typeof cardTallies.$inferSelect, 'card'>
const none: Tallies = {
  takenIn: 0,
  tested: 0,
  faultFound: 0,
  undecided: 0,
  noFaultFound: 0,
  cameBack: 0,
  backAfterPass: 0,
  curedByExchange: 0,
}
const keys = Object.keys(none) as (keyof Tallies)[]

/** What some cards' units and closed runs come to; nothing where none was taken in. */
export async function talliesOf(queries: Queries, cards: string[]): Promise<(card: string) => Tallies> {
  if (cards.length === 0) return () => none
  const rows = await queries.select().from(cardTallies).where(inArray(cardTallies.card, cards))
  const tallies = new Map(rows.map(({ card, ...row }) => [card, row]))
  return (card) => tallies.get(card) ?? none
}

/** Counts a unit that was taken in. */
export const countUnit = (queries: Queries, card: string): Promise<void> => add(queries, card, { takenIn: 1 })

/** What a run counts for: its part of its card's tallies, nothing while it is open. */
export type Counted = Partial<Tallies>

/**
 * What a run counts for as its state is kept. Of two runs of one unit that are closed at once the later waits here for the first: the unit
 * is counted once.
 * @param unit of the run; it is held until the transaction ends
 */
export async function countedRun(queries: Queries, run: string, unit: string): Promise<Counted> {
  await queries.select({ id: units.id }).from(units).where(eq(units.id, unit)).for('update')
  const { closed, finding, cameBack, cured } = runStates
  const [row] = await queries
    .select({ closed, finding, cameBack, cured })
    .from(runStates)
    .where(eq(runStates.run, run))
    .for('update')
  if (!row?.closed) return {}
  const others = await queries
    .select({ run: runStates.run })
    .from(runs)
    .innerJoin(runStates, and(eq(runStates.run, runs.id), eq(closed, true)))
    .where(and(eq(runs.unit, unit), ne(runs.id, run)))
    .limit(1)
    .for('update')
  const passed = row.finding === 'no-fault-found'
  return {
    tested: others.length === 0 ? 1 : 0,
    faultFound: Number(row.finding === 'fault-found'),
    undecided: Number(row.finding === 'undecided'),
    noFaultFound: Number(passed),
    cameBack: Number(row.cameBack),
    backAfterPass: Number(row.cameBack && passed),
    curedByExchange: Number(row.cured),
  }
}

/** Takes away what a run counted for, and adds what it counts for now. */
export async function recount(queries: Queries, card: string, before: Counted, now: Counted): Promise<void> {
  const moved = Object.fromEntries(keys.map((key) => [key, (now[key] ?? 0) - (before[key] ?? 0)]))
  if (Object.values(moved).some((by) => by !== 0)) await add(queries, card, moved)
}

async function add(queries: Queries, card: string, by: Counted): Promise<void> {
  const row = { ...none, ...by }
  const set = Object.fromEntries(keys.map((key) => [key, sql`${cardTallies[key]} + ${row[key]}`]))
  await queries
    .insert(cardTallies)
    .values({ card, ...row })
    .onDuplicateKeyUpdate({ set })
}

/** Counts all of it anew from the rows: after a file was taken in, or when every run was judged again. */
export async function tallyAll(queries: Queries): Promise<void> {
  await queries.delete(cardTallies)
  const passed = sql`${runStates.finding} = 'no-fault-found'`
  const closed = queries
    .select({
      card: runStates.card,
      tested: sql`count(distinct ${runs.unit})`.as('tested'),
      faultFound: sql`sum(${runStates.finding} = 'fault-found')`.as('fault_found'),
      undecided: sql`sum(${runStates.finding} = 'undecided')`.as('undecided'),
      noFaultFound: sql`sum(${passed})`.as('no_fault_found'),
      cameBack: sql`sum(${runStates.cameBack})`.as('came_back'),
      backAfterPass: sql`sum(${runStates.cameBack} and ${passed})`.as('back_after_pass'),
      curedByExchange: sql`sum(${runStates.cured})`.as('cured_by_exchange'),
    })
    .from(runStates)
    .innerJoin(runs, eq(runs.id, runStates.run))
    .where(eq(runStates.closed, true))
    .groupBy(runStates.card)
    .as('closed')
  const taken = queries
    .select({ card: units.card, takenIn: sql`count(*)`.as('taken_in') })
    .from(units)
    .groupBy(units.card)
    .as('taken')
  // the columns are told by their order: what each is called here is no matter
  const of = (column: unknown) => sql<number>`coalesce(${column}, 0)`.as('counted')
  await queries.insert(cardTallies).select(
    queries
      .select({
        card: taken.card,
        takenIn: of(taken.takenIn),
        tested: of(closed.tested),
        faultFound: of(closed.faultFound),
        undecided: of(closed.undecided),
        noFaultFound: of(closed.noFaultFound),
        cameBack: of(closed.cameBack),
        backAfterPass: of(closed.backAfterPass),
        curedByExchange: of(closed.curedByExchange),
      })
      .from(taken)
      .leftJoin(closed, eq(closed.card, taken.card)),
  )
}
