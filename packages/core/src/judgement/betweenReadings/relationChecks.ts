import type { Relation } from '../../document'

/**
 * The ids of the checks that a relation names, each once, in the order of its fields.
 * @example
 * relationChecks(scenes.sound().relation('sum')) // [ 'low', 'high', 'series' ]
 */
export function relationChecks(relation: Relation): string[] {
  switch (relation.kind) {
    case 'sum':
      return [...new Set([...relation.parts, relation.whole])]
    case 'ratio':
      return [...new Set([relation.of, relation.to])]
    case 'equal':
    case 'unbalance':
      return [...new Set(relation.checks)]
    case 'above':
      return [...new Set([relation.check, relation.than])]
    case 'draw':
      return [...new Set([relation.amps, relation.ohms])]
    case 'twin':
    case 'kind-of-three':
      return [relation.check]
  }
}
