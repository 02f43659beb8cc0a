import type { Connection as Driver } from 'mysql2/promise'

/** What the server's own user may do with each table. What is only read and added to can be changed by no fault of the program. */
const added = 'SELECT, INSERT'
const changed = 'SELECT, INSERT, UPDATE'
const all = 'SELECT, INSERT, UPDATE, DELETE'
const rights: Record<string, string> = {
  entries: added,
  readings: added,
  findings: added,
  audit: added,
  rewind_entries: added,
  photos: added,
  tag_blocks: added,
  runs: changed,
  // its head never changes; it is locked while its tape grows
  rewinds: changed,
  units: changed,
  people: changed,
  secrets: changed,
  settings: changed,
  benches: changed,
  seats: changed,
  join_codes: changed,
  // a draft may be written again and thrown away, with its card where it was the first; triggers hold what is published
  cards: all,
  card_revisions: all,
  instruments: all,
  run_states: all,
  check_states: all,
  card_tallies: all,
  guesses: all,
  held_files: all,
}

/** The account in a database URL. */
export function accountOf(url: string): { user: string; password: string; name: string } {
  const { username, password, pathname } = new URL(url)
  return {
    user: decodeURIComponent(username),
    password: decodeURIComponent(password),
    name: decodeURIComponent(pathname.slice(1)),
  }
}

/**
 * Makes the server's own user, if it is missing, and gives it what it needs of each table and nothing more. Whatever else it was given
 * before is taken back.
 * @param admin a connection that may do that
 * @param url with the user, password and database that the server works with
 */
export async function grant(admin: Driver, url: string): Promise<void> {
  const { user, password, name } = accountOf(url)
  const account = `${admin.escape(user)}@'%'`
  await admin.query(`CREATE USER IF NOT EXISTS ${account} IDENTIFIED BY ${admin.escape(password)}`)
  await admin.query(`ALTER USER ${account} IDENTIFIED BY ${admin.escape(password)}`)
  await admin.query(`REVOKE ALL PRIVILEGES, GRANT OPTION FROM ${account}`)
  for (const [table, right] of Object.entries(rights))
    await admin.query(`GRANT ${right} ON ${admin.escapeId(name)}.${admin.escapeId(table)} TO ${account}`)
}
