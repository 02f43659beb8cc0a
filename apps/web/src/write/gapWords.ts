import type { Card, CardGap, CardRemark } from '@sure-spool/core'
import { checkLabel, terminalLabel } from '../words/points'

const windingLabel = (card: Card, id: string) => card.windings.find((one) => one.id === id)?.label ?? id

const unreadSaid = (card: Card, id: string): string =>
  (card.checks.find((one) => one.id === id)?.limits ?? [])
    .flatMap(({ limit, text }) => (limit !== 'derived' && limit.kind === 'none' && text ? [`“${text}”`] : []))
    .join(' and ')

/** What a card leaves out, said so that it can be mended, and the section of the writer where it is. */
export function gapWords(card: Card, { id, about = '' }: CardGap): { words: string; section: string } {
  switch (id) {
    case 'no-name':
      return { words: 'It has no model.', section: 'name' }
    case 'construction-unset':
      return { words: 'The construction decides its rules and is not chosen.', section: 'name' }
    case 'terminal-untested':
      return { words: `Nothing tests ${terminalLabel(card, about)}.`, section: 'checks' }
    case 'terminal-unplugged':
      return { words: `${terminalLabel(card, about)} sits in no plug.`, section: 'plugs' }
    case 'winding-unread':
      return { words: `Nothing reads the ${windingLabel(card, about)}.`, section: 'checks' }
    case 'winding-no-ohms':
      return { words: `The ${windingLabel(card, about)} has no ohms: nothing can follow from it.`, section: 'windings' }
    case 'no-check':
      return { words: 'It has no check: it measures nothing.', section: 'checks' }
    case 'no-limit':
      return { words: `${checkLabel(card, about)} has no limit: it will be read and not judged.`, section: 'checks' }
    case 'limit-unread':
      return {
        words: `${unreadSaid(card, about)} of ${checkLabel(card, about)} is kept as words and judges nothing: give a tolerance, a range, or > <.`,
        section: 'checks',
      }
    case 'no-frame-test':
      return { words: 'Nothing tests the windings to frame.', section: 'checks' }
    case 'no-source':
      return { words: 'It has no source: nobody says so.', section: 'sources' }
    case 'source-untitled':
      return { words: 'A source has no title.', section: 'sources' }
  }
}

/** What contradicts itself. */
export function contradictionWords(card: Card, { id, check, params }: CardRemark): string {
  const label = checkLabel(card, check)
  if (id === 'no-floor') return `${label} has no minimum: a short would pass.`
  return `${label}: ${String(params['one'])} against ${String(params['other'])}, no part could meet both.`
}
