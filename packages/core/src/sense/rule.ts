import type { Relation } from '../document'
import { quantityOf, type Bench, type Evaluation, type PreparedCheck, type RelationState } from '../judgement'

export type Severity = 'stop' | 'warn' | 'note'

/** Remarks on one cause are one remark: only the severest is given, and a warn or note once a run (SENSE). */
export type RemarkCause = 'leads' | 'figure' | 'range' | 'temperature' | 'steadiness' | 'sum'

export interface Remark {
  id: RemarkId
  severity: Severity
  params: Record<string, string | number>
}

/** What a rule finds, before it carries its id. */
export type Found =
  (Omit<Remark, 'id'> & { /** other readings that a stop holds with this one */ also?: string[] }) | null

/** What a colleague looking over the shoulder knows when a reading is kept: the tape as it then stood. */
export interface Moment {
  bench: Bench
  evaluation: Evaluation
  /** readings that stood just before this one, in tape order */
  before: Evaluation[]
  /** readings that stand with this one, by check */
  standing: (check: string) => Evaluation[]
  /** relations that join this reading, judged with it */
  relations: RelationState[]
  /** every reading before this one, standing or not, in tape order */
  earlier: Evaluation[]
  /** those of them at this reading's point and stage, neither mistyped nor taken back: on the same meter, and on others */
  again: Evaluation[]
  onOthers: Evaluation[]
}

export interface ReadingRule {
  id: RemarkId
  cause?: RemarkCause
  /** the checks it can speak on at all, by what their card says; every check where it is absent */
  about?: (check: PreparedCheck, relations: Relation[]) => boolean
  /** a set-up rule fires once for one state of the bench (an isolation, a zero) and holds all readings under it */
  setting?: (moment: Moment) => string
  /** a warn or note, else given once, is given anew for another of these: another heating */
  anew?: (moment: Moment) => string
  test: (moment: Moment) => Found
}

/**
 * Whether a check is read in ohms: what most rules speak on.
 * @example
 * inOhms(scenes.sound().check('low')) // true
 */
export const inOhms = (check: Pick<PreparedCheck, 'kind' | 'quantity'>): boolean => quantityOf(check) === 'resistance'

/**
 * The rules on checks that a relation of this kind joins.
 * @example
 * joinedBy('sum')(scenes.sound().check('low'), [scenes.sound().relation('sum')]) // true
 */
export const joinedBy =
  (kind: Relation['kind']): NonNullable<ReadingRule['about']> =>
  (_check, relations) =>
    relations.some((one) => one.kind === kind)

export type RemarkId =
  | 'over-on-low-range'
  | 'near-full-scale'
  | 'meter-cannot'
  | 'coarse-range'
  | 'one-or-over'
  | 'zero-or-open'
  | 'prefix-jump'
  | 'prefix-decides'
  | 'beyond-meter'
  | 'milli-or-mega'
  | 'negative'
  | 'fits-another'
  | 'same-as-last'
  | 'not-isolated'
  | 'leads-matter'
  | 'stale-zero'
  | 'reads-like-leads'
  | 'meter-unproved'
  | 'frame-unproved'
  | 'temperature-decides'
  | 'not-settled'
  | 'unsteady'
  | 'repeats-apart'
  | 'beyond-physics'
  | 'condition-missing'
  | 'sum-off'
  | 'one-open-of-three'
  | 'open-adds-nothing'
  | 'shared-resistance'
  | 'sister-ratio'
  | 'at-limit'
  | 'leak-over-break'
  | 'ground-ceiling'
  | 'windings-untested'
  | 'static-only'
  | 'flex-the-lead'
  | 'retest-missing'
  | 'poor-leads'
  | 'jack-after-amps'
  | 'part-warm'
  | 'meters-disagree'
  | 'low-by-a-little'
  | 'expected-current'
  | 'supply-unloaded'
  | 'tests-disagree'
  | 'no-floor'
  | 'limits-conflict'
  | 'kind-unset'
  | 'twins-both-off'
  | 'high-is-not-shorted'
  | 'ac-on-open'
  | 'ground-side'
  | 'over-volts'
  | 'across-electronics'
  | 'unknown-pins-power'
  | 'supply-high'
  | 'click-only'
  | 'sweep-back'
  | 'gauges-too-near'
  | 'odd-poles'
  | 'winder-direction'
  | 'no-ground-after'
