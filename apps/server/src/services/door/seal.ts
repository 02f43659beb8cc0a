import type { Seal } from '@sure-spool/contract'
import type { Entry } from '@sure-spool/core'
import { createHmac, timingSafeEqual } from 'node:crypto'
import { canonical } from '../../canonical'
import type { Queries } from '../../database/connect'
import { here } from '../../here'
import { ProblemError } from '../../http/problem'
import { readSeat } from '../../repositories/benches'
import type { Proof } from '../../repositories/runs'
import { atBench, seated } from './seats'

const notTheirs = (path: string, detail: string) =>
  new ProblemError(403, 'not-theirs', `Nothing was kept: ${path} ${detail}.`, [{ path, detail }])

/** HMAC-SHA256 with a seat's key over a document's canonical text, in hex (RFC 2104). */
export const sealOf = (key: string, body: unknown): string =>
  createHmac('sha256', Buffer.from(key, 'hex')).update(canonical(body)).digest('hex')

/**
 * Holds that a document was made by whom it names, on the bench that sends it: by the seal of a seat there, also of one that is over
 * by now, or by whoever sits there. An open house believes it.
 * @param path where the document names its maker
 * @throws ProblemError 401 where nobody sits there and nothing is sealed, 403 where it is another's
 */
export async function madeBy(
  queries: Queries,
  by: string,
  body: unknown,
  seal: Seal | null | undefined,
  path = 'by',
): Promise<void> {
  const from = here()
  if (from?.open) return
  if (!seal) {
    if (seated(from).person !== by) throw notTheirs(path, 'names somebody else than who sits at this bench')
    return
  }
  const bench = atBench(from)
  const seat = await readSeat(queries, seal.seat)
  if (seat?.bench !== bench.id) throw notTheirs(path, 'was sealed on another bench than the one that sends it')
  if (!timingSafeEqual(Buffer.from(sealOf(seat.key, body), 'hex'), Buffer.from(seal.mac, 'hex')))
    throw notTheirs(path, 'does not fit its seal: it was changed after it was made')
  if (seat.revoked) throw notTheirs(path, 'was sealed in a seat that was ended everywhere; enter it again')
  if (seat.person !== by) throw notTheirs(path, 'names somebody else than who sealed it')
}

/** Holds that whoever asks is who the request says, where nothing is sealed. @throws ProblemError 401, 403 */
export async function theirs<B extends { by: string }>(queries: Queries, body: B): Promise<B> {
  await madeBy(queries, body.by, body, undefined)
  return body
}

/**
 * Holds of entries that each was made by whom it names.
 * @returns the proofs to be kept beside them, by their ids
 */
export async function sealsOf(
  queries: Queries,
  entries: readonly { id: string; by: string }[],
  seals: (Seal | null)[] | undefined,
): Promise<Map<string, Proof>> {
  const proofs = new Map<string, Proof>()
  for (const [i, entry] of entries.entries()) {
    const seal = seals?.[i]
    await madeBy(queries, entry.by, entry, seal, `entries[${i}].by`)
    if (seal) proofs.set(entry.id, seal)
  }
  return proofs
}

/**
 * Holds of entries that each was made by whom it names, and of a decision that names a second person that they gave their word for it.
 * @returns the proofs to be kept beside them, by their ids
 */
export async function provenBy(
  queries: Queries,
  entries: Entry[],
  seals: (Seal | null)[] | undefined,
  seconds: Record<string, Seal> | undefined,
): Promise<ReadonlyMap<string, Proof>> {
  const proofs = await sealsOf(queries, entries, seals)
  for (const [i, entry] of entries.entries()) {
    if (entry.kind !== 'decision' || entry.second === undefined || here()?.open) continue
    const path = `entries[${i}].second`
    const word = seconds?.[entry.id]
    if (!word) throw notTheirs(path, 'has not given their word for it at this bench')
    await madeBy(queries, entry.second, entry, word, path)
  }
  return proofs
}
