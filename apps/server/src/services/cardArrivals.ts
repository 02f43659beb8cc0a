import type { ArrivingCard, ImportedCards } from '@sure-spool/contract'
import { hashOf } from '../canonical'
import type { Queries } from '../database/connect'
import { hashesOf } from '../repositories/revisions'

type Row = ImportedCards['rows'][number]
export type Resolution = Record<string, 'keep' | 'next'>

/** A revision of a card, as a file and a person's word for it name it. */
export const revisionKey = ({ id, revision }: { id: string; revision: number }): string => `${id}@${revision}`

/**
 * Decides of each card of a file what becomes of it, in the file's order. What is here under the same revision is never overwritten:
 * another body is a conflict until `resolve` says to keep what is here, or to take theirs as the card's next draft.
 */
export class CardArrivals {
  private readonly known = new Map<string, Map<number, string>>()
  private readonly seen: string[] = []

  constructor(
    private readonly queries: Queries,
    private readonly resolve: Resolution,
  ) {}

  /** What becomes of the next cards of the file. */
  async decide(some: ArrivingCard[]): Promise<Row[]> {
    const unknown = [...new Set(some.map(({ id }) => id))].filter((id) => !this.known.has(id))
    const here = await hashesOf(this.queries, unknown)
    for (const id of unknown) this.known.set(id, here.get(id) ?? new Map())
    return some.map((one) => this.decideOne(one))
  }

  private decideOne({ hash, ...head }: ArrivingCard): Row {
    const revisions = this.known.get(head.id) ?? new Map<number, string>()
    const key = revisionKey(head)
    const before = revisions.get(head.revision)
    if (before === hash) return { ...head, what: 'same' }
    const what = before !== undefined ? 'conflict' : revisions.size === 0 ? 'new' : 'revision'
    this.seen.push(`${key} ${what} ${hash}`)
    if (before === undefined) revisions.set(head.revision, hash)
    const word = before === undefined ? undefined : this.resolve[key]
    if (word === undefined) return { ...head, what }
    if (word === 'keep') return { ...head, what: 'kept' }
    const as = Math.max(...revisions.keys()) + 1
    revisions.set(as, '')
    return { ...head, what: 'next', as }
  }

  /**
   * What was decided so far, before anybody's word on it: a preview names it, and what is kept on that preview must come to the
   * same. Cards that change nothing are left out, so that they need not be sent again.
   */
  preview(): string {
    return hashOf([...this.seen].sort())
  }
}
