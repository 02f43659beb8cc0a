import type { FigureLine } from '../figures'

/** One row of a file of figures with nothing in it that is not needed. */
export const plainLine: FigureLine = {
  maker: 'Fernhollow',
  model: 'F2',
  partNumbers: '',
  family: '',
  check: 'coil',
  kind: '',
  from: 'red',
  to: 'black',
  for: '',
  limit: '318 ±10%',
  unit: 'Ω',
  source: '',
  grade: '',
  referenceC: '',
  cardId: '',
  revision: '',
  checkId: '',
}
