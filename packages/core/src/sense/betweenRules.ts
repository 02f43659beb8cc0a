import { above, atMost } from '../conformance'
import type { Relation } from '../document'
import { beta, isMetal } from '../temperature'
import { temperatureFactor, readsFinite, readsOpen, type Evaluation } from '../judgement'
import { joinedBy, type ReadingRule } from './rule'

/** A part above the whole it is part of, by more than the uncertainty. */
export const beyondPhysics: ReadingRule = {
  id: 'beyond-physics',
  cause: 'sum',
  about: joinedBy('sum'),
  test: ({ bench, evaluation, standing }) => {
    for (const relation of bench.prepared.relationsOf.get(evaluation.check.id) ?? []) {
      if (relation.kind !== 'sum') continue
      const whole = standing(relation.whole).at(-1)
      if (!whole || !readsFinite(whole)) continue
      for (const id of relation.parts) {
        const part = standing(id).at(-1)
        if (!part || !readsFinite(part) || (part !== evaluation && whole !== evaluation)) continue
        const excess = (part.net ?? 0) * temperatureFactor(part, whole) - (whole.net ?? 0)
        if (above(excess, 2 * Math.hypot(part.netU ?? 0, whole.netU ?? 0)))
          return {
            severity: 'stop',
            params: { part: id, whole: relation.whole, value: part.net ?? 0, of: whole.net ?? 0 },
          }
      }
    }
    return null
  },
}

/** Parts and whole disagree; the advice names a reading on the side that could be high. */
export const sumOff: ReadingRule = {
  id: 'sum-off',
  cause: 'sum',
  about: joinedBy('sum'),
  test: ({ relations }) => {
    for (const state of relations) {
      const { relation, verdict, sum, odd, members } = state
      if (relation.kind !== 'sum' || verdict !== 'outside' || !sum || !odd) continue
      if (sharedShare(members, sum.residual, sum.u)) continue
      return {
        severity: 'stop',
        params: {
          relation: relation.id,
          parts: members.slice(0, -1).reduce((all, { net = 0 }) => all + net, 0),
          whole: members.at(-1)?.net ?? 0,
          wholeCheck: relation.whole,
          residual: sum.residual,
          allowed: sum.allowed,
          likely: odd.check.id,
          likelyEntry: odd.entry.id,
          implied: sum.impliedPart[members.indexOf(odd)] ?? sum.impliedWhole,
        },
      }
    }
    return null
  },
}

/** Half the residual of two joined windings, where it could sit in the terminal or lead they share, else 0. */
function sharedShare(members: Evaluation[], residual: number, u: number): number {
  if (members.length !== 3 || !above(residual, 2 * u)) return 0
  const share = residual / 2
  const holds = members.slice(0, 2).every(({ net = 0, limit }) => {
    const { min = -Infinity, max = Infinity } = limit?.band ?? {}
    return net - share >= min && atMost(net - share, max)
  })
  return holds ? share : 0
}

/** Some ohms sit in the lead or terminal that two windings share; both could hold them. Takes the place of `sum-off`. */
export const sharedResistance: ReadingRule = {
  id: 'shared-resistance',
  cause: 'sum',
  about: joinedBy('sum'),
  test: ({ relations }) => {
    for (const state of relations) {
      if (state.relation.kind !== 'sum' || state.verdict !== 'outside' || !state.sum) continue
      const ohms = sharedShare(state.members, state.sum.residual, state.sum.u)
      if (ohms > 0) return { severity: 'note', params: { relation: state.relation.id, ohms } }
    }
    return null
  },
}

/** Of three pairs on three joined terminals two finite and one open cannot be: a contact. */
export const oneOpenOfThree: ReadingRule = {
  id: 'one-open-of-three',
  cause: 'sum',
  about: (check, relations) => check.kind === 'three-pins' || joinedBy('sum')(check, relations),
  test: ({ bench, evaluation, standing }) => {
    for (const members of threes(bench.prepared.relationsOf.get(evaluation.check.id) ?? [], evaluation, standing)) {
      const [open, ...others] = members.filter(readsOpen)
      // what was joined by hand for it can come apart
      if (open?.check.conditions?.joined) continue
      if (!open || others.length > 0 || !members.every((one) => one === open || readsFinite(one))) continue
      return { severity: 'stop', params: { open: open.check.id, entry: open.entry.id } }
    }
    return null
  },
}

/** A branch is open and so is the series reading through it: no second place. */
export const openAddsNothing: ReadingRule = {
  id: 'open-adds-nothing',
  about: joinedBy('sum'),
  test: ({ bench, evaluation, standing }) => {
    for (const relation of bench.prepared.relationsOf.get(evaluation.check.id) ?? []) {
      if (relation.kind !== 'sum') continue
      const whole = standing(relation.whole).at(-1)
      if (!whole || !readsOpen(whole)) continue
      const open = relation.parts.flatMap((id) => standing(id).slice(-1)).filter(readsOpen)
      if (open.length === 0) continue
      if (whole !== evaluation && !open.includes(evaluation)) continue
      return { severity: 'note', params: { open: open[0]?.check.id ?? '', whole: relation.whole } }
    }
    return null
  },
}

function threes(
  relations: Relation[],
  evaluation: Evaluation,
  standing: (check: string) => Evaluation[],
): Evaluation[][] {
  const { check } = evaluation
  const pins = check.kind === 'three-pins' ? standing(check.id) : []
  const found = pins.length === 3 ? [pins] : []
  for (const relation of relations) {
    if (relation.kind !== 'sum' || relation.parts.length !== 2) continue
    const [one, other, whole] = [...relation.parts, relation.whole].map((id) => standing(id).at(-1))
    const members = one && other && whole ? [one, other, whole] : []
    if (members.includes(evaluation)) found.push(members)
  }
  return found
}

/** Two windings on one core that temperature moves alike are apart: this one is out, whatever the temperature. */
export const sisterRatio: ReadingRule = {
  id: 'sister-ratio',
  about: joinedBy('ratio'),
  test: ({ relations }) => {
    for (const state of relations) {
      if (state.relation.kind !== 'ratio' || state.verdict !== 'outside') continue
      const warmth = state.members.every(couldBeTemperature)
      if (warmth)
        return {
          severity: 'warn',
          params: {
            relation: state.relation.id,
            ratio: state.value ?? 0,
            stated: state.relation.ratio,
            odd: state.odd?.check.id ?? '',
          },
        }
    }
    return null
  },
}

/** Whether some temperature a part may have on a bench would bring the reading into its band. */
function couldBeTemperature({ net, temperature, check, limit, reference }: Evaluation): boolean {
  const { material } = check
  if (net === undefined || temperature?.from === 'measured' || material === undefined || !isMetal(material))
    return false
  const [coldest, hottest] = [-10, 80].map(
    (c) => (net * (beta[material] + (reference?.c ?? 20))) / (beta[material] + c),
  )
  const { min = -Infinity, max = Infinity } = limit?.band ?? {}
  return (hottest ?? 0) <= max && (coldest ?? 0) >= min
}
