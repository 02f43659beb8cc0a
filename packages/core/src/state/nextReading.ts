import type { Reading } from '../document'
import { evaluate, type Bench, type Evaluation } from '../judgement'
import type { RunState } from './runState'

/** The reading that is about to be taken: where, on what, under which conditions, by whom. */
export type NextReading = { check: string; at: string; by: string } & Pick<
  Reading,
  'instrument' | 'leads' | 'pair' | 'index' | 'x' | 'conditions'
>

/**
 * The reading that is about to be taken, as the run stands: its limit, leads and temperature, and no figure yet.
 * @param reading what was read, where it was: it is judged as if it were kept
 * @returns the bench with it, and undefined where the card has no such check
 * @example
 * nextReading(scenes.sound().state, { check: 'low', at: '2026-03-02T10:00:00.000Z', by: 'p', instrument: 'm2' }).evaluation.leads.from
 * // 'zero'
 */
export function nextReading(
  { run, tape, prepared }: RunState,
  { check, at, by, ...place }: NextReading,
  reading?: Reading,
): { bench: Bench; evaluation: Evaluation } | undefined {
  const entry = {
    id: 'next',
    run: run.id,
    n: (tape.entries.at(-1)?.n ?? 0) + 1,
    at,
    by,
    kind: 'reading' as const,
    check,
    reading: reading ?? {
      taken: 'typed' as const,
      text: '',
      decimalComma: false,
      kind: 'value' as const,
      ...(Object.fromEntries(Object.entries(place).filter(([, value]) => value !== undefined)) as typeof place),
    },
  }
  // as every entry before the first work, it has no stage before that
  const stage = tape.stageOf.get(tape.entries.at(-1)?.id ?? '')
  const stageOf = stage === undefined ? tape.stageOf : new Map([...tape.stageOf, ['next', stage]])
  const bench: Bench = { run, prepared, tape: { ...tape, stageOf } }
  const evaluation = evaluate(bench, entry)
  return evaluation && { bench, evaluation }
}
