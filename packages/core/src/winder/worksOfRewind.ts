import type { EntryBody } from '../document'
import type { RewindState } from './rewindStanding'

/** As long as soldering or wax is felt in a reading, milliseconds (SENSE, `part-warm`). */
const warmMs = 20 * 60_000

/**
 * What a rewind did to the part, as the tape of the run that proves it says it: rewound, and what was soldered or fixed so lately that it is
 * still warm. The rewind is named where all its coils have counted turns and a known wire (METHODS 11.9).
 * @param atMs the moment at which that run begins, Unix time
 * @returns work entries, in order; none for a winding of which no coil is wound
 * @example
 * worksOfRewind({ rewind: { id: 'w', coils: [] }, coils: [], finished: [] }, 0) // []
 */
export function worksOfRewind(
  { rewind, coils, finished }: Pick<RewindState, 'coils' | 'finished'> & { rewind: Pick<RewindState['rewind'], 'id'> },
  atMs: number,
): Extract<EntryBody, { kind: 'work' }>[] {
  const windings = [...new Set(coils.flatMap(({ coil, wound }) => (wound ? [coil.winding] : [])))]
  const isKnown = (winding: string) =>
    coils
      .filter(({ coil }) => coil.winding === winding)
      .every(({ wound, plan, original }) => {
        const { awg, bareMm } = plan?.wire ?? original.wire ?? {}
        return wound !== undefined && (awg ?? bareMm) !== undefined
      })
  const warm = finished.flatMap(({ at, what, words = '' }): { what: 'solder' | 'fix'; words: string }[] => {
    if (atMs - Date.parse(at) >= warmMs) return []
    if (what === 'leads' && /solder/i.test(words)) return [{ what: 'solder', words }]
    return what === 'fix' && !/^no\b/i.test(words) ? [{ what: 'fix', words }] : []
  })
  return windings.flatMap((place) => [
    { kind: 'work' as const, what: 'rewind' as const, place, ...(isKnown(place) ? { rewind: rewind.id } : {}) },
    ...warm.map(({ what, words }) => ({ kind: 'work' as const, what, place, words: `at the winder: ${words}` })),
  ])
}
