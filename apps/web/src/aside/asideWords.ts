import type { Card } from '@sure-spool/core'
import type { Outgoing } from '../store/outgoing'
import { decisionWords } from '../words/kinds'
import { rewindKindWords } from '../words/rewind'
import { clock, day } from '../words/times'

/** What an item is, for the person who made it: kind, what it is of, and when. */
export function asideWords(item: Outgoing, card?: Card): { what: string; of: string } {
  switch (item.kind) {
    case 'card':
      return { what: 'Card', of: `${item.body.card.name.maker} ${item.body.card.name.model}`.trim() }
    case 'unit':
      return { what: 'Part taken in', of: `${item.body.tag}, ${when(item.body.takenInAt)}` }
    case 'run':
      return { what: 'Run begun', of: when(item.body.startedAt) }
    case 'photo':
      return { what: 'Photo', of: when(item.body.at) }
    case 'rewind':
      return { what: 'Rewind begun', of: when(item.body.startedAt) }
    case 'rewind-entry':
      return { what: rewindKindWords[item.body.kind], of: when(item.body.at) }
    case 'entry':
      return entryWords(item.body, card)
  }
}

type Body = Extract<Outgoing, { kind: 'entry' }>['body']

function entryWords(body: Body, card: Card | undefined): { what: string; of: string } {
  const at = when(body.at)
  switch (body.kind) {
    case 'reading': {
      const label = card?.checks.find(({ id }) => id === body.check)?.label ?? body.check
      return { what: `Reading ${body.reading.text || (body.reading.answer ?? '')}`, of: `${label}, ${at}` }
    }
    case 'decision':
      return { what: `Decision: ${decisionWords[body.what]}`, of: `${body.why}, ${at}` }
    case 'note':
      return { what: 'Note', of: `${body.words}, ${at}` }
    default:
      return { what: kindWords[body.kind] ?? body.kind, of: at }
  }
}

const kindWords: Partial<Record<Body['kind'], string>> = {
  'lead-check': 'Leads',
  temperature: 'Temperature',
  isolation: 'How it lies',
  proof: 'Proof of a contact',
  'take-back': 'Taken back',
  answer: 'Answer to a remark',
  look: 'Look',
  skip: 'Skipped',
  supply: 'Supply',
  work: 'Work on the part',
  outcome: 'What became of it',
}

const when = (moment: string): string => `${day(moment)} ${clock(moment)}`
