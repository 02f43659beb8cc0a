import type { AuditLine } from '@sure-spool/contract'
import { desc, lt } from 'drizzle-orm'
import { v7 } from 'uuid'
import type { Queries } from '../database/connect'
import { audit } from '../database/schema'
import { here } from '../here'

/** Notes who did what, and from which bench, outside the runs' own tapes. */
export async function note(
  queries: Queries,
  what: string,
  about: string,
  by: string | null,
  detail: Record<string, unknown> = {},
): Promise<void> {
  const bench = here()?.bench?.id ?? null
  await queries.insert(audit).values({ id: v7(), at: new Date().toISOString(), by, bench, what, about, detail })
}

/** The list of what was changed, the newest first, from behind a line on. */
export async function auditPage(queries: Queries, after: string | undefined, limit: number): Promise<AuditLine[]> {
  const rows = await queries
    .select()
    .from(audit)
    .where(after === undefined ? undefined : lt(audit.id, after))
    .orderBy(desc(audit.id))
    .limit(limit)
  return rows.map(({ by, bench, ...line }) => ({
    ...line,
    ...(by === null ? {} : { by }),
    ...(bench === null ? {} : { bench }),
  }))
}
