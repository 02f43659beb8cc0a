import { formulaCell } from '@sure-spool/contract'
import { runState, type Run } from '@sure-spool/core'
import Papa from 'papaparse'

/** Every reading of a run as CSV, one row a reading, the unit in the header; cells that a spreadsheet would run are defused. */
export function readingsCsv(run: Run): string {
  const state = runState(run)
  const rows = state.tape.readings.map((entry) => {
    const evaluation = state.evaluations.get(entry.id)
    const { reading } = entry
    const { min = '', max = '' } = evaluation?.limit?.band ?? {}
    return {
      tag: run.unit.tag,
      'taken at (UTC)': entry.at,
      check: entry.check,
      points: (evaluation?.pair ?? []).join(' to '),
      'as typed': reading.text,
      kind: reading.kind,
      'value (SI)': reading.value ?? '',
      'net of leads (SI)': evaluation?.net ?? '',
      'at reference (SI)': evaluation?.judged ?? '',
      'expanded uncertainty 2u (SI)': evaluation?.u === undefined ? '' : 2 * evaluation.u,
      'minimum (SI)': min,
      'maximum (SI)': max,
      verdict: evaluation?.verdict ?? 'none',
      reason: evaluation?.reason ?? '',
      'part (°C)': evaluation?.temperature?.partC ?? '',
      'out of use': state.tape.gone.get(entry.id)?.how ?? '',
    }
  })
  return Papa.unparse(rows, { escapeFormulae: formulaCell, newline: '\r\n' })
}
