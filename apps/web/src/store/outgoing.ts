import type { Entry, RewindEntry } from '@sure-spool/core'
import type { NewRewind, NewRun, NewUnit, PhotoHead, Seal, WrittenCard } from '@sure-spool/contract'

/** Something the server has not acknowledged: it stays in this browser until it has. */
export type Outgoing = {
  seq?: number
  id: string
  aside?: { status: number; detail: string }
  /** of the seat it was made in */
  seal?: Seal
  /** a second person's word for a decision */
  second?: Seal
} & (
  | { kind: 'card'; body: WrittenCard }
  | { kind: 'unit'; body: NewUnit }
  | { kind: 'run'; body: NewRun }
  | { kind: 'entry'; run: string; body: Entry }
  | { kind: 'rewind'; body: NewRewind }
  | { kind: 'rewind-entry'; rewind: string; body: RewindEntry }
  /** its picture stands beside it in the browser's database, in a saved file here, in base64 */
  | { kind: 'photo'; body: PhotoHead; picture?: string }
)

/** Whether an item rests on one that is gone: a unit on its card, a run on its unit, an entry on its run or an earlier entry. */
export function refersTo(item: Outgoing, gone: ReadonlySet<string>): boolean {
  if (item.kind === 'unit') return gone.has(item.body.card.id)
  if (item.kind === 'run') return gone.has(item.body.unit)
  if (item.kind === 'rewind') return gone.has(item.body.unit)
  if (item.kind === 'rewind-entry')
    return gone.has(item.rewind) || (item.body.kind === 'take-back' && gone.has(item.body.entry))
  if (item.kind !== 'entry') return false
  const { body } = item
  if (gone.has(item.run)) return true
  if (body.kind === 'reading') return gone.has(body.reading.supersedes ?? '')
  return body.kind === 'take-back' && gone.has(body.entry)
}

/** An item and all that rests on it, however far, in the order in which they were made. */
export function withThoseThatRefer(item: Outgoing, all: readonly Outgoing[]): Outgoing[] {
  const gone = new Set([item.id])
  for (const other of all) if (refersTo(other, gone)) gone.add(other.id)
  return all.filter(({ id }) => gone.has(id))
}

/** Entries as they go up together, each with its seal, where there is one, and with the second person's word where a decision has it. */
export function entriesOf(batch: readonly Outgoing[]): {
  entries: unknown[]
  seals?: (Seal | null)[]
  seconds?: Record<string, Seal>
} {
  const seconds = batch.flatMap(({ id, second }) => (second ? [[id, second] as const] : []))
  return {
    entries: batch.map(({ body }) => body),
    ...(batch.some(({ seal }) => seal) ? { seals: batch.map(({ seal }) => seal ?? null) } : {}),
    ...(seconds.length > 0 ? { seconds: Object.fromEntries(seconds) } : {}),
  }
}
