import type { Rewind, RewindEntry, RewindEntryOf } from '../document'
import { takenBackIn } from '../judgement'
import { poleWinding, type PlannedCoil } from '../rewind'
import { coilState } from './coilState'
import { remarksOn } from './rewindRemarks'
import { stepsOf } from './rewindSteps'
import type { CoilState, RewindState, WholeWinding } from './rewindStanding'

/**
 * All that follows from a rewind's entries: what was found on each coil, what it is to become, how far it is, and what a careful colleague
 * would say (CARD, "Rewind"; METHODS 10). Of coils of one winding the later ones take what was found on the first.
 * @returns the same state for the same entries; never throws on a valid rewind
 * @example
 * rewindState({ format: 'sure-spool/rewind', version: 1, id: 'w', unit: 'u', startedAt: '2026-03-02T09:00:00.000Z', instruments: [], coils: [{ id: 'c1', winding: 'low', label: 'low' }], entries: [] }).step
 * // 'turns:c1'
 */
export function rewindState(rewind: Rewind): RewindState {
  const takenBack = takenBackIn(rewind.entries)
  const stand = rewind.entries.filter(({ id, kind }) => kind !== 'take-back' && !takenBack.has(id))
  const of = <K extends RewindEntry['kind']>(kind: K): RewindEntryOf<K>[] =>
    stand.filter((entry): entry is RewindEntryOf<K> => entry.kind === kind)
  const direction = of('direction').at(-1)
  const coils = rewind.coils.map((coil) => coilState(rewind, coil, stand))
  const laid = withLays(rewind, coils)
  const ground = of('live-ground').at(-1)?.state ?? 'off'
  const finished = of('step')
  const steps = stepsOf(rewind, laid, direction, finished)
  const state = {
    rewind,
    coils: laid,
    steps,
    step: steps.find(({ status }) => status !== 'done')?.id ?? 'prove',
    wholes: wholesOf(rewind, laid),
    ground: ground === 'mended' ? ('on' as const) : ground,
    ...(direction ? { direction } : {}),
    finished,
    takenBack: new Set(takenBack.keys()),
  }
  const answered = new Set(of('answer').map(({ remark }) => remark))
  return {
    ...state,
    remarks: remarksOn(state).map((one) => (answered.has(one.key) ? { ...one, answered: true as const } : one)),
  }
}

/** Poles of one winding in series alternate round the ring from how the first was laid; a coil alone is laid as it was. */
function withLays(rewind: Rewind, coils: CoilState[]): CoilState[] {
  return coils.map((one) => {
    const sisters = rewind.coils.filter(({ winding }) => winding === one.coil.winding)
    const first = one.plan?.lay ?? one.original.lay
    if (first === undefined) return one
    const at = sisters.findIndex(({ id }) => id === one.coil.id)
    const lay = poleWinding({ poles: sisters.length, turnsPerPole: 0, first })[at]?.direction
    return { ...one, ...(lay ? { lay } : {}) }
  })
}

function wholesOf({ coils: all }: Rewind, coils: CoilState[]): WholeWinding[] {
  return [...new Set(all.map(({ winding }) => winding))].flatMap((winding) => {
    const own = coils.filter(({ coil }) => coil.winding === winding)
    const planned = own.flatMap((one) => one.planned ?? [])
    if (planned.length < own.length) return []
    const sum = (pick: (one: PlannedCoil) => number) => planned.reduce((total, one) => total + pick(one), 0)
    return [
      {
        winding,
        coils: own.length,
        turns: sum(({ turns }) => turns),
        ohms20: sum(({ ohms20 }) => ohms20),
        low: sum(({ low }) => low),
        high: sum(({ high }) => high),
        metres: sum(({ metres }) => metres),
        grams: sum(({ grams }) => grams),
        wound: own.reduce((total, { turns }) => total + turns, 0),
      },
    ]
  })
}
