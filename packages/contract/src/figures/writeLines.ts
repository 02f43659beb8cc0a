import { limitText, quantityOf, type At, type Card } from '@sure-spool/core'
import { textColumns, units, type FigureLine } from './columns'

/** Every limit of a card as a line, in the card's order; each written as its kind is written. */
export function linesOf(card: Card): FigureLine[] {
  const labels = new Map(card.terminals.map(({ id, label }) => [id, label]))
  return card.checks.flatMap((check) => {
    const [from, to] = ends(check.at).map((some) => some.map((id) => labels.get(id) ?? id).join(' '))
    return check.limits.map((one) => {
      const source = card.sources.find(({ id }) => id === one.source)
      return {
        maker: card.name.maker,
        model: card.name.model,
        partNumbers: card.name.partNumbers.join('; '),
        family: card.family,
        check: check.label,
        kind: check.kind,
        from: from ?? '',
        to: to ?? '',
        for: one.for,
        limit: one.limit === 'derived' ? 'derived' : limitText(one.limit) || 'none',
        unit: unitOf(quantityOf(check)),
        source: source?.title ?? '',
        grade: source?.grade ?? '',
        referenceC: one.referenceC === undefined ? '' : String(one.referenceC),
        cardId: card.id,
        revision: String(card.revision),
        checkId: check.id,
      }
    })
  })
}

const ends = (at: At): [string[], string[]] => {
  if ('pair' in at) return [[at.pair[0]], [at.pair[1]]]
  if ('each' in at) return [at.each, [at.to]]
  return ['among' in at ? at.among : [], []]
}

const unitOf = (quantity: ReturnType<typeof quantityOf>): string =>
  Object.entries(units).find(([, one]) => one.quantity === quantity)?.[0] ?? 'Ω'

/**
 * Lines as rows of cells under a header: the text columns, and one limit column a unit.
 * @param said the units that have a column; where not given those that come up
 */
export function cellsOf(
  lines: FigureLine[],
  said = Object.keys(units).filter((unit) => lines.some((line) => line.unit === unit)),
): { fields: string[]; data: string[][] } {
  return {
    fields: [...textColumns.map(({ head }) => head), ...said.map((unit) => `limit (${unit})`)],
    data: lines.map((line) => [
      ...textColumns.map(({ key }) => line[key]),
      ...said.map((unit) => (line.unit === unit ? line.limit : '')),
    ]),
  }
}
