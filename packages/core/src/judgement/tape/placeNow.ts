import type { Place } from '../../document'
import { entriesThatStand } from './entriesThatStand'
import type { Tape } from './readTape'

/**
 * Where the part is: on the bench until an entry says otherwise (METHODS 11.20).
 * @example
 * placeNow(scenes.sound().tape) // 'bench'
 */
export const placeNow = (tape: Pick<Tape, 'standing'>): Place =>
  entriesThatStand(tape, 'place').at(-1)?.where ?? 'bench'
