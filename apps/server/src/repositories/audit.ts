import type { AuditLine } from '@sure-spool/contract'
import { desc, eq, lt } from 'drizzle-orm'
import { v7 } from 'uuid'
import type { Queries } from '../database/connect'
import { audit, benches } from '../database/schema'
import { here } from '../here'

/**
 * Notes who did what, and from which bench, outside the runs' own tapes.
 * @param bench where it is not the one that asks: who comes in has none before
 */
export async function note(
  queries: Queries,
  what: string,
  about: string,
  by: string | null,
  detail: Record<string, unknown> = {},
  bench: string | null = here()?.bench?.id ?? null,
): Promise<void> {
  await queries.insert(audit).values({ id: v7(), at: new Date().toISOString(), by, bench, what, about, detail })
}

/** The list of what was changed, the newest first, from behind a line on. */
export async function auditPage(queries: Queries, after: string | undefined, limit: number): Promise<AuditLine[]> {
  const rows = await queries
    .select({ line: audit, benchName: benches.name })
    .from(audit)
    .leftJoin(benches, eq(benches.id, audit.bench))
    .where(after === undefined ? undefined : lt(audit.id, after))
    .orderBy(desc(audit.id))
    .limit(limit)
  return rows.map(({ line: { by, bench, ...line }, benchName }) => ({
    ...line,
    ...(by === null ? {} : { by }),
    ...(bench === null ? {} : { bench }),
    ...(benchName === null ? {} : { benchName }),
  }))
}
