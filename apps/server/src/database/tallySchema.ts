import { int, mysqlTable } from 'drizzle-orm/mysql-core'
import { id } from './columnTypes'

/** What a card's units and closed runs come to: counted as they change, since counting all of them for each list would take ever longer. */
export const cardTallies = mysqlTable('card_tallies', {
  card: id('card').primaryKey(),
  /** units that were ever taken in */
  takenIn: int('taken_in').notNull(),
  /** units with a closed run; of its closed runs, how many found what */
  tested: int('tested').notNull(),
  faultFound: int('fault_found').notNull(),
  undecided: int('undecided').notNull(),
  noFaultFound: int('no_fault_found').notNull(),
  cameBack: int('came_back').notNull(),
  backAfterPass: int('back_after_pass').notNull(),
  curedByExchange: int('cured_by_exchange').notNull(),
})
