import { besideFigures, byItsLength, type Evaluation, type Run } from '@sure-spool/core'
import type { Figures } from './figures'

/** How a reading stands to what another part, or this one before, reads there, a line each: `1.4 % more than SQ-0447 (311 Ω), ±0.9 %`. */
export function besideWords(run: Pick<Run, 'compare'>, one: Evaluation, figures: Figures): string[] {
  return besideFigures(run, one).map(({ as, tag, value, differencePct, u }) => {
    const than = as === 'earlier' ? 'in its last run' : tag === 'neighbour' ? 'its neighbour' : tag
    const size = `${figures.plain(Math.abs(differencePct), 2)}\u2009%`
    const side = differencePct < 0 ? 'less than' : 'more than'
    return `${size} ${side} ${than} (${figures.bound(Number(value.toPrecision(4)), one.quantity)}), ±${figures.plain(2 * u, 2)}\u2009%`
  })
}

/** Ohms by the metre, the foot and the inch; nothing of what is no lead. */
export function perLengthWords(one: Evaluation, figures: Figures): string[] {
  const ohms = byItsLength(one)
  if (!ohms) return []
  const said = (value: number, unit: string) => `${figures.bound(Number(value.toPrecision(3)))}/${unit}`
  return [`${said(ohms.metre, 'm')}, ${said(ohms.foot, 'ft')}, ${said(ohms.inch, 'in')}`]
}
