import type { Check, CheckKind, Quantity } from '../../document'

const byKind: Partial<Record<CheckKind, Quantity>> = {
  resistance: 'resistance',
  continuity: 'resistance',
  contacts: 'resistance',
  'three-pins': 'resistance',
  'pair-matrix': 'resistance',
  bars: 'resistance',
  'per-length': 'resistance',
  curve: 'resistance',
  insulation: 'insulation',
  inductance: 'inductance',
  capacitance: 'capacitance',
  current: 'current',
  'ac-output': 'voltage',
  'dc-output': 'voltage',
  field: 'field',
  response: 'gain',
}

/**
 * What a check's readings are in; undefined for what is only seen (looks, acts, lamps).
 * @example
 * quantityOf({ kind: 'ac-output' }) // 'voltage'
 */
export const quantityOf = (check: Pick<Check, 'kind' | 'quantity'>): Quantity | undefined =>
  check.quantity ?? byKind[check.kind]
