import type { Card, CardGap, CardRemark } from '@sure-spool/core'
import { checkLabel, terminalLabel } from '../words/points'

const windingLabel = (card: Card, id: string) => card.windings.find((one) => one.id === id)?.label ?? id

/** What a card leaves out, said so that it can be mended, and the part of the writer where it is. */
export function gapWords(card: Card, { id, about = '' }: CardGap): { words: string; part: string } {
  switch (id) {
    case 'no-name':
      return { words: 'It has no model.', part: 'name' }
    case 'construction-unset':
      return { words: 'The construction decides its rules and is not chosen.', part: 'name' }
    case 'terminal-untested':
      return { words: `Nothing tests ${terminalLabel(card, about)}.`, part: 'checks' }
    case 'terminal-unplugged':
      return { words: `${terminalLabel(card, about)} sits in no plug.`, part: 'plugs' }
    case 'winding-unread':
      return { words: `Nothing reads the ${windingLabel(card, about)}.`, part: 'checks' }
    case 'winding-no-ohms':
      return { words: `The ${windingLabel(card, about)} has no ohms: nothing can follow from it.`, part: 'windings' }
    case 'no-check':
      return { words: 'It has no check: it measures nothing.', part: 'checks' }
    case 'no-limit':
      return { words: `${checkLabel(card, about)} has no limit: it will be read and not judged.`, part: 'checks' }
    case 'no-frame-test':
      return { words: 'Nothing tests the windings to frame.', part: 'checks' }
    case 'no-source':
      return { words: 'It has no source: nobody says so.', part: 'sources' }
    case 'source-untitled':
      return { words: 'A source has no title.', part: 'sources' }
  }
}

/** What contradicts itself. */
export function contradictionWords(card: Card, { id, check, params }: CardRemark): string {
  const label = checkLabel(card, check)
  if (id === 'no-floor') return `${label} has no minimum: a short would pass.`
  return `${label}: ${String(params['one'])} against ${String(params['other'])}, no part could meet both.`
}
