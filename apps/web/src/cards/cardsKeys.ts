import { stateKeys } from '../keys/statement'

export const cardsKeys = stateKeys('Cards', ['list'], {
  find: { keys: ['/'], label: 'find by words' },
  figures: { keys: [...'0123456789.,'], label: 'find by what was read', cap: '0–9' },
  begin: { keys: ['n'], label: 'new card' },
  takeIn: { keys: ['u'], label: 'take in a file' },
  leave: { keys: ['Escape'], label: 'the queue' },
})

export const cardKeys = stateKeys('a card', ['card'], {
  takeIn: { keys: ['Enter', 'i'], label: 'take in a unit of this card' },
  flip: { keys: ['f'], label: 'flip the plug' },
  turn: { keys: ['F'], label: 'turn the plug' },
  revise: { keys: ['e'], label: 'revise' },
  duplicate: { keys: ['y'], label: 'a card like it' },
  print: { keys: ['p'], label: 'print' },
  find: { keys: ['/', 'Escape'], label: 'find' },
})

export const compareKeys = stateKeys('two revisions', ['compare'], {
  leave: { keys: ['Escape'], label: 'the card' },
})
