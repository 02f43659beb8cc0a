import { quantityOf, type Card, type Firing, type Remark, type RemarkId } from '@sure-spool/core'
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
  { id, params, check }: Pick<Remark, 'id' | 'params'> & Partial<Firing>,
  card: Card,
  figures: Figures,
): RemarkWords {
  const number = (key: string) => Number(params[key] ?? 0)
  const text = (key: string) => String(params[key] ?? '')
  const about = card.checks.find((one) => one.id === check)
  const quantity = (about && quantityOf(about)) ?? 'resistance'
  return texts[id]({
    params,
    quantity,
    card,
    figures,
    number,
    text,
    ohms: (key) => figures.bound(number(key)),
    read: (key) => figures.bound(number(key), quantity),
    doubt: (key) => figures.expanded(number(key), quantity),
    pair: (key) => checkPoints(card, text(key)),
  })
}
