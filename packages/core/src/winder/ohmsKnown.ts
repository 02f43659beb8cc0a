import type { CoilPlan, Winding } from '../document'
import { atTwinReference, type CheckState } from '../judgement'
import type { RunState } from '../state'

/** Ohms at 20 °C that a coil can be wound to, where they come from, and what they were read on. */
export interface KnownOhms {
  from: Extract<CoilPlan['from'], 'card' | 'neighbours' | 'twin'>
  ohms20: number
  /** labels of the windings, or tags of the parts */
  of: string[]
}

/** Windings whose stated ohms differ by no more are meant to be alike. */
const meantAlike = 0.01

/**
 * What the run before a rewind knows of the ohms a winding should have: its card's figure, the mean of the sound windings of the same part
 * that are meant to be like it, and what was read on a twin (METHODS 10, "Plan").
 * @param state the run that found it dead
 * @param winding the winding's id; one that the card does not have is known nothing of
 * @returns in that order; each only where it is known
 * @example
 * ohmsKnown(scenes.low().state, 'low') // [ { from: 'card', ohms20: 318, of: [] } ]
 */
export function ohmsKnown({ run, checks }: Pick<RunState, 'run' | 'checks'>, winding: string): KnownOhms[] {
  const { windings } = run.card
  const own = windings.find(({ id }) => id === winding)
  if (!own) return []
  const alike = windings.filter((one) => one.id !== own.id && isMeantAlike(own, one))
  const read = alike.flatMap((one) => {
    const ohms = soundOhms(checks, one)
    return ohms === undefined ? [] : [{ label: one.label, ohms }]
  })
  const ownCheck = checks.find(({ check }) => isOf(check.points, own))?.check.id
  const twins = (run.compare ?? []).flatMap(({ tag, figures }) => {
    const value = figures.findLast(({ check }) => check === ownCheck)?.value
    return value === undefined ? [] : [{ tag, value }]
  })
  const mean = (all: number[]) => all.reduce((sum, one) => sum + one, 0) / all.length
  return [
    ...(own.ohms === undefined || own.ohms <= 0 ? [] : [{ from: 'card' as const, ohms20: own.ohms, of: [] }]),
    ...(read.length === 0
      ? []
      : [
          {
            from: 'neighbours' as const,
            ohms20: mean(read.map(({ ohms }) => ohms)),
            of: read.map(({ label }) => label),
          },
        ]),
    ...twins.map(({ tag, value }) => ({ from: 'twin' as const, ohms20: value, of: [tag] })),
  ]
}

const isMeantAlike = ({ ohms: a }: Winding, { ohms: b }: Winding): boolean =>
  a !== undefined && b !== undefined && Math.abs(a - b) <= meantAlike * Math.max(a, b)

const isOf = (points: { pair: [string, string] }[], { from, to }: Winding): boolean =>
  points.length === 1 && points[0]?.pair.includes(from) === true && points[0].pair.includes(to)

/** Ohms at 20 °C of a winding that reads as it should. */
function soundOhms(checks: CheckState[], winding: Winding): number | undefined {
  const found = checks.find(({ check, verdict }) => isOf(check.points, winding) && verdict === 'within')
  const one = found?.points[0]?.evaluation
  return one?.net === undefined || one.quantity !== 'resistance' ? undefined : atTwinReference(one).value
}
