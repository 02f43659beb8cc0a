import type { Database } from '../database/connect'
import type { HeavyWork } from '../heavy/heavyWork'
import type { House } from '../http/comesIn'

/** What the routes work on. */
export interface Served {
  database: Database
  heavy: HeavyWork
  version: string
  house: House
  /** the folder in which backups are kept, if any are */
  backups?: string | undefined
}
