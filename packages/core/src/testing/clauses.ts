import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { Quantity, Reading } from '../document'
import { samePoint, type Evaluation } from '../judgement'
import { fired } from '../sense'
import type { Fired } from '../sense/fired'
import type { Moment, ReadingRule } from '../sense/rule'
import { sceneOf } from './scene'
import type { Script } from './script'

/** The moment at which the last reading of a script was judged. */
export function momentOf(script: Script): Moment {
  const scene = sceneOf(script)
  const evaluation = scene.all.at(-1)
  if (!evaluation) throw new Error('nothing was read')
  const earlier = scene.all.slice(0, -1)
  const before = earlier.filter((one) => !scene.tape.gone.has(one.entry.id) && one.point !== evaluation.point)
  const there = samePoint(scene.tape, evaluation, earlier)
  const again = there.filter(({ instrument }) => instrument === evaluation.instrument)
  const onOthers = there.filter(({ instrument }) => instrument !== evaluation.instrument)
  const { bench, standing, state } = scene
  return { bench, evaluation, before, standing, earlier, again, onOthers, relations: state.relations }
}
export type Change = (moment: Moment) => Moment
/** The same moment with another figure, limit, meter … of its reading. */
export const but =
  (changes: Partial<Evaluation> | ((one: Evaluation) => Partial<Evaluation>)): Change =>
  (moment) => ({
    ...moment,
    evaluation: {
      ...moment.evaluation,
      ...(typeof changes === 'function' ? changes(moment.evaluation) : changes),
    } as Evaluation,
  })
export const butReading = (changes: Partial<Reading>): Change =>
  but(({ entry }) => ({ entry: { ...entry, reading: { ...entry.reading, ...changes } } }))
export const butCheck = (changes: Partial<Evaluation['check']>): Change =>
  but(({ check }) => ({ check: { ...check, ...changes } }))
export const butQuantity = (quantity: Quantity): Change =>
  but(({ check }) => ({ quantity, check: { ...check, quantity } }))
export const butBand = (band: { min?: number; max?: number }): Change =>
  but(({ limit }) => (limit ? { limit: { ...limit, band } } : {}))
export const butOpen: Change = but(({ limit }) => (limit ? { limit: { ...limit, expectOpen: 1e6 } as never } : {}))
/** A reading without a figure. */
export const noFigure: Change = but({ net: undefined, taken: undefined, judged: undefined } as never)

/** A rule, a moment at which it speaks, and for each of its conditions the nearest moment at which it does not. */
export type Clauses = [rule: ReadingRule, speaks: () => Script, silent: Record<string, Change | (() => Script)>]

const said = (rule: ReadingRule, moment: Moment) => fired(moment, [rule])[0] ?? null

/** What each rule says where it speaks, a line each: read through by eye. */
const saidFile = 'packages/core/src/sense/said.txt'
const plain = (value: string | number) => (typeof value === 'number' ? Number(value.toPrecision(4)) : value)
const lineOf = ({ remark, also }: Fired): string =>
  [
    remark.id,
    remark.severity,
    ...Object.entries(remark.params).map(([name, value]) => `${name}=${plain(value)}`),
    ...(also.length > 0 ? [`also ${also.length}`] : []),
  ].join(' ')

/**
 * Holds every clause of these rules: the case that needs it, with what is said there, and the nearest that does not.
 * @param under the heading in `said.txt` under which that is listed, in the order of the rules
 */
export function holdClauses(under: string, rules: Clauses[]): void {
  const [, listed = ''] = readFileSync(saidFile, 'utf8').split(`# ${under}\n`)
  const lines = listed.split('\n')
  describe.each(rules.map((one, i) => [one[0].id, i, ...one] as const))('%s', (_, i, rule, speaks, silent) => {
    test('speaks', () => {
      const found = said(rule, momentOf(speaks()))
      expect(found && lineOf(found)).toBe(lines[i])
    })
    test.each(Object.entries(silent))('not with: %s', (_what, change) => {
      const moment = change.length === 0 ? momentOf((change as () => Script)()) : (change as Change)(momentOf(speaks()))
      expect(said(rule, moment)).toBeNull()
    })
  })
}
