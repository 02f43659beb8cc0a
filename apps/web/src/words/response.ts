import { quantityOf, readingSet, type Quantity, type Response, type RunState } from '@sure-spool/core'
import type { Figures } from './figures'

const three = (value: number) => Number(value.toPrecision(3))

/** A response in words: its peak, and where it has fallen by 3 dB as far as it was read. */
export function responseWords({ peak, below, above }: Response, figures: Figures, of?: Quantity): string {
  const hertz = (value: number) => figures.bound(three(value), 'frequency')
  const fallen = [below, above].flatMap((one) => (one === undefined ? [] : [hertz(one)]))
  const peaks = `peak ${figures.bound(three(peak.value), of)} at ${hertz(peak.hertz)}`
  return fallen.length === 0 ? peaks : `${peaks}, \u22123\u2009dB at ${fallen.join(' and ')}`
}

/** Every response of a run, each by its check's name. */
export const responseLine = (state: RunState, figures: Figures): string =>
  state.checks
    .flatMap(({ check }) => {
      const { response } = check.kind === 'response' ? readingSet(state, check) : { response: undefined }
      return response ? [`${check.label}: ${responseWords(response, figures, quantityOf(check))}.`] : []
    })
    .join(' ')
