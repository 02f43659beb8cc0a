import type { Cause } from '../causes'
import type { Conditions } from '../document'
import type { Severity } from '../sense'
import type { Verdict } from '../conformance'
import type { FindingWord } from './finding'
import { itemFindings, type ItemFinding } from './itemFindings'
import type { RunState } from './runState'

/** A run's verdicts as plain JSON: what `judge` prints, what the server stores and answers with. */
export interface Summary {
  core: string
  finding: FindingWord
  causes: Cause[]
  verdicts: VerdictRow[]
  /** of a set the finding of each item that was read */
  items: ItemFinding[]
  relations: { id: string; verdict: Verdict }[]
  remarks: { id: string; severity: Severity; check?: string; entry?: string; answered?: true }[]
  retaken: string[]
  untested: string[]
  unjudged: string[]
  explained: string[]
}
export interface VerdictRow {
  check: string
  verdict: Verdict
  reason?: string
  held?: true
  points: {
    pair?: [string, string]
    index?: number
    x?: number
    conditions?: Conditions
    verdict: Verdict
    reason?: string
    held?: true
  }[]
}

/**
 * The verdicts of a run, one row a check (CARD, last paragraph).
 * @example
 * summarise(scenes.low().state).finding // 'fault-found'
 */
export function summarise(state: RunState): Summary {
  return {
    core: state.core,
    finding: state.finding.word,
    causes: state.causes,
    verdicts: state.checks.map(({ check, verdict, reason, held, points }) => ({
      check: check.id,
      verdict,
      ...(reason ? { reason } : {}),
      ...(held ? { held } : {}),
      points: points.map((point) => {
        const reading = point.evaluation?.entry.reading
        return {
          ...(point.pair ? { pair: point.pair } : {}),
          ...given('index', reading?.index ?? point.index),
          ...given('x', reading?.x ?? point.x),
          ...(reading?.conditions === undefined ? {} : { conditions: reading.conditions }),
          verdict: point.verdict,
          ...(point.reason ? { reason: point.reason } : {}),
          ...(point.held ? { held: point.held } : {}),
        }
      }),
    })),
    items: itemFindings(state),
    relations: state.relations.map(({ relation, verdict }) => ({ id: relation.id, verdict })),
    remarks: state.remarks.map(({ id, severity, check, entry, answered }) => ({
      id,
      severity,
      ...(check === undefined ? {} : { check }),
      ...(entry === undefined ? {} : { entry }),
      ...(answered ? { answered: true as const } : {}),
    })),
    retaken: state.retaken,
    untested: state.untested,
    unjudged: state.unjudged,
    explained: state.explained,
  }
}

const given = <K extends 'index' | 'x'>(key: K, value: number | undefined): Partial<Record<K, number>> =>
  value === undefined ? {} : ({ [key]: value } as Record<K, number>)
