import { isFormula, withoutApostrophe } from './formulas'
import { limitColumn, readUnit, textColumns, type FigureLine } from './columns'

export interface ReadLine {
  /** as a spreadsheet numbers it: the header is 1 */
  row: number
  line: FigureLine
  problem?: string
}

/** A cell that a spreadsheet would compute; our own files defuse such text with an apostrophe. */
const longest = 2000

/**
 * Rows of cells as lines of figures. The first row names the columns; their order is free, unknown ones are left alone.
 * @param cells as a CSV reader gives them
 * @returns the lines, each with what keeps it from being read; a header without the needed columns gives one sentence instead
 */
export function readLines(cells: string[][]): { lines: ReadLine[] } | { problem: string } {
  const [head = [], ...rows] = cells
  const names = head.map((one) => one.replace(/^\uFEFF/, '').trim())
  const at = new Map(
    textColumns.map(({ key, head: name }) => [key, names.findIndex((one) => one.toLowerCase() === name.toLowerCase())]),
  )
  const limits = names.flatMap((name, column) => {
    const unit = limitColumn(name)
    return unit === undefined ? [] : [{ unit, column }]
  })
  const unknown = limits.find(({ unit }) => readUnit(unit) === undefined)
  if (unknown)
    return { problem: `The column "limit (${unknown.unit})" has a unit that is not known: use Ω, V, A, H or F.` }
  const missing = (['model', 'check'] as const).filter((key) => (at.get(key) ?? -1) < 0)
  if (missing.length > 0 || limits.length === 0) {
    const needed = [...missing.map((key) => `"${key}"`), ...(limits.length === 0 ? ['"limit (Ω)"'] : [])]
    return { problem: `The first row names no column ${needed.join(' and no column ')}. It must name the columns.` }
  }
  const lines = rows.flatMap((row, i): ReadLine[] => {
    if (row.every((cell) => cell.trim() === '')) return []
    const text = (key: Parameters<typeof at.get>[0]) => defused(row[at.get(key) ?? -1] ?? '')
    const said = limits.filter(({ column }) => (row[column] ?? '').trim() !== '')
    const [first] = said
    const line: FigureLine = {
      ...(Object.fromEntries(textColumns.map(({ key }) => [key, text(key)])) as Omit<FigureLine, 'limit' | 'unit'>),
      limit: first ? defused(row[first.column] ?? '') : '',
      unit: first?.unit ?? limits[0]?.unit ?? 'Ω',
    }
    const problem = problemOf(row, line, said.length)
    return [{ row: i + 2, line, ...(problem === undefined ? {} : { problem }) }]
  })
  return { lines }
}

const defused = (text: string): string => withoutApostrophe(text).trim()

function problemOf(row: string[], line: FigureLine, limits: number): string | undefined {
  if (row.some((cell) => cell.length > longest))
    return `has a cell of more than ${longest.toLocaleString('en')} characters`
  if (row.some((cell) => isFormula(cell))) return 'has a formula in a cell; write the figure it gives'
  if (limits > 1) return 'has limits in two columns; a row is one limit'
  if (line.model === '') return 'names no model'
  if (line.check === '') return 'names no check'
  return undefined
}
