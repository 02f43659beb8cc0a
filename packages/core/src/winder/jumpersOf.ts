import type { CoilState } from './rewindStanding'

/** An end of a coil: the one its winding begins with, or the one it ends with. */
export interface CoilEnd {
  coil: string
  end: 'start' | 'finish'
}

/** What joins two coils that follow each other, or the lead at either end of the row: where it leaves and where it goes. */
export interface Jumper {
  from: CoilEnd | 'lead'
  to: CoilEnd | 'lead'
}

const other = (end: CoilEnd['end']): CoilEnd['end'] => (end === 'start' ? 'finish' : 'start')

/**
 * Where each start goes, jumper by jumper, round the coils of a winding in series (METHODS 10): neighbours are to work against each other, so
 * a coil laid the other way than the one before it is entered at its start, one laid the same way at its finish.
 * @param coils in order, as they lie, or as they are to lie where they are not wound yet
 * @returns from lead to lead; none for a coil alone, or where a lay is not known
 * @example
 * jumpersOf([]) // []
 */
export function jumpersOf(coils: readonly Pick<CoilState, 'coil' | 'lay' | 'wound'>[]): Jumper[] {
  const lays = coils.map(({ lay, wound }) => wound?.lay ?? lay)
  if (coils.length < 2 || lays.some((lay) => lay === undefined)) return []
  const jumpers: Jumper[] = []
  let last: CoilEnd | 'lead' = 'lead'
  let entered: CoilEnd['end'] = 'start'
  for (const [i, { coil }] of coils.entries()) {
    if (i > 0 && lays[i] === lays[i - 1]) entered = other(entered)
    jumpers.push({ from: last, to: { coil: coil.id, end: entered } })
    last = { coil: coil.id, end: other(entered) }
  }
  return [...jumpers, { from: last, to: 'lead' }]
}
