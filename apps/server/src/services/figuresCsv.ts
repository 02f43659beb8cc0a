import { cellsOf, formulaCell, linesOf, units } from '@sure-spool/contract'
import Papa from 'papaparse'
import type { Queries } from '../database/connect'
import { publishedCards } from '../repositories/revisions'

const cardsAtOnce = 100
const columns = Object.keys(units)

/**
 * Figures of cards as CSV, one row a limit, a piece of its text at a time; cells that a spreadsheet would run are defused.
 * @param ids of the cards, in the order in which they are given out
 */
export async function* figuresCsv(queries: Queries, ids: string[]): AsyncGenerator<string> {
  const options = { escapeFormulae: formulaCell, newline: '\r\n' }
  yield Papa.unparse({ fields: cellsOf([], columns).fields, data: [] }, options)
  for (let from = 0; from < ids.length; from += cardsAtOnce) {
    const cards = await publishedCards(queries, ids.slice(from, from + cardsAtOnce))
    const { data } = cellsOf(cards.flatMap(linesOf), columns)
    if (data.length > 0) yield `\r\n${Papa.unparse(data, options)}`
  }
}
