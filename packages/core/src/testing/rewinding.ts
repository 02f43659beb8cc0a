import type { Coil, Rewind, RewindBody } from '../document'
import { nextRewindEntry } from '../winder'
import { pocketMeter } from './kit'

/** A rewind with more done to it, in that order. */
export const goingOn = (rewind: Rewind, ...bodies: RewindBody[]): Rewind =>
  bodies.reduce<Rewind>((one, body) => {
    const stamp = { id: `e${one.entries.length + 1}`, at: '2026-03-02T10:00:00.000Z', by: 'p' }
    return { ...one, entries: [...one.entries, nextRewindEntry(one, body, stamp)] }
  }, rewind)

/** A rewind of some coils, read with the pocket meter, after what was done to it. */
export const rewindOf = (coils: Coil[], ...bodies: RewindBody[]): Rewind =>
  goingOn(
    {
      format: 'sure-spool/rewind',
      version: 1,
      id: 'w',
      unit: 'u',
      startedAt: '2026-03-02T09:00:00.000Z',
      instruments: [pocketMeter],
      coils,
      entries: [],
    },
    ...bodies,
  )
