import type { PlannedCoil } from '../rewind'
import type { CoilState, RewindRemark, RewindState } from './rewindStanding'

/** A count that is off by more is looked at again. */
const turnsShare = 0.02

/**
 * The remarks on a rewind, the severest first (SENSE, "Driving and rewinding"; METHODS 10).
 * @example
 * remarksOn({ rewind: { coils: [] }, steps: [{ id: 'prove', phase: 'prove', status: 'to-do' }], coils: [] })[0]?.id // 'winder-direction'
 */
export function remarksOn(state: Omit<RewindState, 'remarks'>): RewindRemark[] {
  const found = [...oddPoles(state), ...direction(state), ...onCoils(state)]
  const rank = { stop: 0, warn: 1, note: 2 }
  return found.sort((a, b) => rank[a.severity] - rank[b.severity])
}

type Bare = Omit<RewindRemark, 'key'>
const keyed = (remark: Bare): RewindRemark => ({
  ...remark,
  key: `${remark.id}${remark.coil === undefined ? '' : `:${remark.coil}`}`,
})

/** Directions that alternate round a ring of an odd number of poles: the last clashes with the first. */
function oddPoles({ rewind }: Omit<RewindState, 'remarks'>): RewindRemark[] {
  return [...new Set(rewind.coils.map(({ winding }) => winding))].flatMap((winding) => {
    const poles = rewind.coils.filter((one) => one.winding === winding).length
    return poles > 1 && poles % 2 === 1
      ? [keyed({ id: 'odd-poles', severity: 'stop', params: { poles, winding } })]
      : []
  })
}

/** The winder's direction is not settled against the lay: one turn by hand tells. */
function direction({ steps, direction: settled }: Omit<RewindState, 'remarks'>): RewindRemark[] {
  const isNear = steps.every(({ phase, status }) => (phase !== 'strip' && phase !== 'plan') || status === 'done')
  return isNear && !settled ? [keyed({ id: 'winder-direction', severity: 'stop', params: {} })] : []
}

function onCoils(state: Omit<RewindState, 'remarks'>): RewindRemark[] {
  return state.coils.flatMap((one) => {
    const { coil, gauges, original, left, planned, plan, wound, lay, beeps, mid } = one
    const found: Bare[] = []
    const last = gauges.at(-1)
    const isLeader = state.rewind.coils.find(({ winding }) => winding === coil.winding)?.id === coil.id
    if (isLeader && last && last.others.length > 0)
      found.push({
        id: 'gauges-too-near',
        severity: 'warn',
        coil: coil.id,
        params: { overallMm: last.overallMm, strands: last.strands, wanted: last.wanted },
      })
    if (isLeader && last?.unlikeLeft && left.bareMm !== undefined)
      found.push({ id: 'wire-disagrees', severity: 'warn', coil: coil.id, params: { bareMm: left.bareMm } })
    const taken = plan?.wire
    if (
      isLeader &&
      taken &&
      original.wire &&
      sizeOf(taken) !== undefined &&
      sizeOf(original.wire) !== undefined &&
      sizeOf(taken) !== sizeOf(original.wire)
    )
      found.push({
        id: 'wire-unlike',
        severity: 'warn',
        coil: coil.id,
        params: { was: String(sizeOf(original.wire)), is: String(sizeOf(taken)) },
      })
    if (isLeader && !wound && planned?.fill !== undefined) found.push(...fillRemarks(coil.id, planned))
    if (wound && planned && Math.abs(wound.turns - planned.turns) > Math.max(1, turnsShare * planned.turns))
      found.push({
        id: 'turns-off',
        severity: 'warn',
        coil: coil.id,
        params: { turns: wound.turns, planned: Math.round(planned.turns) },
      })
    else if (wound && planned && Math.round(planned.turns) !== wound.turns)
      found.push({
        id: 'turns-off',
        severity: 'note',
        coil: coil.id,
        params: { turns: wound.turns, planned: Math.round(planned.turns) },
      })
    if (wound?.lay && lay && wound.lay !== lay)
      found.push({ id: 'laid-alike', severity: 'stop', coil: coil.id, params: { lay: wound.lay, wanted: lay } })
    const open = beeps.find(({ mended }) => !mended)
    if (open) found.push({ id: 'ground-beeps', severity: 'stop', coil: coil.id, params: { turns: open.turns } })
    found.push(...phaseRemarks(one))
    const check = mid.at(-1)
    const aim = plan?.ohms20 ?? planned?.ohms20
    if (check?.projected && aim !== undefined && planned && !wound) {
      const { ohms20, u2 } = check.projected
      if (ohms20 - u2 > planned.high || ohms20 + u2 < planned.low)
        found.push({
          id: 'ends-outside',
          severity: 'warn',
          coil: coil.id,
          params: { ohms20, stopAt: Math.round(check.stopAt?.turns ?? 0) },
        })
    }
    return found.map(keyed)
  })
}

/** Higher than its window, or only where it packs as it should. */
function fillRemarks(coil: string, { fill = 0, fillLoose = 0, turnsInWindow = 0 }: PlannedCoil): Bare[] {
  const params = { fill, turns: turnsInWindow }
  if (fill > 1) return [{ id: 'does-not-fit', severity: 'warn', coil, params }]
  return fillLoose > 1 ? [{ id: 'just-fits', severity: 'note', coil, params }] : []
}

/** Two coils that swing against each other cancel what they should add; magnets alike and swings alike add the hum as well. */
function phaseRemarks({ coil, phase }: CoilState): Bare[] {
  const { sister } = coil
  if (!phase || sister === undefined) return []
  if (phase.swing === 'opposite') return [{ id: 'out-of-phase', severity: 'stop', coil: coil.id, params: { sister } }]
  return phase.magnets === 'alike' ? [{ id: 'hum-adds', severity: 'note', coil: coil.id, params: { sister } }] : []
}

const sizeOf = ({ awg, bareMm }: { awg?: number; bareMm?: number }): string | undefined =>
  awg === undefined ? (bareMm === undefined ? undefined : `${bareMm} mm`) : `gauge ${awg}`
