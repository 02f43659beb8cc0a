import type { Refusal } from '../state'
import type { Rewind, RewindEntry } from '../document'
import { textMismatch } from '../quantity'

const refused = (field: string, sentence: string): Refusal => ({ kind: 'refused', field, sentence })

/**
 * Whether an entry cannot belong to a rewind: another document's, about a coil it does not have, a reading whose text says something else. It
 * is never refused for what it says of the work.
 * @param rewind the rewind with the entries in front of this one
 * @example
 * rewindRefusal({ id: 'w', coils: [], entries: [] }, { id: 'e', rewind: 'other', n: 1, at: '', by: 'p', kind: 'note', words: '' })?.field // 'rewind'
 */
export function rewindRefusal(rewind: Pick<Rewind, 'id' | 'coils' | 'entries'>, entry: RewindEntry): Refusal | null {
  if (entry.rewind !== rewind.id)
    return refused('rewind', `names another rewind (${entry.rewind}) than the one it was sent to`)
  if ('coil' in entry && entry.coil !== undefined && !rewind.coils.some(({ id }) => id === entry.coil))
    return refused('coil', `names the coil "${entry.coil}", which this rewind does not have`)
  if (entry.kind === 'take-back' && !rewind.entries.some(({ id }) => id === entry.entry))
    return refused('entry', 'names an entry that is not on this tape; send that one first')
  if (entry.kind !== 'gauge' && entry.kind !== 'mid-wind') return null
  const quantity = entry.kind === 'gauge' ? 'length' : 'resistance'
  const { reading } = entry
  if (reading.kind !== 'value' || reading.value === undefined || !(reading.value > 0))
    return refused('reading.value', 'is no figure above nought')
  const part = textMismatch(reading, quantity)
  return part
    ? refused(`reading.${part}`, `is not what the text "${reading.text.slice(0, 40)}" says; send what the text says`)
    : null
}
