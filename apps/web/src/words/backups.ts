import type { Backups } from '@sure-spool/contract'
import { clock, day } from './times'

type Backup = Backups['backups'][number]

/** How much a backup holds. */
export const sizeWords = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))}\u2009kB` : `${(bytes / 1e6).toFixed(1)}\u2009MB`

/** What its trial found; work that goes on meanwhile makes a table differ, and no more than that. */
export function trialWords({ tried }: Backup): string {
  if (!tried) return 'not tried yet'
  const when = `${day(tried.at)}, ${clock(tried.at)}`
  if (tried.tables === 0) return `${when}: nothing came back`
  return tried.differ.length === 0
    ? `${when}: all ${tried.tables} tables the same`
    : `${when}: ${tried.tables} tables; work went on in ${tried.differ.join(', ')}`
}

const dayMs = 86_400_000
const lateDays = 2

/** What is wrong with how a shop is backed up; empty where nothing is. */
export function backupDoubt({ kept, backups: [last] }: Backups, now: Date): string {
  if (!kept) return ''
  if (!last) return 'There is no backup yet: one is made within the day, or now by npm run backup.'
  const days = Math.floor((now.getTime() - Date.parse(last.at)) / dayMs)
  if (days >= lateDays) return `The last backup is ${days} days old. Look into the log of npm start, and make one now.`
  return last.tried ? '' : 'The last backup was never brought back on trial.'
}
