import type { Card, Firing, Remark, RemarkId } from '@sure-spool/core'
import type { Figures } from './figures'
import { checkPoints } from './points'
import { betweenRemarks } from './remarks/betweenRemarks'
import { closingRemarks } from './remarks/closingRemarks'
import { meterRemarks } from './remarks/meterRemarks'
import { partRemarks } from './remarks/partRemarks'
import { powerRemarks } from './remarks/powerRemarks'
import type { RemarkWords, Said } from './remarks/remarkTexts'

/** Every remark has its words: one that is new in the core and not here does not compile. */
const texts: Record<RemarkId, (said: Said) => RemarkWords> = {
  ...meterRemarks,
  ...partRemarks,
  ...betweenRemarks,
  ...powerRemarks,
  ...closingRemarks,
}

/** A remark in the trade's plain words: one sentence of what, one of what to do. */
export function remarkWords(
  { id, params }: Pick<Remark, 'id' | 'params'> & Partial<Firing>,
  card: Card,
  figures: Figures,
): RemarkWords {
  const number = (key: string) => Number(params[key] ?? 0)
  const text = (key: string) => String(params[key] ?? '')
  return texts[id]({
    params,
    card,
    figures,
    number,
    text,
    ohms: (key) => figures.bound(number(key)),
    pair: (key) => checkPoints(card, text(key)),
  })
}
